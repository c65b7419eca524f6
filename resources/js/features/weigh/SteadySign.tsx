import type { Steadiness, Task } from '../../api/schema';
import { percent } from '../../shared/format';
import { lines, marks, measures } from '../../theme/measures';

const frame = {
  display: 'inline-block',
  width: marks.wide,
  height: marks.swatch,
  border: lines.sign,
  verticalAlign: measures.sunkLittle,
} as const;

interface Props {
  /** Undefined while it is asked for, a task while it is reckoned. */
  steadiness: Steadiness | Task | undefined;
  keyword: string;
}

function waiting(task: Task): string {
  return task.message !== '' || task.total === null || task.done === 0
    ? `Calculating. ${task.message}`
    : `Calculating: ${percent(task.done / task.total)}.`;
}

/** How solid a place is: the fuller the box, the less it depends on the weights. */
export function SteadySign({ steadiness, keyword }: Props) {
  if (steadiness === undefined || 'status' in steadiness) {
    return <span title={steadiness === undefined ? '' : waiting(steadiness)}>·</span>;
  }
  const { share, meaning } = steadiness.shares[keyword] ?? { share: 0, meaning: steadiness.otherwise };
  const spelt = `In the top ${steadiness.top} in ${percent(share)} of all weight variations: ${meaning}.`;
  return (
    <span role="img" aria-label={spelt} title={spelt} style={frame}>
      <span style={{ display: 'block', height: '100%', width: `${100 * share}%`, background: 'currentColor' }} />
    </span>
  );
}
