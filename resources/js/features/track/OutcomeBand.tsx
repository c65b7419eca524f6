import Box from '@mui/material/Box';
import type { TrackItem } from '../../api/schema';
import { estimate } from '../../shared/format';

const width = 150;

/** The forecast band of one item with what was added as a diamond on it. */
export function OutcomeBand({ item }: { item: TrackItem }) {
  if (item.p10 === null || item.p90 === null || item.p50 === null || item.added === null) {
    return <span>·</span>;
  }
  const { added } = item;
  const low = Math.min(0, added, item.p10);
  const high = Math.max(1, added, item.p90);
  const x = (visits: number) => 6 + ((width - 12) * (visits - low)) / (high - low);
  return (
    <Box
      component="svg"
      role="img"
      aria-label={`${estimate(added)} visits added; the band reaches from ${estimate(item.p10)} to ${estimate(item.p90)}`}
      viewBox={`0 0 ${width} 22`}
      sx={{ width, height: 22, color: 'primary.main' }}
    >
      <line x1={x(low)} x2={x(high)} y1={11} y2={11} stroke="currentColor" opacity="0.4" />
      <rect x={x(item.p10)} y={6} width={Math.max(1, x(item.p90) - x(item.p10))} height={10} fill="currentColor" opacity="0.3" />
      <line x1={x(item.p50)} x2={x(item.p50)} y1={5} y2={17} stroke="currentColor" />
      <path d="M0 -5 L5 0 L0 5 L-5 0 Z" transform={`translate(${x(added)} 11)`} fill="var(--mui-palette-text-primary)" />
    </Box>
  );
}
