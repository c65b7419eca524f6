import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import LinearProgress from '@mui/material/LinearProgress';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, told } from '../../api/client';
import { keys } from '../../api/keys';
import type { Study, Upload } from '../../api/schema';
import { BadRowsTable } from './BadRowsTable';
import { ImportChoices } from './ImportChoices';
import { MappingTable } from './MappingTable';
import { orderOf, outcomeWords, type ImportOptions } from './order.logic';
import { usePreview } from './usePreview';
import { useUpload } from './useUpload';
import { wording } from './wording';

interface Props {
  study: Study;
  file: File;
  remaining: number;
  onClose: () => void;
}

/** Sends a file, says what it seems to be and what it would change, row by row where it is bad; then has it imported. */
export function ImportDialog({ study, file, remaining, onClose }: Props) {
  const upload = useUpload(study.slug, file);
  return (
    <Dialog open onClose={onClose} maxWidth="md" fullWidth aria-labelledby="import-title">
      <DialogTitle id="import-title">
        Import {file.name} {remaining > 0 && `(${remaining} more after it)`}
      </DialogTitle>
      {upload.data === undefined ? (
        <>
          <DialogContent>
            {upload.isError ? <Alert severity="error">{upload.error.message}</Alert> : <LinearProgress aria-label="Sending the file" />}
          </DialogContent>
          <DialogActions>
            <Button onClick={onClose}>{remaining > 0 ? wording.skipThisFile : 'Cancel'}</Button>
          </DialogActions>
        </>
      ) : (
        <Uploaded study={study} upload={upload.data} remaining={remaining} onClose={onClose} />
      )}
    </Dialog>
  );
}

function Uploaded({ study, upload, remaining, onClose }: { study: Study; upload: Upload; remaining: number; onClose: () => void }) {
  const client = useQueryClient();
  const [order, setOrder] = useState<ImportOptions>(() => orderOf(upload));
  const { preview, isLooking, progress, error } = usePreview(study.slug, order);
  const send = useMutation({
    mutationFn: () => told(api.POST('/studies/{slug}/imports', { params: { path: { slug: study.slug } }, body: order })),
    onSuccess: async () => {
      await client.invalidateQueries({ queryKey: keys.study(study.slug) });
      onClose();
    },
  });
  const set = (changes: Partial<ImportOptions>) => setOrder((before) => ({ ...before, allow_errors: 0, ...changes }));
  const bad = preview?.bad_rows;
  const isReady = !isLooking && preview?.problem === null && preview.outcome !== null;
  return (
    <>
      <DialogContent>
        {upload.notes.map((note) => (
          <p key={note}>{note}</p>
        ))}
        <ImportChoices study={study} order={order} onChange={set} />
        {(isLooking || send.isPending) && <LinearProgress aria-label={send.isPending ? 'Importing' : 'Loading the file'} sx={{ my: 1 }} />}
        {isLooking && progress !== '' && <p>{progress}</p>}
        {error !== null && <Alert severity="error">{error}</Alert>}
        {preview?.problem != null && <Alert severity="warning">{preview.problem}</Alert>}
        {send.isError && <Alert severity="error">{send.error.message}</Alert>}
        {preview !== undefined && (
          <MappingTable
            preview={preview}
            onMap={(mapping) => set({ mapping })}
            onHeader={(line) => set({ header_line: line, mapping: {} })}
          />
        )}
        {isReady && <p>{outcomeWords(preview.format, preview.outcome)}</p>}
        {isReady && preview.outcome !== null && preview.outcome.notes.length > 0 && (
          <>
            <p>Preview of the import:</p>
            <ul>
              {preview.outcome.notes.map((note) => (
                <li key={note}>{note}</li>
              ))}
            </ul>
          </>
        )}
        {bad != null && bad.total > 0 && (
          <BadRowsTable badRows={bad} isAllowed={order.allow_errors >= bad.total} onAllow={() => set({ allow_errors: bad.total })} />
        )}
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>{remaining > 0 ? wording.skipThisFile : 'Cancel'}</Button>
        <Button variant="contained" disabled={!isReady} loading={send.isPending} onClick={() => send.mutate()}>
          Import
        </Button>
      </DialogActions>
    </>
  );
}
