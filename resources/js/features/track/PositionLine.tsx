import Box from '@mui/material/Box';
import type { TrackItem } from '../../api/schema';

const width = 120;
const height = 26;

/** Our position over time, the first place at the top; a mark where the item was done. */
export function PositionLine({ history, done }: { history: TrackItem['history']; done: string }) {
  const x = (index: number) => 3 + ((width - 6) * index) / Math.max(1, history.length - 1);
  const y = (place: number) => 3 + ((height - 6) * Math.log(place)) / Math.log(100);
  const points = history.flatMap((entry, index) =>
    entry.position === null ? [] : [`${x(index).toFixed(1)},${y(entry.position).toFixed(1)}`],
  );
  const at = history.findIndex((entry) => entry.day.slice(0, 7) >= done);
  const words = history.map((entry) => `${entry.day} ${entry.position ?? 'absent'}`).join(', ');
  return (
    <Box component="svg" role="img" aria-label={words} viewBox={`0 0 ${width} ${height}`} sx={{ width, height, color: 'text.primary' }}>
      <title>{words}</title>
      {at >= 0 && <line x1={x(at)} x2={x(at)} y1={0} y2={height} stroke="var(--mui-palette-warning-main)" strokeDasharray="2 2" />}
      <polyline points={points.join(' ')} fill="none" stroke="currentColor" strokeWidth="1.4" />
    </Box>
  );
}
