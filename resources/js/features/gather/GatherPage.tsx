import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useQuery } from '@tanstack/react-query';
import { useRef, useState, type DragEvent } from 'react';
import { importsQuery, ledgerQuery } from '../../api/queries';
import { Failed, Waiting } from '../../shared/Notice';
import { useStudy } from '../studies';
import { ImportDialog } from './ImportDialog';
import { ImportList } from './ImportList';
import { Ledger } from './Ledger';

/** Bring lists in and see what every domain has: the ledger above, what was imported below, files dropped anywhere. */
export function GatherPage() {
  const study = useStudy();
  const ledger = useQuery(ledgerQuery(study.slug));
  const imports = useQuery(importsQuery(study.slug));
  const [files, setFiles] = useState<File[]>([]);
  const [isOver, setOver] = useState(false);
  const input = useRef<HTMLInputElement>(null);
  // The browser empties its own list as soon as the event is over, so it is copied at once.
  const add = (list: FileList | null) => {
    const chosen = [...(list ?? [])];
    setFiles((before) => [...before, ...chosen]);
  };
  const drop = (event: DragEvent) => {
    event.preventDefault();
    setOver(false);
    add(event.dataTransfer.files);
  };
  const file = files[0];
  return (
    <Box
      onDragOver={(event) => {
        event.preventDefault();
        setOver(study.may_edit);
      }}
      onDragLeave={() => setOver(false)}
      onDrop={study.may_edit ? drop : undefined}
      sx={{ flex: 1, overflowY: 'auto', outline: isOver ? '3px dashed' : 'none', outlineColor: 'primary.main', outlineOffset: -8 }}
    >
      <Box sx={{ display: 'flex', alignItems: 'baseline', px: 2, pt: 2, gap: 2 }}>
        <Typography variant="h2">Domains</Typography>
        <Typography variant="body2" color="text.secondary" sx={{ flex: 1 }}>
          Drop a file anywhere on this page: rankings, keyword lists, figures about domains, page-one results, our own performance.
        </Typography>
        <Button variant="contained" disabled={!study.may_edit} onClick={() => input.current?.click()}>
          Bring in a file
        </Button>
        <input
          ref={input}
          type="file"
          hidden
          multiple
          data-testid="file"
          aria-label="File to bring in"
          onChange={(event) => {
            add(event.target.files);
            event.target.value = '';
          }}
        />
      </Box>
      {ledger.isPending && <Waiting what="Reading the ledger" />}
      {ledger.isError && <Failed error={ledger.error} onRetry={() => void ledger.refetch()} />}
      {ledger.data !== undefined && <Ledger rows={ledger.data} />}
      {imports.data !== undefined && <ImportList imports={imports.data} />}
      {file !== undefined && <ImportDialog key={`${file.name} ${file.lastModified}`} study={study} file={file} remaining={files.length - 1} onClose={() => setFiles((before) => before.slice(1))} />}
    </Box>
  );
}
