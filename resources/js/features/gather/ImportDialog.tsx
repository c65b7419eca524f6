import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import LinearProgress from '@mui/material/LinearProgress';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { keepPreviousData, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api } from '../../api/client';
import { studyKey } from '../../api/queries';
import type { ImportKind, ImportOutcome, ImportPreview, Study } from '../../api/types';
import { BadRowsTable } from './BadRowsTable';
import { guess } from './guess.logic';
import { MappingTable } from './MappingTable';

interface Props {
  study: Study;
  file: File;
  remaining: number;
  onClose: () => void;
}

interface Order {
  kind: ImportKind;
  domain: string;
  date: string;
  channel: string;
  mapping: Record<string, string>;
  allowErrors: number;
}

const kinds: ImportKind[] = ['rankings', 'keywords', 'results', 'performance', 'domains'];

function formOf(file: File, order: Order): FormData {
  const form = new FormData();
  form.set('file', file);
  form.set('kind', order.kind);
  form.set('allow_errors', String(order.allowErrors));
  if (order.date !== '') {
    form.set('date', order.date);
  }
  if (order.kind === 'rankings') {
    form.set('channel', order.channel);
    form.set('domain', order.domain);
  }
  for (const [field, header] of Object.entries(order.mapping)) {
    form.set(`mapping[${field}]`, header);
  }
  return form;
}

/** Looks at a file before anything is kept: what it is, which column is what, every problem row by row; then imports it. */
export function ImportDialog({ study, file, remaining, onClose }: Props) {
  const client = useQueryClient();
  const [order, setOrder] = useState<Order>(() => ({ ...guess(file.name, [study.domain ?? '', ...study.competitors]), channel: 'organic', mapping: {}, allowErrors: 0 }));
  const preview = useQuery({
    queryKey: [...studyKey(study.slug), 'preview', file.name, file.size, file.lastModified, order],
    queryFn: () => api.post<ImportPreview>(`studies/${study.slug}/imports/preview`, formOf(file, order)),
    placeholderData: keepPreviousData,
    retry: false,
    gcTime: 0,
  });
  const send = useMutation({
    mutationFn: () => api.post<ImportOutcome>(`studies/${study.slug}/imports`, formOf(file, order)),
    onSuccess: async () => {
      await client.invalidateQueries({ queryKey: studyKey(study.slug) });
      onClose();
    },
  });
  const set = (changes: Partial<Order>) => setOrder((before) => ({ ...before, allowErrors: 0, ...changes }));
  const bad = preview.data?.bad_rows;
  const isReady = preview.isSuccess && !preview.isFetching && preview.data.problem === null && preview.data.outcome !== null;
  return (
    <Dialog open onClose={onClose} maxWidth="md" fullWidth aria-labelledby="import-title">
      <DialogTitle id="import-title">
        Bring in {file.name} {remaining > 0 && `(${remaining} more after it)`}
      </DialogTitle>
      <DialogContent>
        <Choices study={study} order={order} onChange={set} />
        {(preview.isFetching || send.isPending) && <LinearProgress aria-label={send.isPending ? 'Importing' : 'Reading the file'} sx={{ my: 1 }} />}
        {preview.isError && <Alert severity="error">{preview.error.message}</Alert>}
        {preview.data?.problem != null && <Alert severity="warning">{preview.data.problem}</Alert>}
        {send.isError && <Alert severity="error">{send.error.message}</Alert>}
        {preview.data !== undefined && !preview.isError && <MappingTable preview={preview.data} onMap={(mapping) => set({ mapping })} />}
        {isReady && (
          <Box component="p" sx={{ my: 1 }}>
            {preview.data.outcome?.kept} rows to keep, {preview.data.outcome?.dropped} to drop (position over 100, or URL outside the domain); numbers are read with {preview.data.outcome?.numbers === 'undecided' ? '1,234 as 1234, since nothing in the file decides' : `a ${preview.data.outcome?.numbers ?? ''}`}.
            {preview.data.outcome?.same_file === true && ' This very file was imported before; it takes the place of its earlier self.'}
          </Box>
        )}
        {bad != null && bad.total > 0 && <BadRowsTable badRows={bad} isAllowed={order.allowErrors >= bad.total} onAllow={() => set({ allowErrors: bad.total })} />}
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>{remaining > 0 ? 'Skip this file' : 'Cancel'}</Button>
        <Button variant="contained" disabled={!isReady} loading={send.isPending} onClick={() => send.mutate()}>
          Import
        </Button>
      </DialogActions>
    </Dialog>
  );
}

function Choices({ study, order, onChange }: { study: Study; order: Order; onChange: (changes: Partial<Order>) => void }) {
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1.6fr 1fr 1fr', gap: 1.5, py: 1 }}>
      <TextField select label="What it holds" value={order.kind} onChange={(event) => onChange({ kind: kinds.find((kind) => kind === event.target.value) ?? 'rankings', mapping: {} })}>
        {kinds.map((kind) => (
          <MenuItem key={kind} value={kind}>
            {kind}
          </MenuItem>
        ))}
      </TextField>
      {order.kind === 'rankings' && (
        <TextField select label="Domain of rows that name none" value={order.domain} onChange={(event) => onChange({ domain: event.target.value })}>
          <MenuItem value="">as the file says</MenuItem>
          {[study.domain ?? '', ...study.competitors].map((domain) => (
            <MenuItem key={domain} value={domain}>
              {domain}
            </MenuItem>
          ))}
        </TextField>
      )}
      <TextField type="date" label="Day" value={order.date} onChange={(event) => onChange({ date: event.target.value })} slotProps={{ inputLabel: { shrink: true } }} />
      {order.kind === 'rankings' && (
        <TextField select label="Channel" value={order.channel} onChange={(event) => onChange({ channel: event.target.value })}>
          <MenuItem value="organic">organic</MenuItem>
          <MenuItem value="paid">paid</MenuItem>
        </TextField>
      )}
    </Box>
  );
}
