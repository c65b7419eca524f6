import Box from '@mui/material/Box';
import type { LedgerRow } from '../../api/schema';
import { whole } from '../../shared/format';

const width = 110;
const height = 24;

/** A line through the organic snapshots of so many months, a dot for the newest; up and down is the number of keywords. */
export function Timeline({ snapshots, months }: { snapshots: LedgerRow['snapshots']; months: number }) {
  const organic = snapshots.filter((snapshot) => snapshot.channel === 'organic').slice(-months);
  const last = organic.at(-1);
  if (last === undefined) {
    return <Box sx={{ color: 'text.secondary', fontSize: '0.78rem' }}>none yet</Box>;
  }
  const counts = organic.map((snapshot) => snapshot.keywords);
  const [least, most] = [Math.min(...counts), Math.max(...counts)];
  // A year in which nothing much happens stays a flat line: half the height stands for a tenth more or less.
  const span = Math.max(most - least, most / 5, 1);
  const middle = (most + least) / 2;
  const x = (index: number) => (organic.length === 1 ? width - 4 : 3 + ((width - 7) * index) / (organic.length - 1));
  const y = (keywords: number) => height / 2 - ((height - 6) * (keywords - middle)) / span;
  const points = organic.map((snapshot, index) => `${x(index).toFixed(1)},${y(snapshot.keywords).toFixed(1)}`).join(' ');
  const words =
    `${organic.length} snapshots, ${organic[0]?.day ?? ''} to ${last.day}, ${whole(organic[0]?.keywords)} to ` +
    `${whole(last.keywords)} keywords`;
  return (
    <Box
      component="svg"
      role="img"
      aria-label={words}
      viewBox={`0 0 ${width} ${height}`}
      sx={{ width, height, display: 'block', color: 'ink.standing.alone' }}
    >
      <title>{words}</title>
      <polyline points={points} fill="none" stroke="currentColor" strokeWidth="1.4" />
      <circle cx={x(organic.length - 1)} cy={y(last.keywords)} r="2.4" fill="currentColor" />
    </Box>
  );
}
