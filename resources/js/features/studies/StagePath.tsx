import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { MouseEvent } from 'react';
import { NavLink, useNavigate } from 'react-router';
import type { Study } from '../../api/schema';
import { addressOf } from '../sentence/carried';
import { stagesOf, type Stage } from './stages.logic';
import { marks, measures } from '../../theme/measures';

/** The five stages of the work as one connected line, and before them findings. */
export function StagePath({ study }: { study: Study }) {
  return (
    <Box
      component="nav"
      aria-label="Stages"
      className="no-print"
      sx={{
        flex: { xs: '1 0 100%', md: 1 },
        order: { xs: 1, md: 0 },
        display: 'grid',
        gridTemplateColumns: 'minmax(0, 0.8fr) repeat(5, minmax(0, 1fr))',
        py: 1,
        minWidth: 0,
      }}
    >
      <InBrief slug={study.slug} />
      {stagesOf(study).map((stage, place) => (
        <StageLink key={stage.path} stage={stage} place={place} slug={study.slug} />
      ))}
    </Box>
  );
}

/** Before the path: findings, whatever the stage. */
function InBrief({ slug }: { slug: string }) {
  return (
    <Box
      component={NavLink}
      to={`/studies/${slug}/findings`}
      sx={{
        pt: 2,
        px: 1,
        minWidth: 0,
        textDecoration: 'none',
        color: 'text.primary',
        '&.active .stage-name': { textDecoration: 'underline', textUnderlineOffset: 5, textDecorationThickness: 2 },
      }}
    >
      <Typography variant="stage" component="span" className="stage-name" sx={{ display: 'block' }}>
        In brief
      </Typography>
      <Typography variant="caption" component="span" noWrap sx={{ display: 'block', color: 'text.secondary' }}>
        findings
      </Typography>
    </Box>
  );
}

function StageLink({ stage, place, slug }: { stage: Stage; place: number; slug: string }) {
  const navigate = useNavigate();
  const plain = `/studies/${slug}/${stage.path}`;
  return (
    <Box
      component={NavLink}
      to={plain}
      onClick={(event: MouseEvent) => {
        // The sentence goes along; it is looked up when the stage is gone to.
        const address = addressOf(slug, stage.path);
        if (address !== plain && !event.ctrlKey && !event.metaKey && !event.shiftKey) {
          event.preventDefault();
          void navigate(address);
        }
      }}
      sx={{
        position: 'relative',
        pt: 2,
        px: 1,
        textDecoration: 'none',
        color: stage.isReached ? 'text.primary' : 'text.secondary',
        minWidth: 0,
        '&::before': {
          content: '""',
          position: 'absolute',
          top: 7,
          left: place === 0 ? 8 : 0,
          right: place === 4 ? `calc(100% - ${measures.stageDot})` : 0,
          borderTop: 2,
          borderColor: stage.isReached ? 'primary.main' : 'divider',
        },
        '&::after': {
          content: '""',
          position: 'absolute',
          top: 2,
          left: 8,
          width: marks.swatch,
          height: marks.swatch,
          borderRadius: '50%',
          border: 2,
          borderColor: stage.isReached ? 'primary.main' : 'divider',
          bgcolor: 'background.default',
        },
        '&.active::after': { bgcolor: 'primary.main', transform: 'scale(1.25)' },
        '&.active .stage-name': { textDecoration: 'underline', textUnderlineOffset: 5, textDecorationThickness: 2 },
      }}
    >
      <Typography variant="stage" component="span" className="stage-name" sx={{ display: 'block' }}>
        {stage.name}
      </Typography>
      <Typography
        variant="caption"
        component="span"
        sx={{
          display: '-webkit-box',
          WebkitLineClamp: { xs: 1, md: 2 },
          WebkitBoxOrient: 'vertical',
          overflow: 'hidden',
          lineHeight: 1.2,
          color: stage.isWaiting ? 'warning.main' : 'text.secondary',
          fontWeight: stage.isWaiting ? 600 : 400,
        }}
      >
        {stage.figure}
      </Typography>
    </Box>
  );
}
