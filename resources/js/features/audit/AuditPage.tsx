import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useInfiniteQuery } from '@tanstack/react-query';
import { useSearchParams } from 'react-router';
import type { AuditLine } from '../../api/schema';
import { KeptText } from '../../shared/KeptText';
import { Empty, Failed, Waiting } from '../../shared/Notice';
import { PlainTable } from '../../shared/PlainTable';
import { PageHead } from '../session';
import { askedWords, beforeWords, filterOf, outcomeOf } from './filter.logic';
import { auditQuery } from './queries';
import { about } from '../../shared/abouts';
import { fields } from '../../theme/measures';

const asked = [
  { name: 'person', label: 'Person', type: 'text' },
  { name: 'study', label: 'Study', type: 'text' },
  { name: 'action', label: 'Part of the action', type: 'text' },
  { name: 'from', label: 'From', type: 'date' },
  { name: 'to', label: 'To', type: 'date' },
] as const;

/** Audit log, when and from where, the newest first; administrators alone see it. */
export function AuditPage() {
  const [params, setParams] = useSearchParams();
  const list = useInfiniteQuery(auditQuery(filterOf(params)));
  const lines = list.data?.pages.flatMap((page) => page.lines) ?? [];
  const ask = (name: string, value: string) =>
    setParams((before) => {
      const next = new URLSearchParams(before);
      if (value === '') {
        next.delete(name);
      } else {
        next.set(name, value);
      }
      return next;
    });
  return (
    <>
      <PageHead title="Audit log" />
      <Box component="main" sx={{ flex: 1, overflowY: 'auto', px: 2, pb: 3 }}>
        <Box sx={{ display: 'flex', gap: 1, py: 1.5, flexWrap: 'wrap' }}>
          {asked.map(({ name, label, type }) => (
            <KeptText
              key={name}
              type={type}
              label={label}
              value={params.get(name) ?? ''}
              onKeep={(value) => ask(name, value.trim())}
              slotProps={{ inputLabel: { shrink: true } }}
              sx={{ width: name === 'person' ? 260 : 160 }}
            />
          ))}
          <TextField
            select
            label="Outcome"
            value={params.get('outcome') ?? ''}
            onChange={(event) => ask('outcome', event.target.value)}
            slotProps={{ select: { displayEmpty: true }, inputLabel: { shrink: true } }}
            sx={{ width: fields.s }}
          >
            <MenuItem value="">any</MenuItem>
            <MenuItem value="done">done</MenuItem>
            <MenuItem value="refused">refused</MenuItem>
          </TextField>
        </Box>
        {list.isPending && <Waiting what="Loading the audit log" />}
        {list.isError && <Failed error={list.error} onRetry={() => void list.refetch()} />}
        {list.isSuccess && lines.length === 0 && <Empty title="No matching entries">Clear one of the fields above.</Empty>}
        {lines.length > 0 && (
          <PlainTable label="Audit log" headings={headings} numbers={[]}>
            {lines.map((line) => (
              <Line key={line.id} line={line} />
            ))}
          </PlainTable>
        )}
        {list.hasNextPage && (
          <Button onClick={() => void list.fetchNextPage()} loading={list.isFetchingNextPage} sx={{ mt: 1 }}>
            Show older
          </Button>
        )}
      </Box>
    </>
  );
}

const record = 'the audit log of this installation';

const headings = [
  { name: 'When (UTC)', about: about('Time of the request.', '', record) },
  { name: 'Who', about: about('The signed-in person, or the owner of the token.', '', record) },
  { name: 'What', about: about('What was requested, with the name of the operation.', '', record) },
  { name: 'Study', about: about('The study it concerns, if any.', '', record) },
  { name: 'Outcome', about: about('Done, or refused with the HTTP status.', '', record) },
  { name: 'From', about: about('IP address of the request, or the command.', '', record) },
  { name: 'Asked', about: about('The data sent, without secrets.', '', record) },
  { name: 'Before', about: about('The previous values. Decisions and plans keep them under the number of the change.', '', record) },
];

function Line({ line }: { line: AuditLine }) {
  const told = [askedWords(line.detail), beforeWords(line.detail)];
  const outcome = outcomeOf(line);
  return (
    <tr>
      <td style={{ whiteSpace: 'nowrap' }}>{line.at.replace('T', ' ').replace('Z', '')}</td>
      <td>{line.person ?? 'not signed in'}</td>
      <td title={line.action}>{line.words}</td>
      <td>{line.study ?? ''}</td>
      <Box component="td" sx={{ color: outcome === 'done' ? 'text.primary' : 'warning.main' }}>
        {outcome}
      </Box>
      <td>{line.origin}</td>
      {told.map((words, place) => (
        <Box
          key={place}
          component="td"
          sx={{ typography: 'small', color: 'text.secondary', maxWidth: fields.xl, overflowWrap: 'anywhere' }}
        >
          {words.length > 240 ? `${words.slice(0, 240)} …` : words}
        </Box>
      ))}
    </tr>
  );
}
