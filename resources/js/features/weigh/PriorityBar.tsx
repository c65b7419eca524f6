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

const frame = { display: 'flex', alignItems: 'center', gap: 8 } as const;
const figure = { width: 34, textAlign: 'right', fontWeight: 700 } as const;
const bar = { flex: 1, height: 11, display: 'flex', borderBottom: '1px solid var(--mui-palette-divider)' } as const;

/** A priority with its parts visible: one stretch per criterion, its length weight times score. */
export function PriorityBar({ priority, scores, weights }: { priority: number | null; scores: Scores; weights: Weights }) {
  const parts = partsOf(scores, weights);
  const spelt = parts.map((part) => `${part.name} ${part.score} of 5`).join(', ');
  return (
    <div style={frame} title={spelt}>
      <span style={figure}>{decimal(priority, 2)}</span>
      <span style={bar} role="img" aria-label={spelt}>
        {parts.map((part) => (
          <span key={part.name} style={{ background: criterionFill[part.name], transition: 'width .25s', width: `${part.width * 100}%` }} />
        ))}
      </span>
    </div>
  );
}
