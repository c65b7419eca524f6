import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useQuery } from '@tanstack/react-query';
import { useEffect, useRef, useState, type DragEvent } from 'react';
import { importsQuery } from './queries';
import { ledgerQuery, sourcesQuery, tasksQuery } from '../study/queries';
import { sideBySide } from '../../shared/layout';
import { Failed, Waiting } from '../../shared/Notice';
import { useUrlState } from '../sentence/useUrlState';
import { useStudy } from '../study';
import { ClicksPanel } from './ClicksPanel';
import { CompetitorPanel } from './CompetitorPanel';
import { FirstSteps } from './FirstSteps';
import { isNew } from './firstSteps.logic';
import { ImportBatch } from './ImportBatch';
import { ImportDialog } from './ImportDialog';
import { ImportList } from './ImportList';
import { Ledger } from './Ledger';
import { PullPanel } from './PullPanel';
import { TaskStrip } from './TaskStrip';
import { WordsPanel } from './WordsPanel';
import { fields, lines } from '../../theme/measures';
import { wording } from './wording';
import { commonWording } from '../../shared/wording';

const panels = {
  pull: 'Pull from a source',
  competitors: commonWording.findCompetitors,
  words: 'Add keywords',
  clicks: commonWording.ourOwnClicks,
} as const;
type PanelName = keyof typeof panels;

/** Bring lists in and see what every domain has: the ledger, the work going on, what was imported; files dropped anywhere. */
export function GatherPage() {
  const study = useStudy();
  const ledger = useQuery(ledgerQuery(study.slug));
  const imports = useQuery(importsQuery(study.slug));
  const tasks = useQuery(tasksQuery(study.slug));
  const sources = useQuery(sourcesQuery());
  // Drawn together, so that nothing moves under the pointer while one part after the other arrives.
  const isWaiting = [ledger, imports, tasks, sources].some(({ isPending }) => isPending);
  const [params, change] = useUrlState();
  const [files, setFiles] = useState<File[]>([]);
  const [isOver, setOver] = useState(false);
  const input = useRef<HTMLInputElement>(null);
  const panel = params.get('panel');
  const isReady = ledger.data !== undefined;
  useEffect(() => {
    if (panel === 'import' && isReady) {
      change({ panel: null }, true);
      input.current?.click();
    }
  }, [panel, isReady, change]);
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
  const file = files.length === 1 ? files[0] : undefined;
  const close = () => change({ panel: null }, true);
  return (
    <Box sx={sideBySide}>
      <Box
        onDragOver={(event) => {
          event.preventDefault();
          setOver(study.may_edit);
        }}
        onDragLeave={() => setOver(false)}
        onDrop={study.may_edit ? drop : undefined}
        sx={{
          flex: 1,
          minWidth: 0,
          overflowY: 'auto',
          outline: isOver ? lines.drop : 'none',
          outlineColor: 'primary.main',
          outlineOffset: -8,
        }}
      >
        <Box sx={{ display: 'flex', alignItems: 'center', px: 2, pt: 1.5, gap: 1, flexWrap: 'wrap' }}>
          <Typography variant="h2" sx={{ mr: 1 }}>
            Domains
          </Typography>
          <Typography variant="body2" color="text.secondary" sx={{ flex: 1, minWidth: fields.l }}>
            Drop files anywhere on this page.
          </Typography>
          {Object.entries(panels).map(([name, title]) => (
            <Button
              key={name}
              variant={panel === name ? 'outlined' : 'text'}
              aria-pressed={panel === name}
              disabled={!study.may_edit && name !== 'clicks'}
              onClick={() => change({ panel: panel === name ? null : name }, true)}
            >
              {title}
            </Button>
          ))}
          <Button variant="contained" disabled={!study.may_edit} onClick={() => input.current?.click()}>
            Import files
          </Button>
          <input
            ref={input}
            type="file"
            hidden
            multiple
            data-testid="file"
            aria-label={wording.filesToImport}
            onChange={(event) => {
              add(event.target.files);
              event.target.value = '';
            }}
          />
        </Box>
        {isWaiting && <Waiting what="Loading domains" />}
        {!isWaiting && isNew(study) && (
          <FirstSteps study={study} onFind={() => change({ panel: 'competitors' }, true)} onFiles={() => input.current?.click()} />
        )}
        {!isWaiting && <TaskStrip study={study} />}
        {ledger.isError && <Failed error={ledger.error} onRetry={() => void ledger.refetch()} />}
        {!isWaiting && ledger.data !== undefined && <Ledger study={study} rows={ledger.data} isNarrow={panel !== null} />}
        {!isWaiting && imports.data !== undefined && <ImportList study={study} imports={imports.data} />}
      </Box>
      {isPanel(panel) && <Panel name={panel} onClose={close} />}
      {file !== undefined && (
        <ImportDialog
          key={`${file.name} ${file.lastModified} ${files.length}`}
          study={study}
          file={file}
          remaining={0}
          onClose={() => setFiles([])}
        />
      )}
      {files.length > 1 && <ImportBatch key={files.length} study={study} files={files} onClose={() => setFiles([])} />}
    </Box>
  );
}

function isPanel(name: string | null): name is PanelName {
  return name !== null && name in panels;
}

function Panel({ name, onClose }: { name: PanelName; onClose: () => void }) {
  const study = useStudy();
  const props = { study, title: panels[name], onClose };
  switch (name) {
    case 'pull':
      return <PullPanel {...props} />;
    case 'competitors':
      return <CompetitorPanel {...props} />;
    case 'words':
      return <WordsPanel {...props} />;
    case 'clicks':
      return <ClicksPanel {...props} />;
  }
}
