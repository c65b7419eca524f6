import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import Popover from '@mui/material/Popover';
import Typography from '@mui/material/Typography';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { address, save } from '../../api/client';
import { whole } from '../../shared/format';
import { shownColumns, shownTable } from '../../shared/shownTable';
import { useStored } from '../../shared/useStored';
import { alsoOf, columnsOf, isAlsos, type Also } from './exports.logic';

/** One of the long lists, which the server writes whole. */
export interface LongList {
  list: 'compare' | 'weigh' | 'pages';
  show: string;
  sort: string;
  dir: string;
  weights?: string;
}

interface Props {
  study: string;
  /** The sentence in words, with its count. */
  title: string;
  /** Name of the view, for the file. */
  view: string;
  /** Null where the view is a table of some rows. */
  long: LongList | null;
}

const isFlag = (value: unknown): value is boolean => typeof value === 'boolean';
const formats = ['csv', 'xlsx', 'json'] as const;

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
  const href = (format: string) =>
    address(`studies/${study}/exports/list.${format}`, { ...long, columns: [...columns, ...beside].join(','), title: heading });
  return (
    <>
      <Button id="export-menu" aria-haspopup="dialog" onClick={(event) => open(event.currentTarget)} sx={{ whiteSpace: 'nowrap' }}>
        As shown …
      </Button>
      <Popover
        open={anchor !== null}
        anchorEl={anchor}
        onClose={() => setAnchor(null)}
        anchorOrigin={{ vertical: 'bottom', horizontal: 'right' }}
        transformOrigin={{ vertical: 'top', horizontal: 'right' }}
      >
        <Box role="dialog" aria-label="Export as shown" sx={{ p: 2, width: 330, fontSize: '0.88rem' }}>
          <Typography variant="h3">What is shown, as a file</Typography>
          <Box component="p" sx={{ my: 0.75 }}>
            {long === null ? 'The table as it stands.' : `All rows, in this order, with the ${whole(columns.length)} columns on show.`}
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

function Choice({ name, isOn, onFlip }: { name: string; isOn: boolean; onFlip: () => void }) {
  return (
    <Box component="label" sx={{ display: 'flex', alignItems: 'center' }}>
      <Checkbox size="small" checked={isOn} onChange={onFlip} sx={{ p: 0.25, mr: 0.5 }} />
      {name}
    </Box>
  );
}
