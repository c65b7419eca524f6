import Box from '@mui/material/Box';
import type { ComparedDomain, KeywordDossier } from '../../api/schema';
import { shapePath, useDomainInk } from '../keyword/DomainShape';

interface Props {
  history: KeywordDossier['history'];
  domains: ComparedDomain[];
}

const width = 366;
const height = 118;
const left = 24;

function y(position: number): number {
  return 8 + (Math.log(position) / Math.log(100)) * (height - 26);
}

/** Best positions of all domains over their snapshots, 1 at the top, on the same logarithmic scale as the lanes. */
export function HistoryChart({ history, domains }: Props) {
  const ink = useDomainInk();
  const days = [...new Set(history.map((point) => point.day))].sort();
  if (days.length < 2) {
    return null;
  }
  const x = (day: string) => left + (days.indexOf(day) / (days.length - 1)) * (width - left - 10);
  return (
    <Box
      component="svg"
      viewBox={`0 0 ${width} ${height}`}
      role="img"
      aria-label={`Positions from ${days[0] ?? ''} to ${days.at(-1) ?? ''}`}
      sx={{ width: '100%', display: 'block', color: 'text.secondary' }}
    >
      {[1, 10, 20, 100].map((tick) => (
        <g key={tick}>
          <line x1={left} x2={width - 6} y1={y(tick)} y2={y(tick)} stroke="currentColor" opacity=".25" />
          <text x={left - 4} y={y(tick) + 3} fontSize="9" textAnchor="end" fill="currentColor">
            {tick}
          </text>
        </g>
      ))}
      {domains.map((domain, number) => {
        const points = history.filter((point) => point.domain === domain.id && point.position !== null);
        const last = points.at(-1);
        const line = points.map((point, index) => `${index === 0 ? 'M' : 'L'}${x(point.day)} ${y(point.position ?? 100)}`).join(' ');
        return (
          <g key={domain.id}>
            <path d={line} fill="none" stroke={ink(number)} strokeWidth={number === 0 ? 2.2 : 1.1} opacity={number === 0 ? 1 : 0.8} />
            {last !== undefined && (
              <path d={shapePath(number)} transform={`translate(${x(last.day)} ${y(last.position ?? 100)}) scale(.8)`} fill={ink(number)} />
            )}
          </g>
        );
      })}
      <text x={left} y={height - 2} fontSize="9" fill="currentColor">
        {days[0]}
      </text>
      <text x={width - 6} y={height - 2} fontSize="9" textAnchor="end" fill="currentColor">
        {days.at(-1)}
      </text>
    </Box>
  );
}
