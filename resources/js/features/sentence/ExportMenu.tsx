import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import Popover from '@mui/material/Popover';
import Typography from '@mui/material/Typography';
import { useMutation, useQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import type { LongList } from '../../api/schema';
import { address, api, save, told } from '../../api/client';
import { whole } from '../../shared/format';
import { shownColumns, shownTable } from '../../shared/shownTable';
import { useStored } from '../../shared/useStored';
import { writtenQuery } from './queries';
import { alsoOf, columnsOf, isAlsos, type Also } from './exports.logic';
import { parts } from '../../theme/measures';

/** One of the long lists, which the server writes whole. */
export interface ShownList {
  list: LongList;
  show: string;
  sort: string;
  dir: string;
  weights?: string;
  /** Rows that it has; a spreadsheet of very many is written in the background. */
  rows: number;
}

interface Props {
  study: string;
  /** The sentence in words, with its count. */
  title: string;
  /** Name of the view, for the file. */
  view: string;
  /** Null where the view is a table of some rows. */
  long: ShownList | null;
}

const isFlag = (value: unknown): value is boolean => typeof value === 'boolean';
const formats = ['csv', 'xlsx', 'json'] as const;

/** Rows from which a spreadsheet takes longer than a person would wait for a download to begin. */
const inBackgroundFrom = 10_000;

/** Saves what is on show with its columns and in its order, beside the fixed tables that Export CSV writes. */
export function ExportMenu({ study, title, view, long }: Props) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  // Kept as they were when the menu opened: a link that is pressed is followed after the menu has gone.
  const [columns, setColumns] = useState<string[]>([]);
  const [also, setAlso] = useStored<Also[]>('reach-export-also', [], isAlsos);
  const [isTitled, setTitled] = useStored('reach-export-titled', true, isFlag);
  const heading = isTitled ? title : '';
  const write = useMutation({
    mutationFn: (format: string) => {
      const table = shownTable() ?? { headings: [], rows: [] };
      return save(
        `studies/${study}/exports/table.${format}`,
        { ...table, name: view, title: heading === '' ? null : heading },
        `${study}-${view}.${format}`,
      );
    },
    onSuccess: () => setAnchor(null),
  });
  const offered = alsoOf.filter(({ isOfPages }) => isOfPages || long?.list !== 'pages');
  const beside = offered.flatMap(({ key }) => (also.includes(key) ? [key] : []));
  const open = (button: HTMLElement) => {
    setColumns(long === null ? [] : columnsOf(long.list, shownColumns()));
    setAnchor(button);
  };
  const { rows = 0, ...asked } = long ?? {};
  const order = { ...asked, columns: [...columns, ...beside].join(','), title: heading };
  const href = (format: string) => address(`studies/${study}/exports/list.${format}`, order);
  return (
    <>
      <Button id="export-menu" aria-haspopup="dialog" onClick={(event) => open(event.currentTarget)} sx={{ whiteSpace: 'nowrap' }}>
        As shown…
      </Button>
      <Popover
        open={anchor !== null}
        anchorEl={anchor}
        onClose={() => setAnchor(null)}
        anchorOrigin={{ vertical: 'bottom', horizontal: 'right' }}
        transformOrigin={{ vertical: 'top', horizontal: 'right' }}
      >
        <Box role="dialog" aria-label="Export as shown" sx={{ p: 2, width: parts.s, typography: 'dense' }}>
          <Typography variant="h3">Export this view</Typography>
          <Box component="p" sx={{ my: 0.75 }}>
            {long === null ? 'The table as shown.' : `All rows, in this order, with the ${whole(columns.length)} columns shown.`}
          </Box>
          {long !== null &&
            offered.map(({ key, name }) => (
              <Choice
                key={key}
                name={name}
                isOn={also.includes(key)}
                onFlip={() => setAlso(also.includes(key) ? also.filter((other) => other !== key) : [...also, key])}
              />
            ))}
          <Choice name="The sentence as the first line" isOn={isTitled} onFlip={() => setTitled(!isTitled)} />
          {write.isError && <Alert severity="error">{write.error.message}</Alert>}
          <Box sx={{ display: 'flex', gap: 1, mt: 1 }}>
            {formats.map((format) =>
              long === null ? (
                <Button key={format} variant="outlined" loading={write.isPending} onClick={() => write.mutate(format)}>
                  {format.toUpperCase()}
                </Button>
              ) : format === 'xlsx' && rows > inBackgroundFrom ? (
                <WrittenFile key={format} study={study} order={{ ...order, list: long.list }} onFetched={() => setAnchor(null)} />
              ) : (
                <Button key={format} variant="outlined" component="a" href={href(format)} download onClick={() => setAnchor(null)}>
                  {format.toUpperCase()}
                </Button>
              ),
            )}
          </Box>
        </Box>
      </Popover>
    </>
  );
}

interface WrittenProps {
  study: string;
  order: { list: LongList; columns: string; title: string };
  onFetched: () => void;
}

/** A spreadsheet of very many rows: begun by a press, fetched by itself when it is ready. */
function WrittenFile({ study, order, onFetched }: WrittenProps) {
  const path = { slug: study };
  const begin = useMutation({
    mutationFn: () => told(api.POST('/studies/{slug}/exports/list', { params: { path }, body: order })),
  });
  const task = begin.data?.id ?? null;
  const written = useQuery({ ...writtenQuery(study, task ?? 0), enabled: task !== null });
  const status = written.data?.status;
  useEffect(() => {
    if (task !== null && status === 'done') {
      window.location.assign(address(`studies/${study}/tasks/${task}/file`));
      onFetched();
    }
  }, [study, task, status, onFetched]);
  const { done = 0, total = null, message = '' } = written.data ?? {};
  if (task !== null && (status === undefined || status === 'waiting' || status === 'running')) {
    return (
      <Box role="status" sx={{ alignSelf: 'center', flex: 1 }}>
        {total === null ? 'XLSX is waiting' : `XLSX: ${whole(done)} of ${whole(total)} rows`}
      </Box>
    );
  }
  return (
    <Button variant="outlined" loading={begin.isPending} onClick={() => begin.mutate()} title={begin.error?.message ?? message}>
      {begin.isError || message !== '' ? 'XLSX again' : 'XLSX'}
    </Button>
  );
}

function Choice({ name, isOn, onFlip }: { name: string; isOn: boolean; onFlip: () => void }) {
  return (
    <Box component="label" sx={{ display: 'flex', alignItems: 'center' }}>
      <Checkbox size="small" checked={isOn} onChange={onFlip} sx={{ p: 0.25, mr: 0.5 }} />
      {name}
    </Box>
  );
}
