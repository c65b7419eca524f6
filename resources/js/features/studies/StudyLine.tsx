import Box from '@mui/material/Box';
import Link from '@mui/material/Link';
import { Link as RouterLink } from 'react-router';
import type { Finding, Study } from '../../api/schema';
import { leadsTo } from '../study/leadsTo';
import { StagePath } from './StagePath';
import { StudyBlock } from './StudyBlock';

/** A study of the list: its path with what waits at each stage, and what stands out most in it. */
export function StudyLine({ study }: { study: Study }) {
  return (
    <Box
      component="section"
      aria-label={study.name}
      sx={{ display: 'flex', flexWrap: { xs: 'wrap', md: 'nowrap' }, borderTop: 1, borderColor: 'divider', py: 1 }}
    >
      <StudyBlock study={study} isHome />
      <Box sx={{ flex: { xs: '1 0 100%', md: 1 }, minWidth: 0 }}>
        <StagePath study={study} />
        {study.finding !== null && <Leading finding={study.finding} slug={study.slug} />}
      </Box>
    </Box>
  );
}

function Leading({ finding, slug }: { finding: Finding; slug: string }) {
  const open = finding.show === null ? `Go to ${finding.stage}` : 'Show them';
  return (
    <Box sx={{ display: 'flex', gap: 2, px: 1, pb: 0.5, typography: 'plain', alignItems: 'baseline' }}>
      <span>{finding.words}</span>
      <Link component={RouterLink} to={leadsTo(slug, finding)} aria-label={`${open}: ${finding.words}`} sx={{ whiteSpace: 'nowrap' }}>
        {open}
      </Link>
    </Box>
  );
}
