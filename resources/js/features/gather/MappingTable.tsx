import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import type { ImportPreview } from '../../api/schema';
import { about } from '../../shared/abouts';
import { HeadingWords } from '../../shared/Heading';
import { fields } from '../../theme/measures';

interface Props {
  preview: ImportPreview;
  onMap: (mapping: Record<string, string>) => void;
  /** Takes the row on a line for the one that holds the column names. */
  onHeader: (line: number) => void;
}

/** The first rows of the file under a choice of field for each column. */
export function MappingTable({ preview, onMap, onHeader }: Props) {
  const fieldOf = new Map(Object.entries(preview.mapping).map(([field, header]) => [header, field]));
  const map = (header: string, field: string) => {
    const others = Object.entries(preview.mapping).filter(([name, column]) => column !== header && name !== field);
    onMap(Object.fromEntries(field === '' ? others : [...others, [field, header]]));
  };
  return (
    <Box sx={{ overflowX: 'auto', my: 1 }}>
      <Box
        component="table"
        aria-label="Columns of the file"
        sx={{
          borderCollapse: 'collapse',
          typography: 'note',
          '& td, & th': {
            borderBottom: 1,
            borderColor: 'divider',
            px: 1,
            py: 0.5,
            textAlign: 'left',
            whiteSpace: 'nowrap',
            maxWidth: fields.xl,
            overflow: 'hidden',
            textOverflow: 'ellipsis',
          },
        }}
      >
        <thead>
          <tr>
            <th>
              <HeadingWords about={about('Line of the file. Choose one to use it as the header.', '', 'the file')}>line</HeadingWords>
            </th>
            {preview.headers.map((header, index) => (
              <th key={index}>
                {header}
                <TextField
                  select
                  variant="standard"
                  value={fieldOf.get(header) ?? ''}
                  onChange={(event) => map(header, event.target.value)}
                  sx={{ display: 'block', mt: 0.5, minWidth: fields.s }}
                  slotProps={{ select: { displayEmpty: true, SelectDisplayProps: { 'aria-label': `Field of column ${header}` } } }}
                >
                  <MenuItem value="">
                    <em>not used</em>
                  </MenuItem>
                  {preview.fields.map((field) => (
                    <MenuItem key={field.name} value={field.name}>
                      {field.name.replaceAll('_', ' ')}
                      {field.required ? ' (required)' : ''}
                    </MenuItem>
                  ))}
                </TextField>
                <Nearly field={preview.nearly.find((one) => one.header === header)?.field} onUse={(field) => map(header, field)} />
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {preview.sample.map((row) => (
            <tr key={row.line}>
              <td>
                <Button
                  sx={{ py: 0, px: 0.5, minWidth: 0, typography: 'small' }}
                  aria-label={`Use line ${row.line} as the header`}
                  title="Use this line as the header"
                  onClick={() => onHeader(row.line)}
                >
                  {row.line}
                </Button>
              </td>
              {row.cells.map((cell, index) => (
                <td key={index}>{cell}</td>
              ))}
            </tr>
          ))}
        </tbody>
      </Box>
    </Box>
  );
}

/** A header that is nearly called as a field is not dropped without a word. */
function Nearly({ field, onUse }: { field: string | undefined; onUse: (field: string) => void }) {
  return field === undefined ? null : (
    <Button sx={{ py: 0, px: 0, typography: 'small' }} onClick={() => onUse(field)}>
      Use it as {field.replaceAll('_', ' ')}?
    </Button>
  );
}
