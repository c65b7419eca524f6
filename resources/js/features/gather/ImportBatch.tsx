import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import TextField from '@mui/material/TextField';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, told } from '../../api/client';
import { keys } from '../../api/keys';
import type { Study } from '../../api/schema';
import { alike, batchWords, stateOf, type BatchFile } from './batch.logic';
import { BatchRow } from './BatchRow';
import type { ImportOptions } from './order.logic';
import { MappingTable } from './MappingTable';
import { about } from '../../shared/abouts';
import { HeadingRow } from '../../shared/HeadingRow';
import { fields } from '../../theme/measures';
import { wording } from './wording';

interface Props {
  study: Study;
  files: File[];
  onClose: () => void;
}

/** Many files in one table: what each seems to be, what stands in its way, one mapping for equal headers; Enter brings all in. */
export function ImportBatch({ study, files, onClose }: Props) {
  const client = useQueryClient();
  const [rows, setRows] = useState<BatchFile[]>(() =>
    files.map((file) => ({ file, order: null, notes: [], preview: undefined, failure: null, state: 'open' })),
  );
  const [day, setDay] = useState('');
  const [mapped, setMapped] = useState<number | null>(null);
  const change = (places: number[], changes: (row: BatchFile) => Partial<BatchFile>) =>
    setRows((before) => before.map((row, place) => (places.includes(place) ? { ...row, ...changes(row) } : row)));
  const changeOrders = (places: number[], changes: Partial<ImportOptions>) =>
    change(places, ({ order }) => ({ order: order === null ? null : { ...order, ...changes }, preview: undefined }));
  const states = rows.map((row) => stateOf(row, day));
  const isWaiting = states.some((state) => state === 'sending' || state === 'looking');
  const ready = states.flatMap((state, place) => (state === 'ready' ? [place] : []));
  const isDayless = rows.some((row) => row.state === 'open' && row.order !== null && row.order.date === null);
  const send = useMutation({
    mutationFn: async () => {
      for (const place of ready) {
        const order = rows[place]?.order;
        if (order != null) {
          const body = { ...order, date: order.date ?? day };
          await told(api.POST('/studies/{slug}/imports', { params: { path: { slug: study.slug } }, body }));
          change([place], () => ({ state: 'sent' }));
        }
      }
    },
    onSettled: () => client.invalidateQueries({ queryKey: keys.study(study.slug) }),
    onSuccess: () => {
      if (states.every((state) => state === 'ready' || state === 'sent' || state === 'skipped')) {
        onClose();
      }
    },
  });
  const open = mapped === null ? undefined : rows[mapped];
  const importAll = () => {
    if (ready.length > 0 && !isWaiting && !send.isPending) {
      send.mutate();
    }
  };
  return (
    <Dialog
      open
      onClose={onClose}
      maxWidth="lg"
      fullWidth
      aria-labelledby="batch-title"
      onKeyDown={(event) => {
        // Wherever the focus is but in a control that has a use for Enter itself.
        if (
          event.key === 'Enter' &&
          event.target instanceof HTMLElement &&
          event.target.closest('button, input, [role="combobox"]') === null
        ) {
          importAll();
        }
      }}
    >
      <Box
        component="form"
        onSubmit={(event) => {
          event.preventDefault();
          importAll();
        }}
        sx={{ display: 'contents' }}
      >
        <DialogTitle id="batch-title">Import {files.length} files</DialogTitle>
        <DialogContent>
          <Box role="status" sx={{ mb: 1 }}>
            {batchWords(states)}
          </Box>
          {isDayless && (
            <TextField
              type="date"
              label="Date for files without one"
              value={day}
              onChange={(event) => setDay(event.target.value)}
              slotProps={{ inputLabel: { shrink: true } }}
              sx={{ mt: 1, mb: 1, width: fields.xl }}
            />
          )}
          {send.isError && <Alert severity="error">{send.error.message}</Alert>}
          <Table>
            {rows.map((row, place) => (
              <BatchRow
                key={`${row.file.name} ${place}`}
                study={study}
                row={row}
                day={day}
                isMapped={mapped === place}
                onChange={(changes) => change([place], () => changes)}
                onMap={() => setMapped(mapped === place ? null : place)}
              />
            ))}
          </Table>
          {mapped !== null && open?.preview !== undefined && (
            <MappingTable
              preview={open.preview}
              onMap={(mapping) => changeOrders(alike(rows, mapped), { mapping })}
              onHeader={(line) => changeOrders(alike(rows, mapped), { header_line: line, mapping: {} })}
            />
          )}
        </DialogContent>
        <DialogActions>
          <Button onClick={onClose}>{states.includes('sent') ? 'Close' : 'Cancel'}</Button>
          <Button type="submit" variant="contained" autoFocus disabled={ready.length === 0 || isWaiting} loading={send.isPending}>
            {ready.length === 1 ? 'Import one file' : `Import ${ready.length} files`}
          </Button>
        </DialogActions>
      </Box>
    </Dialog>
  );
}

function Table({ children }: { children: React.ReactNode }) {
  return (
    <Box
      component="table"
      aria-label={wording.filesToImport}
      sx={{
        width: '100%',
        borderCollapse: 'collapse',
        typography: 'dense',
        '& th, & td': { textAlign: 'left', verticalAlign: 'top', borderBottom: 1, borderColor: 'divider', px: 1, py: 0.75 },
      }}
    >
      <HeadingRow headings={headings} />
      <tbody>{children}</tbody>
    </Box>
  );
}

const headings = [
  { name: 'File', about: about(wording.nameOfTheFile, '', 'your computer') },
  { name: 'Holds', about: about(wording.kindOfDataInTheFile, '', 'detected from its headings, or chosen here') },
  { name: 'Domain', about: about('Domain the rows belong to.', '', 'detected from its name, or chosen here') },
  { name: 'Day', about: about(wording.dayOfTheFigures, 'day or month', 'detected from its name, or chosen here') },
  { name: 'Channel', about: about('Organic, paid, or your own channel.', '', 'detected from its name, or chosen here') },
  { name: 'Rows', about: about('Rows that can be imported.', 'rows', 'counted in the file') },
  { name: 'State', about: about('Ready, or what is missing.', '', 'found while reading the file') },
];
