import Box from '@mui/material/Box';
import type { Curve } from '../../api/schema';

const width = 470;
const height = 220;
const left = 40;
const bottom = 26;
const names = { default: 'default', '2006': '2006 query log', fitted: 'fitted to our clicks', own: 'entered by hand' } as const;
const dashes = { default: '5 4', '2006': '1 4', fitted: '', own: '9 3 2 3' } as const;

/** Click-through rate by position: each curve by its own dash and its name at its end, measured rates as dots. */
export function CurveChart({ curve }: { curve: Curve }) {
  const rates = Object.values(curve.curves).flat();
  const most = Math.max(0.05, ...rates, ...curve.bins.map((bin) => bin.rate ?? 0));
  const x = (position: number) => left + ((width - left - 12) * (position - 1)) / 19;
  const y = (rate: number) => 8 + (height - bottom - 8) * (1 - rate / most);
  const heaviest = Math.max(1, ...curve.bins.map((bin) => bin.impressions));
  const drawn = (['default', '2006', 'fitted', 'own'] as const).filter(
    (name) => curve.curves[name] !== undefined && (name !== '2006' || curve.in_use === '2006'),
  );
  return (
    <Box
      component="svg"
      role="img"
      aria-label="Click-through rate by position"
      viewBox={`0 0 ${width} ${height}`}
      sx={{ width: '100%', color: 'text.primary', '& text': { fontSize: 11, fill: 'currentColor' } }}
    >
      {[0, 0.5, 1].map((share) => (
        <g key={share}>
          <line x1={left} x2={width - 8} y1={y(share * most)} y2={y(share * most)} stroke="currentColor" strokeWidth="0.4" opacity="0.4" />
          <text x={left - 5} y={y(share * most) + 4} textAnchor="end">
            {Math.round(share * most * 100)}%
          </text>
        </g>
      ))}
      {[1, 3, 5, 10, 15, 20].map((position) => (
        <text key={position} x={x(position)} y={height - 8} textAnchor="middle">
          {position}
        </text>
      ))}
      {drawn.map((name, index) => {
        const points = (curve.curves[name] ?? []).map((rate, at) => `${x(at + 1).toFixed(1)},${y(rate).toFixed(1)}`).join(' ');
        return (
          <g key={name}>
            <Box
              component="polyline"
              points={points}
              fill="none"
              strokeWidth={name === 'fitted' ? 2 : 1.3}
              strokeDasharray={dashes[name]}
              sx={{ stroke: name === 'fitted' ? 'var(--mui-palette-primary-main)' : 'currentColor' }}
            />
            <line
              x1={width - 190}
              x2={width - 160}
              y1={24 + index * 17}
              y2={24 + index * 17}
              stroke="currentColor"
              strokeDasharray={dashes[name]}
              strokeWidth="1.5"
            />
            <text x={width - 153} y={28 + index * 17}>
              {names[name]}
              {curve.in_use === name ? ', in use' : ''}
            </text>
          </g>
        );
      })}
      {curve.bins.map((bin) =>
        bin.rate === null ? null : (
          <circle
            key={bin.position}
            cx={x(bin.position)}
            cy={y(bin.rate)}
            r={1.5 + 4 * Math.sqrt(bin.impressions / heaviest)}
            fill="none"
            stroke="currentColor"
          >
            <title>{`Position ${bin.position}: ${(bin.rate * 100).toFixed(1)} % of ${bin.impressions} impressions`}</title>
          </circle>
        ),
      )}
    </Box>
  );
}
