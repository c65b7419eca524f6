import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useQuery } from '@tanstack/react-query';
import { useState, type ReactNode } from 'react';
import { Link as RouterLink } from 'react-router';
import type { Study } from '../../api/schema';
import { isActive, sourcesQuery, tasksQuery } from '../study/queries';
import { stepsOf, type StepState } from './firstSteps.logic';
import { useDomains } from './useDomains';
import { usePull } from './usePull';
import { measures } from '../../theme/measures';
import { commonWording } from '../../shared/wording';

/** Snapshots that a first pull brings, so that movement can be seen. */
const firstSnapshots = 12;

interface Props {
  study: Study;
  onFind: () => void;
  onFiles: () => void;
}

/** Leads a new study from its domain to its first ranked list. */
export function FirstSteps({ study, onFind, onFiles }: Props) {
  const sources = useQuery(sourcesQuery());
  const tasks = useQuery(tasksQuery(study.slug));
  const pull = usePull(study.slug);
  const states = stepsOf(study, tasks.data?.some(isActive) === true);
  const source = sources.data?.[0];
  const missing = study.stages.gather.without_rankings;
  return (
    <Box
      component="ol"
      aria-label="First steps"
      sx={{ display: 'grid', gridTemplateColumns: `repeat(auto-fit, ${measures.card})`, gap: 3, listStyle: 'none', m: 0, px: 2, py: 2 }}
    >
      <Step title="Our domain" state={states.domain}>
        {study.domain}
      </Step>
      <Step title="Competitors" state={states.competitors}>
        {study.competitors.length === 0 ? 'Competitors' : study.competitors.join(', ')}
        <Box sx={{ mt: 1 }}>
          <Button variant={states.competitors === 'next' ? 'contained' : 'text'} onClick={onFind}>
            {commonWording.findCompetitors}
          </Button>
        </Box>
        <TypeThem study={study} />
      </Step>
      <Step title="Rankings" state={states.rankings}>
        {missing === 0 ? 'Every domain has rankings.' : `${missing} of ${study.stages.gather.domains} domains have no rankings.`}
        <Box sx={{ display: 'flex', gap: 1, mt: 1, flexWrap: 'wrap' }}>
          {source !== undefined && (
            <Button
              variant={states.rankings === 'next' ? 'contained' : 'text'}
              loading={pull.isPending || states.rankings === 'under way'}
              onClick={() => pull.mutate({ source, domain: null, date: null, snapshots: firstSnapshots })}
            >
              Pull all from {source}
            </Button>
          )}
          <Button variant={source === undefined && states.rankings === 'next' ? 'contained' : 'text'} onClick={onFiles}>
            Import files
          </Button>
        </Box>
        {pull.isError && <Alert severity="warning">{pull.error.message}</Alert>}
      </Step>
      <Step title="First ranked list" state={states.list}>
        {states.list === 'done' ? (
          <Button component={RouterLink} to={`/studies/${study.slug}/weigh`} variant="contained">
            Open the ranked list
          </Button>
        ) : (
          'Ready as soon as there are rankings.'
        )}
      </Step>
    </Box>
  );
}

function Step({ title, state, children }: { title: string; state: StepState; children: ReactNode }) {
  return (
    <Box
      component="li"
      aria-current={state === 'next' ? 'step' : undefined}
      sx={{
        borderTop: 3,
        borderColor: state === 'done' ? 'primary.main' : state === 'next' ? 'warning.main' : 'divider',
        pt: 1,
        typography: 'plain',
        color: state === 'later' ? 'text.secondary' : 'text.primary',
        overflowWrap: 'anywhere',
      }}
    >
      <Box sx={{ fontWeight: 700, mb: 0.5 }}>
        {title}
        <Box component="span" sx={{ fontWeight: 400, color: 'text.secondary', ml: 1 }}>
          {state === 'done' ? 'done' : state === 'under way' ? 'under way' : ''}
        </Box>
      </Box>
      {children}
    </Box>
  );
}

function TypeThem({ study }: { study: Study }) {
  const [text, setText] = useState('');
  const domains = useDomains(study);
  return (
    <Box
      component="form"
      onSubmit={(event) => {
        event.preventDefault();
        const typed = text.split(/[\s,;]+/).filter((one) => one !== '' && !study.competitors.includes(one));
        domains.compare({ domain: study.domain ?? '', competitors: [...study.competitors, ...typed] }, { onSuccess: () => setText('') });
      }}
      sx={{ display: 'flex', gap: 1, mt: 1, alignItems: 'start' }}
    >
      <TextField
        multiline
        maxRows={4}
        label="Or type them, one per line"
        value={text}
        onChange={(event) => setText(event.target.value)}
        error={domains.error !== null}
        helperText={domains.error?.message}
        sx={{ flex: 1 }}
      />
      <Button type="submit" disabled={text.trim() === ''} loading={domains.isPending}>
        Add
      </Button>
    </Box>
  );
}
