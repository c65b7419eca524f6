import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { Track } from '../../api/schema';
import { estimate } from '../../shared/format';
import { totalWords } from './track.logic';

const width = 900;
const height = 130;
const left = 48;

/** All finished items together, month by month: the band that was said, its mean dashed, and what was achieved as diamonds on a line. */
export function TotalsChart({ months }: { months: Track['months'] }) {
  const words = totalWords(months);
  if (words === null) {
    return null;
  }
  const most = Math.max(1, ...months.map((month) => Math.max(month.p90, month.achieved)));
  const least = Math.min(0, ...months.map((month) => month.achieved));
  const x = (index: number) => left + 12 + ((width - left - 40) * index) / Math.max(1, months.length - 1);
  const y = (visits: number) => 8 + (height - 34) * (1 - (visits - least) / (most - least));
  const line = (pick: (month: Track['months'][number]) => number) =>
    months.map((month, index) => `${x(index).toFixed(1)},${y(pick(month)).toFixed(1)}`);
  return (
    <>
      <Typography>{words}</Typography>
      <Box
        component="svg"
        role="img"
        aria-label={months
          .map(
            (month) =>
              `${month.day.slice(0, 7)}: ${estimate(month.achieved)} achieved, ${estimate(month.p10)} to ${estimate(month.p90)} said`,
          )
          .join('; ')}
        viewBox={`0 0 ${width} ${height}`}
        sx={{
          width: '100%',
          maxWidth: 1100,
          color: 'primary.main',
          '& text': { fontSize: 11, fill: 'var(--mui-palette-text-secondary)' },
        }}
      >
        <line x1={left} x2={width - 10} y1={y(0)} y2={y(0)} stroke="var(--mui-palette-divider)" />
        <text x={left - 5} y={y(0) + 4} textAnchor="end">
          0
        </text>
        <text x={left - 5} y={y(most) + 4} textAnchor="end">
          {estimate(most)}
        </text>
        <polygon
          points={[...line((month) => month.p90), ...line((month) => month.p10).reverse()].join(' ')}
          fill="currentColor"
          opacity="0.22"
        />
        <polyline points={line((month) => month.mean).join(' ')} fill="none" stroke="currentColor" strokeDasharray="5 4" />
        <polyline points={line((month) => month.achieved).join(' ')} fill="none" stroke="var(--mui-palette-text-primary)" />
        {months.map((month, index) => (
          <g key={month.day}>
            <path
              d="M0 -5 L5 0 L0 5 L-5 0 Z"
              transform={`translate(${x(index)} ${y(month.achieved)})`}
              fill="var(--mui-palette-text-primary)"
            />
            <text x={x(index)} y={height - 6} textAnchor="middle">
              {month.day.slice(0, 7)}
            </text>
          </g>
        ))}
      </Box>
    </>
  );
}
