import type { Standing } from '../../api/schema';
import { marks, measures } from '../../theme/measures';

const bar = { display: 'inline-block', width: marks.bar, height: marks.sign, marginRight: 6, verticalAlign: measures.sunk } as const;

/** A standing as its word with a small bar in its ink beside it. */
export function StandingWord({ standing }: { standing: Standing }) {
  return (
    <span>
      <span aria-hidden="true" style={{ ...bar, background: `var(--mui-palette-ink-standing-${standing})` }} />
      {standing}
    </span>
  );
}
