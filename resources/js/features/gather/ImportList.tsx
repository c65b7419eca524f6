import Box from '@mui/material/Box';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Typography from '@mui/material/Typography';
import type { ImportEntry } from '../../api/types';
import { whole } from '../../shared/format';

/** What was brought in, the newest first. */
export function ImportList({ imports }: { imports: ImportEntry[] }) {
  return (
    <Box sx={{ px: 2, pt: 3, pb: 4 }}>
      <Typography variant="h2">What was brought in</Typography>
      {imports.length === 0 && (
        <Typography color="text.secondary" sx={{ mt: 1 }}>
          Nothing yet. Begin with your own rankings: a table with a keyword and a position in each row.
        </Typography>
      )}
      {imports.length > 0 && (
        <Table size="small" aria-label="Imports">
          <TableHead>
            <TableRow>
              <TableCell>File</TableCell>
              <TableCell>Kind</TableCell>
              <TableCell>Day</TableCell>
              <TableCell align="right">Rows kept</TableCell>
              <TableCell align="right" title="position over 100, or URL outside the domain">
                Dropped
              </TableCell>
              <TableCell align="right">Bad</TableCell>
            </TableRow>
          </TableHead>
          <TableBody>
            {imports.slice(0, 20).map((entry) => (
              <TableRow key={entry.id}>
                <TableCell>{entry.file}</TableCell>
                <TableCell>{entry.kind}</TableCell>
                <TableCell>{entry.day}</TableCell>
                <TableCell align="right">{whole(entry.kept)}</TableCell>
                <TableCell align="right">{whole(entry.dropped)}</TableCell>
                <TableCell align="right">{whole(entry.bad)}</TableCell>
              </TableRow>
            ))}
          </TableBody>
        </Table>
      )}
    </Box>
  );
}
