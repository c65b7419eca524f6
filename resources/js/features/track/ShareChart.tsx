import Box from '@mui/material/Box';
import type { Track } from '../../api/schema';
import { domainLetter, useDomainInk } from '../keyword/DomainShape';
import { percent } from '../../shared/format';
import { spreadOut } from '../keyword/lane.logic';

const width = 900;
const height = 190;
const left = 40;

/**
 * Share of clicks of every compared domain by month; letters at the end tell the lines apart, ours is the thick one; dashed lines mark
 * publications.
 */
export function ShareChart({ shares, domains, published }: { shares: Track['shares']; domains: string[]; published: string[] }) {
  const ink = useDomainInk();
  const most = Math.max(0.05, ...shares.flatMap((day) => day.shares.map((share) => share ?? 0)));
  const x = (index: number) => left + ((width - left - 40) * index) / Math.max(1, shares.length - 1);
  const y = (share: number) => 8 + (height - 30) * (1 - share / most);
  const last = shares.at(-1);
  const labels = spreadOut(
    domains.map((_, number) => y(last?.shares[number] ?? 0)),
    12,
  );
  return (
    <Box
      component="svg"
      role="img"
      aria-label={
        `Share of clicks on ${last?.day ?? ''}: ` + domains.map((domain, number) => `${domain} ${percent(last?.shares[number])}`).join(', ')
      }
      viewBox={`0 0 ${width} ${height}`}
      sx={{ width: '100%', maxWidth: 1100, '& text': { fontSize: 11, fill: 'var(--mui-palette-text-secondary)' } }}
    >
      {[0, 0.5, 1].map((part) => (
        <g key={part}>
          <line x1={left} x2={width - 36} y1={y(part * most)} y2={y(part * most)} stroke="var(--mui-palette-divider)" />
          <text x={left - 5} y={y(part * most) + 4} textAnchor="end">
            {Math.round(part * most * 100)}%
          </text>
        </g>
      ))}
      {shares.map((day, index) => (
        <g key={day.day}>
          {published.includes(day.day.slice(0, 7)) && (
            <line x1={x(index)} x2={x(index)} y1={4} y2={height - 22} stroke="var(--mui-palette-warning-main)" strokeDasharray="3 3" />
          )}
          <text x={x(index)} y={height - 6} textAnchor="middle">
            {day.day.slice(0, 7)}
          </text>
        </g>
      ))}
      {domains.map((domain, number) => (
        <g key={domain}>
          <polyline
            points={shares
              .flatMap((day, index) => (day.shares[number] == null ? [] : [`${x(index).toFixed(1)},${y(day.shares[number]).toFixed(1)}`]))
              .join(' ')}
            fill="none"
            stroke={ink(number)}
            strokeWidth={number === 0 ? 2.6 : 1.3}
          >
            <title>{domain}</title>
          </polyline>
          <line
            x1={width - 40}
            y1={y(last?.shares[number] ?? 0)}
            x2={width - 32}
            y2={labels[number] ?? 0}
            stroke={ink(number)}
            strokeWidth={0.8}
          />
          <text x={width - 30} y={(labels[number] ?? 0) + 4}>
            {domainLetter(number)}
          </text>
        </g>
      ))}
    </Box>
  );
}
