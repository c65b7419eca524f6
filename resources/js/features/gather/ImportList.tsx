import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Typography from '@mui/material/Typography';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, told } from '../../api/client';
import { keys } from '../../api/keys';
import type { ImportEntry, Study } from '../../api/schema';
import { whole } from '../../shared/format';
import { about } from '../../shared/abouts';
import { HeadingWords } from '../../shared/Heading';
import { kindWords } from './order.logic';
import { wording } from './wording';

const shownAtFirst = 12;

/** Imports, the newest first; each can be taken back. */
export function ImportList({ study, imports }: { study: Study; imports: ImportEntry[] }) {
  const client = useQueryClient();
  const [isWhole, setWhole] = useState(false);
  const [asked, setAsked] = useState<number | null>(null);
  const undo = useMutation({
    mutationFn: (id: number) =>
      told(api.DELETE('/studies/{slug}/imports/{import}', { params: { path: { slug: study.slug, import: id } } })),
    onSettled: () => {
      setAsked(null);
      return client.invalidateQueries({ queryKey: keys.study(study.slug) });
    },
  });
  return (
    <Box sx={{ px: 2, pt: 3, pb: 4 }}>
      <Typography variant="h2">Imports</Typography>
      {undo.isError && <Alert severity="warning">{undo.error.message}</Alert>}
      {imports.length === 0 && (
        <Typography color="text.secondary" sx={{ mt: 1 }}>
          No imports yet. Start with your own rankings: a table with a keyword and a position in each row.
        </Typography>
      )}
      {imports.length > 0 && (
        <Table size="small" aria-label="Imports" sx={{ '& .MuiTableCell-root': { px: { xs: 0.5, lg: 1.25 } } }}>
          <TableHead>
            <TableRow>
              {headings.map(({ name, about: words, isNumber }) => (
                <TableCell key={name} align={isNumber ? 'right' : 'left'}>
                  <HeadingWords about={words}>{name}</HeadingWords>
                </TableCell>
              ))}
              <TableCell />
            </TableRow>
          </TableHead>
          <TableBody>
            {imports.slice(0, isWhole ? imports.length : shownAtFirst).map((entry) => (
              <TableRow key={entry.id}>
                <TableCell title={entry.format} sx={{ overflowWrap: 'anywhere' }}>
                  {entry.file}
                </TableCell>
                <TableCell>{kindWords(entry.kind)}</TableCell>
                <TableCell sx={{ whiteSpace: 'nowrap' }}>{entry.day}</TableCell>
                <TableCell align="right">{whole(entry.kept)}</TableCell>
                <TableCell align="right">{whole(entry.dropped)}</TableCell>
                <TableCell align="right">{whole(entry.bad)}</TableCell>
                <TableCell align="right" sx={{ whiteSpace: 'nowrap' }}>
                  {asked === entry.id ? (
                    <Button color="warning" variant="contained" loading={undo.isPending} onClick={() => undo.mutate(entry.id)}>
                      Remove its {whole(entry.kept)} rows
                    </Button>
                  ) : (
                    <Button
                      disabled={!study.may_edit}
                      aria-label={`Undo the import of ${entry.file}, ${entry.day}`}
                      onClick={() => setAsked(entry.id)}
                    >
                      Undo
                    </Button>
                  )}
                </TableCell>
              </TableRow>
            ))}
          </TableBody>
        </Table>
      )}
      {imports.length > shownAtFirst && !isWhole && <Button onClick={() => setWhole(true)}>Show all {imports.length}</Button>}
    </Box>
  );
}

const headings = [
  { name: 'File', about: about(wording.nameOfTheFile, '', 'your computer'), isNumber: false },
  { name: 'Kind', about: about(wording.kindOfDataInTheFile, '', 'chosen when it was imported'), isNumber: false },
  { name: 'Day', about: about(wording.dayOfTheFigures, 'day', 'chosen when it was imported'), isNumber: false },
  { name: 'Rows kept', about: about('Rows imported.', 'rows', 'counted while reading'), isNumber: true },
  {
    name: 'Dropped',
    about: about('Rows with a position over 100 or a URL outside the domain.', 'rows', 'counted while reading'),
    isNumber: true,
  },
  { name: 'Bad', about: about('Rows with errors.', 'rows', 'counted while reading'), isNumber: true },
];
