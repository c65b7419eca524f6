import Box from '@mui/material/Box';
import Link from '@mui/material/Link';
import { useQuery } from '@tanstack/react-query';
import { Link as RouterLink } from 'react-router';
import type { Study } from '../../api/schema';
import { missingIn } from './missing.logic';
import { findingsQuery } from './queries';

/** Larger studies lack nothing altogether, and take a while to look through. */
const most = 100_000;

/** What the lists of a study lack altogether, and what more it would tell; nothing where they lack nothing. */
export function Missing({ study }: { study: Study }) {
  const isSmall = (study.stages.compare?.keywords ?? 0) <= most;
  const findings = useQuery({ ...findingsQuery(study.slug), enabled: isSmall });
  const missing = missingIn(findings.data?.findings ?? []);
  return missing.length === 0 ? null : (
    <Box role="note" className="no-print" sx={{ px: 2, py: 0.75, typography: 'dense', borderBottom: 1, borderColor: 'divider' }}>
      {missing.map((one) => (
        <Box key={one.code}>
          {one.words} {one.next}
        </Box>
      ))}
      <Link component={RouterLink} to={`/studies/${study.slug}/gather`}>
        Go to Gather
      </Link>
    </Box>
  );
}
