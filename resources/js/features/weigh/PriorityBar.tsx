import type { Scores } from '../../api/schema';
import { decimal } from '../../shared/format';
import { partsOf, type Weights } from './weights.logic';

/** Fills of the criteria in their order, told apart by strength and pattern as well as by colour. */
const fills = [
  'var(--mui-palette-text-primary)',
  'var(--mui-palette-primary-main)',
  'repeating-linear-gradient(135deg, var(--mui-palette-warning-main) 0 3px, var(--mui-palette-ink-standing-behind) 3px 6px)',
  'var(--mui-palette-ink-standing-ahead)',
  'repeating-linear-gradient(90deg, var(--mui-palette-ink-standing-level) 0 2px, transparent 2px 4px)',
  'var(--mui-palette-ink-standing-behind)',
  'repeating-linear-gradient(45deg, var(--mui-palette-primary-main) 0 2px, transparent 2px 5px)',
  'repeating-linear-gradient(0deg, var(--mui-palette-text-primary) 0 1px, transparent 1px 4px)',
];

export function criterionFill(place: number): string {
  return fills[place % fills.length] ?? '';
}

const frame = { display: 'flex', alignItems: 'center', gap: 8 } as const;
const figure = { width: 34, textAlign: 'right', fontWeight: 700 } as const;
const bar = { flex: 1, height: 11, display: 'flex', borderBottom: '1px solid var(--mui-palette-divider)' } as const;

/** A priority with its parts visible: one stretch per criterion, its length weight times score. */
export function PriorityBar({ priority, scores, weights }: { priority: number | null; scores: Scores; weights: Weights }) {
  const parts = partsOf(scores, weights);
  const spelt = parts.map((part) => `${part.name} ${Number(part.score.toFixed(1))} of 5`).join(', ');
  return (
    <div style={frame} title={spelt}>
      <span style={figure}>{decimal(priority, 2)}</span>
      <span style={bar} role="img" aria-label={spelt}>
        {parts.map((part) => (
          <span
            key={part.name}
            style={{ background: criterionFill(part.place), transition: 'width .25s', width: `${part.width * 100}%` }}
          />
        ))}
      </span>
    </div>
  );
}
