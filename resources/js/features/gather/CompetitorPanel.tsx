import { HeadingRow } from '../../shared/HeadingRow';
import { about, sources as origins } from '../../shared/abouts';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import TextField from '@mui/material/TextField';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { candidatesQuery } from './queries';
import { sourcesQuery } from '../study/queries';
import type { CompetitorCandidate, Study } from '../../api/schema';
import { decimal, whole } from '../../shared/format';
import { Failed, Waiting } from '../../shared/Notice';
import { SidePanel } from '../../shared/SidePanel';
import { peerRemark } from './peers.logic';
import { useDomains } from './useDomains';
import { parts } from '../../theme/measures';

interface Props {
  study: Study;
  title: string;
  onClose: () => void;
}

/** Who shares keywords with us, and who with them; arrow keys move, a adds the one under them to the comparison. */
export function CompetitorPanel({ study, title, onClose }: Props) {
  const sources = useQuery(sourcesQuery());
  const [isFurther, setFurther] = useState(false);
  const [typed, setTyped] = useState('');
  const [keywords, setKeywords] = useState('');
  const found = useQuery({
    ...candidatesQuery(study.slug, { source: sources.data?.[0] ?? '', further: isFurther, keywords }),
    enabled: sources.data !== undefined,
  });
  const domains = useDomains(study);
  const isFull = study.competitors.length >= 10;
  const add = (candidate: CompetitorCandidate) => {
    if (candidate.role !== 'competitor' && candidate.role !== 'own' && !isFull) {
      domains.compare({ domain: study.domain ?? '', competitors: [...study.competitors, candidate.domain] });
    }
  };
  return (
    <SidePanel title={title} onClose={onClose} width={parts.xl}>
      <Box
        component="form"
        onSubmit={(event) => {
          event.preventDefault();
          setKeywords(typed);
        }}
        sx={{ display: 'flex', gap: 1, alignItems: 'start' }}
      >
        <TextField
          multiline
          maxRows={4}
          fullWidth
          label="Only from page one of these keywords, one per line"
          value={typed}
          onChange={(event) => setTyped(event.target.value)}
        />
        <Button type="submit">Look</Button>
      </Box>
      <FormControlLabel
        control={<Checkbox size="small" checked={isFurther} onChange={(event) => setFurther(event.target.checked)} />}
        label="Include competitors of our competitors"
      />
      {isFull && <Alert severity="info">You already compare ten competitors. Remove one before you add another.</Alert>}
      {domains.error !== null && <Alert severity="warning">{domains.error.message}</Alert>}
      {found.isPending && <Waiting what="Looking for competitors" />}
      {found.isError && <Failed error={found.error} onRetry={() => void found.refetch()} />}
      {found.data?.length === 0 && <p>No competitors found. Import page-one results, or connect a source that knows our domain.</p>}
      {found.data !== undefined && found.data.length > 0 && (
        <Box
          component="table"
          aria-label="Candidates"
          sx={{
            width: '100%',
            borderCollapse: 'collapse',
            typography: 'dense',
            '& th, & td': { borderBottom: 1, borderColor: 'divider', py: 0.5, px: 0.5, textAlign: 'right', verticalAlign: 'top' },
            '& td:not(:first-of-type)': { whiteSpace: 'nowrap' },
            '& th:first-of-type, & td:first-of-type': { textAlign: 'left' },
          }}
        >
          <HeadingRow headings={headings} />
          <tbody>
            {found.data.map((candidate) => (
              <CandidateRow
                key={candidate.domain}
                candidate={candidate}
                isPending={domains.isPending}
                isFull={isFull}
                onAdd={() => add(candidate)}
              />
            ))}
          </tbody>
        </Box>
      )}
    </SidePanel>
  );
}

function moveFocus(from: HTMLElement, step: 1 | -1) {
  const rows = [...(from.parentElement?.children ?? [])];
  const next = rows[rows.indexOf(from) + step];
  if (next instanceof HTMLElement) {
    next.focus();
  }
}

function CandidateRow({
  candidate,
  isPending,
  isFull,
  onAdd,
}: {
  candidate: CompetitorCandidate;
  isPending: boolean;
  isFull: boolean;
  onAdd: () => void;
}) {
  const isCompared = candidate.role === 'competitor' || candidate.role === 'own';
  return (
    <Box
      component="tr"
      tabIndex={0}
      aria-label={`${candidate.domain}, ${candidate.in_common} keywords in common`}
      onKeyDown={(event) => {
        if (event.key === 'a') {
          event.preventDefault();
          onAdd();
        } else if (event.key === 'ArrowDown' || event.key === 'ArrowUp') {
          event.preventDefault();
          moveFocus(event.currentTarget, event.key === 'ArrowDown' ? 1 : -1);
        }
      }}
    >
      <td>
        {candidate.domain}
        <Box sx={{ color: 'text.secondary', typography: 'small' }}>
          {peerRemark(candidate.peer)}; found by {candidate.found.join(' and ')}
        </Box>
      </td>
      <td>{whole(candidate.in_common)}</td>
      <td>{whole(candidate.we_lack)}</td>
      <td>{whole(candidate.they_lack)}</td>
      <td>{decimal(candidate.authority, 0)}</td>
      <td>
        {isCompared ? (
          'compared'
        ) : (
          <Button tabIndex={-1} disabled={isPending || isFull} onClick={onAdd} sx={{ minWidth: 0, py: 0 }}>
            Add (a)
          </Button>
        )}
      </td>
    </Box>
  );
}

const headings = [
  { name: 'Domain', about: about('Found in search results, or already a candidate.', '', origins.results) },
  { name: 'In common', about: about('Keywords we both rank for.', 'keywords', origins.rankings) },
  { name: 'We lack', about: about('Keywords it ranks for and we don’t.', 'keywords', origins.rankings) },
  { name: 'They lack', about: about('Keywords we rank for and it doesn’t.', 'keywords', origins.rankings) },
  { name: 'Authority', about: about('Authority of the domain.', '0–100', 'the first source in rulebook order that has it') },
  '',
] as const;
