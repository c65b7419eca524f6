import Box from '@mui/material/Box';
import Link from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { Link as RouterLink } from 'react-router';
import type { Study } from '../../api/schema';
import { StudyDialog } from './StudyDialog';
import { focusRing, measures } from '../../theme/measures';

/** The study to the left of the path: name, domain, competitors, market and day, all changeable in place. */
export function StudyBlock({ study, isHome = false }: { study: Study; isHome?: boolean }) {
  const [isOpen, setOpen] = useState(false);
  return (
    <Box
      sx={{
        position: 'relative',
        width: { xs: 'auto', md: 292 },
        flex: { xs: 1, md: 'none' },
        minWidth: { xs: 240, md: 0 },
        px: 2,
        py: 1,
        borderRight: { xs: 0, md: 1 },
        borderColor: 'divider',
      }}
    >
      <Box sx={{ display: 'flex', justifyContent: 'space-between', alignItems: 'baseline', gap: 1 }}>
        <Typography variant="h2" component={isHome ? 'h3' : 'h1'} noWrap sx={{ typography: 'large' }}>
          {isHome ? (
            <Link
              component={RouterLink}
              to={`/studies/${study.slug}/${study.comparison === null ? 'gather' : 'compare'}`}
              color="inherit"
              sx={{ display: 'inline-block', minHeight: measures.heading, lineHeight: measures.heading }}
            >
              {study.name}
            </Link>
          ) : (
            study.name
          )}
        </Typography>
        {!isHome && <LinksBeside slug={study.slug} />}
      </Box>
      <Box
        component="button"
        type="button"
        disabled={!study.may_edit}
        onClick={() => setOpen(true)}
        title={study.may_edit ? 'Change domain, competitors, market and day' : 'Readers cannot change the study'}
        sx={{
          all: 'unset',
          cursor: study.may_edit ? 'pointer' : 'default',
          display: 'block',
          typography: 'note',
          color: 'text.secondary',
          lineHeight: 1.45,
          '&:focus-visible': focusRing,
        }}
      >
        <Box component="span" sx={{ color: 'text.primary', fontWeight: 600 }}>
          {study.domain}
        </Box>
        <Box component="span" sx={{ display: { xs: 'inline', md: 'block' }, maxWidth: { md: 200 }, ml: { xs: 1, md: 0 } }}>
          against {study.competitors.length} · {study.country}, {study.language}, {study.device} ·{' '}
          {study.as_of === null ? 'newest' : study.as_of}
        </Box>
      </Box>
      {isOpen && <StudyDialog study={study} onClose={() => setOpen(false)} />}
    </Box>
  );
}

/** Ways out of the study: beside its name in a narrow window, else in the corners. */
function LinksBeside({ slug }: { slug: string }) {
  const look = { flexShrink: 0, display: 'inline-block', lineHeight: measures.target };
  return (
    <Box sx={{ display: 'flex', gap: 2, flexShrink: 0 }}>
      <Link component={RouterLink} to="/" variant="caption" sx={look}>
        all studies
      </Link>
      <Link
        component={RouterLink}
        to={`/studies/${slug}/rulebook`}
        variant="caption"
        sx={{ ...look, position: { md: 'absolute' }, right: 16, bottom: 4 }}
      >
        rulebook
      </Link>
    </Box>
  );
}
