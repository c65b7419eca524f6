import Box from '@mui/material/Box';
import type { Standing } from '../api/types';

/** A standing as its word with a small bar in its ink beside it. */
export function StandingWord({ standing }: { standing: Standing }) {
  return (
    <Box component="span" sx={{ display: 'inline-flex', alignItems: 'center', gap: 0.75 }}>
      <Box component="span" aria-hidden="true" sx={{ width: 4, height: 14, bgcolor: `ink.standing.${standing}` }} />
      {standing}
    </Box>
  );
}
