import Box from '@mui/material/Box';

/** The figures of a drawing: the first column heads each row. */
export interface TableOfChart {
  headings: string[];
  rows: string[][];
}

export function ChartTable({ label, table }: { label: string; table: TableOfChart }) {
  return (
    <Box component="details" sx={{ maxWidth: '100%', '&[open]': { flexBasis: '100%' } }}>
      <Box component="summary" sx={{ cursor: 'pointer', minHeight: 24, color: 'text.secondary', width: 'fit-content' }}>
        As a table
      </Box>
      <Box sx={{ overflowX: 'auto' }}>
        <Box
          component="table"
          aria-label={label}
          sx={{
            borderCollapse: 'collapse',
            fontVariantNumeric: 'tabular-nums',
            '& th, & td': { borderBottom: 1, borderColor: 'divider', px: 1, py: 0.25, textAlign: 'right', whiteSpace: 'nowrap' },
            '& tr > :first-of-type': { textAlign: 'left' },
          }}
        >
          <thead>
            <tr>
              {table.headings.map((heading) => (
                <th key={heading} scope="col">
                  {heading}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {table.rows.map(([head, ...cells], index) => (
              <tr key={`${index} ${head ?? ''}`}>
                <th scope="row">{head}</th>
                {cells.map((cell, place) => (
                  <td key={place}>{cell}</td>
                ))}
              </tr>
            ))}
          </tbody>
        </Box>
      </Box>
    </Box>
  );
}
