import Box from '@mui/material/Box';
import type { CriterionName, Scores } from '../../api/types';
import { decimal } from '../../shared/format';
import { partsOf, type Weights } from './weights.logic';

/** Fill of each criterion, told apart by strength and pattern as well as by colour. */
export const criterionFill: Record<CriterionName, string> = {
  volume: 'var(--mui-palette-text-primary)',
  ease: 'var(--mui-palette-primary-main)',
  gain: 'repeating-linear-gradient(135deg, var(--mui-palette-warning-main) 0 3px, var(--mui-palette-ink-standing-behind) 3px 6px)',
  value: 'var(--mui-palette-ink-standing-ahead)',
  intent: 'repeating-linear-gradient(90deg, var(--mui-palette-ink-standing-level) 0 2px, transparent 2px 4px)',
  fit: 'var(--mui-palette-ink-standing-behind)',
};

/** A priority with its parts visible: one stretch per criterion, its length weight times score. */
export function PriorityBar({ priority, scores, weights }: { priority: number | null; scores: Scores; weights: Weights }) {
  const parts = partsOf(scores, weights);
  return (
    <Box sx={{ display: 'flex', alignItems: 'center', gap: 1 }} title={parts.map((part) => `${part.name} ${part.score} of 5`).join(', ')}>
      <Box component="span" sx={{ width: 34, textAlign: 'right', fontWeight: 700 }}>
        {decimal(priority, 2)}
      </Box>
      <Box sx={{ flex: 1, height: 11, display: 'flex', borderBottom: 1, borderColor: 'divider' }} role="img" aria-label={parts.map((part) => `${part.name} ${part.score} of 5`).join(', ')}>
        {parts.map((part) => (
          <Box key={part.name} sx={{ background: criterionFill[part.name], transition: 'width .25s' }} style={{ width: `${part.width * 100}%` }} />
        ))}
      </Box>
    </Box>
  );
}
