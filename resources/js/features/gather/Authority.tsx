import Box from '@mui/material/Box';
import Link from '@mui/material/Link';
import Popover from '@mui/material/Popover';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import type { LedgerRow } from '../../api/schema';
import { DomainSources } from '../keyword/DomainSources';
import { decimal } from '../../shared/format';
import { isDisputed } from './peers.logic';
import { measures, parts } from '../../theme/measures';

/** The authority in use; opens into what every source says, with a sign where they disagree. */
export function Authority({ row }: { row: LedgerRow }) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  if (row.said.length === 0) {
    return decimal(row.authority, 0);
  }
  const disputed = isDisputed(row.said);
  return (
    <>
      <Link
        component="button"
        type="button"
        color="inherit"
        underline="hover"
        title={`Sources of the authority of ${row.entry}`}
        onClick={(event) => setAnchor(event.currentTarget)}
        sx={{ minHeight: measures.target, minWidth: measures.target }}
      >
        {disputed && (
          <Box component="span" role="img" aria-label="sources disagree" sx={{ color: 'warning.main', pr: 0.5 }}>
            ≠
          </Box>
        )}
        {decimal(row.authority, 0)}
      </Link>
      <Popover
        open={anchor !== null}
        anchorEl={anchor}
        onClose={() => setAnchor(null)}
        anchorOrigin={{ vertical: 'bottom', horizontal: 'left' }}
      >
        <Box sx={{ p: 1.5, maxWidth: parts.l }}>
          <Typography variant="body2" sx={{ pb: 0.5 }}>
            Authority of {row.entry}, 0–100: {decimal(row.authority, 0)}.{' '}
            {disputed
              ? 'Sources disagree. We use the first in the order of “authority sources” in the rulebook, then the newest.'
              : 'By source:'}
          </Typography>
          <DomainSources said={row.said} />
        </Box>
      </Popover>
    </>
  );
}
