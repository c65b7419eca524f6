import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { movementQuery } from './queries';
import type { Comparison, Movement, Study } from '../../api/schema';
import { position, whole } from '../../shared/format';
import { KeywordButton } from '../keyword/KeywordButton';
import { Empty, Failed, Waiting } from '../../shared/Notice';
import { PlainTable } from '../../shared/PlainTable';
import { useSorting } from '../../shared/useSorting';
import { about, sources } from '../../shared/abouts';
import { movementWords } from '../keyword/movement';
import { fields } from '../../theme/measures';
import { commonWording } from '../../shared/wording';

const kinds: Movement[] = ['climbed', 'slipped', 'entered', 'left', 'steady'];

const headings = [
  { name: 'Keyword', sort: 'keyword', startsAscending: true, about: about('The keyword.', '', sources.rankings) },
  {
    name: 'Movement',
    sort: 'movement',
    startsAscending: true,
    about: about('How the position changed between the two days.', '', sources.rankings),
  },
  {
    name: 'Before',
    sort: 'before',
    startsAscending: true,
    about: about('Best position on the earlier day.', 'position', sources.rankings),
  },
  { name: 'After', sort: 'after', startsAscending: true, about: about('Best position on the later day.', 'position', sources.rankings) },
  {
    name: 'Volume',
    sort: 'volume',
    about: about(commonWording.searchesAMonth, 'searches a month', 'the first source in rulebook order that has it'),
  },
];

interface Props {
  study: Study;
  comparison: Comparison;
  onKeyword: (keyword: string) => void;
  onGaps: (clause: string) => void;
}

/** Movement for one domain between any two of its days. What a competitor gains is its focus; what it loses is an opening. */
export function MovementView({ study, comparison, onKeyword, onGaps }: Props) {
  const [domain, setDomain] = useState(comparison.domains[0]?.id ?? 0);
  const [days, setDays] = useState({ from: '', to: '' });
  const [only, setOnly] = useState<Movement | ''>('');
  const sorting = useSorting('volume');
  const moved = useQuery(movementQuery(study.slug, { domain, ...days, only, sort: sorting.by, dir: sorting.dir }));
  const choices = moved.data?.days ?? [];
  return (
    <Box sx={{ flex: 1, overflowY: 'auto', px: 2, pb: 3 }}>
      <Box sx={{ display: 'flex', gap: 1, my: 1, alignItems: 'center', flexWrap: 'wrap' }}>
        <TextField
          select
          label="Domain"
          value={String(domain)}
          onChange={(event) => {
            setDomain(Number(event.target.value));
            setDays({ from: '', to: '' });
          }}
          sx={{ minWidth: fields.xl }}
        >
          {comparison.domains.map((compared) => (
            <MenuItem key={compared.id} value={String(compared.id)}>
              {compared.entry}
            </MenuItem>
          ))}
        </TextField>
        {(['from', 'to'] as const).map((end) => (
          <TextField
            key={end}
            select
            label={end === 'from' ? 'From' : 'To'}
            value={days[end] === '' ? (moved.data?.[end] ?? '') : days[end]}
            onChange={(event) => setDays((before) => ({ ...before, [end]: event.target.value }))}
            sx={{ minWidth: fields.m }}
          >
            {(choices.length === 0 ? [''] : choices).map((day) => (
              <MenuItem key={day} value={day}>
                {day}
              </MenuItem>
            ))}
          </TextField>
        ))}
        <Button onClick={() => onGaps('gaps=opened')}>Gaps opened</Button>
        <Button onClick={() => onGaps('gaps=closed')}>Gaps closed</Button>
      </Box>
      {moved.isPending && <Waiting what="Loading movement" />}
      {moved.isError && <Failed error={moved.error} onRetry={() => void moved.refetch()} />}
      {moved.data !== undefined && moved.data.from === null && (
        <Empty title="Nothing to compare with">This domain has only one snapshot. Import rankings of another day.</Empty>
      )}
      {moved.data !== undefined && moved.data.from !== null && (
        <>
          <Box role="group" aria-label="Kinds of movement" sx={{ display: 'flex', gap: 1, mb: 1 }}>
            {kinds.map((kind) => (
              <Button
                key={kind}
                aria-pressed={only === kind}
                variant={only === kind ? 'outlined' : 'text'}
                onClick={() => setOnly(only === kind ? '' : kind)}
              >
                {movementWords[kind]} {whole(moved.data.counts[kind] ?? 0)}
              </Button>
            ))}
            {only === '' && (moved.data.counts.steady ?? 0) > 0 && (
              <Box component="span" sx={{ alignSelf: 'center', typography: 'dense', color: 'text.secondary' }}>
                Steady keywords are hidden: they moved no more than usual.
              </Box>
            )}
          </Box>
          <PlainTable label="Movement" headings={headings} sorting={sorting} numbers={[2, 3, 4]}>
            {moved.data.rows.map((row) => (
              <tr key={row.keyword}>
                <td>
                  <KeywordButton keyword={row.keyword} onOpen={onKeyword} />
                </td>
                <td>{movementWords[row.movement]}</td>
                <td>{position(row.before)}</td>
                <td>{position(row.after)}</td>
                <td>{whole(row.volume)}</td>
              </tr>
            ))}
          </PlainTable>
        </>
      )}
    </Box>
  );
}
