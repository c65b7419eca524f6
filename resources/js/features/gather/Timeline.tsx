import Box from '@mui/material/Box';
import type { LedgerRow } from '../../api/schema';
import { across, amountScale, Chart, dayScale, Line, timeOf, upwards, type Frame } from '../../shared/chart';
import { whole } from '../../shared/format';

const frame: Frame = { width: 110, height: 24, left: 3, right: 4, top: 3, bottom: 3 };
const ink = 'var(--mui-palette-ink-standing-alone)';

/** A line through the organic snapshots of so many months, a dot for the newest; up and down is the number of keywords. */
export function Timeline({ snapshots, months }: { snapshots: LedgerRow['snapshots']; months: number }) {
  const organic = snapshots.filter((snapshot) => snapshot.channel === 'organic').slice(-months);
  const last = organic.at(-1);
  if (last === undefined) {
    return <Box sx={{ color: 'text.secondary', typography: 'small' }}>none yet</Box>;
  }
  const counts = organic.map((snapshot) => snapshot.keywords);
  const [least, most] = [Math.min(...counts), Math.max(...counts)];
  // A year in which nothing much happens stays a flat line: half the height stands for a tenth more or less.
  const [half, middle] = [Math.max(most - least, most / 5, 1) / 2, (most + least) / 2];
  const y = amountScale(middle + half, upwards(frame), middle - half);
  const time = dayScale(
    organic.map((snapshot) => snapshot.day),
    across(frame),
  );
  const words =
    `${organic.length} snapshots, ${organic[0]?.day ?? ''} to ${last.day}, ${whole(organic[0]?.keywords)} to ` +
    `${whole(last.keywords)} keywords`;
  return (
    <Chart label={words} frame={frame}>
      <Line spots={organic.map((snapshot) => ({ x: time(timeOf(snapshot.day)), y: y(snapshot.keywords) }))} ink={ink} title={words} />
      <circle cx={time(timeOf(last.day))} cy={y(last.keywords)} r="2.4" fill={ink} />
    </Chart>
  );
}
