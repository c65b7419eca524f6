import Box from '@mui/material/Box';
import LinearProgress from '@mui/material/LinearProgress';
import Link from '@mui/material/Link';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';
import { Link as RouterLink, Outlet, useNavigate, useParams } from 'react-router';
import { keys } from '../api/keys';
import { comparisonQuery, studyQuery, vocabularyQuery } from '../features/study/queries';
import { BrokenComparison } from './BrokenComparison';
import { PersonMenu } from '../features/session';
import { StagePath, StudyBlock } from '../features/studies';
import type { StudyContext } from '../features/study';
import { whole } from '../shared/format';
import { Failed, Waiting } from '../shared/Notice';
import { useHotkeys } from '../shared/useHotkeys';
import { addressOf } from '../features/sentence/carried';
import { useSentenceSteps } from '../features/sentence/useUrlState';
import { SkipLink } from './SkipLink';
import { useGlobalKeys } from './useGlobalKeys';
import { measures } from '../theme/measures';
import { commonWording } from '../shared/wording';

const stages = ['gather', 'compare', 'weigh', 'plan', 'track'];

/** What stays around every stage of a study: the study itself, the path, and news of a comparison being made. */
export function StudyFrame() {
  const { slug = '' } = useParams();
  const study = useQuery(studyQuery(slug));
  const state = useQuery({ ...comparisonQuery(slug), enabled: study.isSuccess });
  const vocabulary = useQuery(vocabularyQuery());
  const global = useGlobalKeys(study.data);
  const navigate = useNavigate();
  const client = useQueryClient();
  const steps = useSentenceSteps();
  const shown = state.data?.comparison?.id;
  useEffect(() => {
    if (shown !== undefined) {
      void client.invalidateQueries({ queryKey: keys.part(slug, 'itself') });
      void client.invalidateQueries({ queryKey: keys.part(slug, 'ledger') });
    }
  }, [client, slug, shown]);
  useHotkeys({
    n: () => document.getElementById('noise-menu')?.click(),
    z: steps.undo,
    Z: steps.redo,
    r: () => void navigate(`/studies/${slug}/rulebook`),
    0: () => void navigate(`/studies/${slug}/findings`),
    ...Object.fromEntries(stages.map((stage, index) => [String(index + 1), () => void navigate(addressOf(slug, stage))])),
  });
  if (study.isPending || vocabulary.isPending) {
    return <Waiting what="Opening the study" />;
  }
  if (vocabulary.isError) {
    return <Failed error={vocabulary.error} onRetry={() => void vocabulary.refetch()} />;
  }
  if (study.isError) {
    return (
      <Failed error={study.error} onRetry={() => void study.refetch()}>
        <Link component={RouterLink} to="/" sx={{ ml: 2 }}>
          {commonWording.goToTheListOfStudies}
        </Link>
      </Failed>
    );
  }
  const context: StudyContext = { study: study.data };
  return (
    <>
      <SkipLink />
      <Box
        component="header"
        sx={{ display: 'flex', flexWrap: { xs: 'wrap', md: 'nowrap' }, alignItems: 'stretch', borderBottom: 1, borderColor: 'divider' }}
      >
        <StudyBlock study={study.data} />
        <StagePath study={study.data} />
        <Box className="no-print" sx={{ display: 'flex' }}>
          <PersonMenu onKeys={global.openHelp} />
        </Box>
      </Box>
      {state.data?.problem != null && <BrokenComparison slug={slug} problem={state.data.problem} />}
      {state.data?.is_current === false && state.data.problem === null && (
        <Box role="status" sx={{ px: 2, py: 0.25, typography: 'note', bgcolor: 'ink.wash' }}>
          {study.data.comparison === null ? 'Comparing for the first time' : 'The data has changed. Comparing again'}
          {state.data.keywords_done === null
            ? ' …'
            : `: ${whole(state.data.keywords_done)} keywords so far. The list below is the previous one.`}
          <LinearProgress aria-label="Comparing" sx={{ height: measures.split }} />
        </Box>
      )}
      <Box component="main" sx={{ flex: 1, minHeight: 0, display: 'flex', flexDirection: 'column' }}>
        <Outlet context={context} />
      </Box>
      {global.dialogs}
    </>
  );
}
