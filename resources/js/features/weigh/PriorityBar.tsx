import type { Scores } from '../../api/schema';
import { decimal } from '../../shared/format';
import { partsOf, type Weights } from './weights.logic';
import { lines, marks, patterns, presses } from '../../theme/measures';

/** Fills of the criteria in their order, told apart by strength and pattern as well as by colour. */
const fills = [
  'var(--mui-palette-text-primary)',
  'var(--mui-palette-primary-main)',
  patterns.warm,
  'var(--mui-palette-ink-standing-ahead)',
  patterns.upright,
  'var(--mui-palette-ink-standing-behind)',
  patterns.slanted,
  patterns.level,
];

export function criterionFill(place: number): string {
  return fills[place % fills.length] ?? '';
}

const frame = { display: 'flex', alignItems: 'center', gap: 8 } as const;
const figure = { width: presses.l, textAlign: 'right', fontWeight: 700 } as const;
const bar = { flex: 1, height: marks.swatch, display: 'flex', borderBottom: lines.hair } as const;

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
