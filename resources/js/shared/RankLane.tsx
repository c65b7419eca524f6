import { useTheme } from '@mui/material/styles';
import { memo } from 'react';
import { domainLetter, shapePath, useDomainInk } from './DomainShape';
import { gutterOf, placeOf, worstPosition } from './lane.logic';

interface Props {
  positions: (number | null)[];
  previous: (number | null)[];
  width: number;
  domains: string[];
}

const height = 28;
const line = 20;
const above = 9;

/**
 * Where every domain stands for one keyword: position 1 at the left, 100 at the right, on a logarithmic scale with ticks
 * at 10 and 20. Ours is on the line, competitors above it, whoever is absent waits in the gutter at the right.
 */
export const RankLane = memo(function RankLane({ positions, previous, width, domains }: Props) {
  const { vars, palette } = useTheme();
  const ink = useDomainInk();
  const hairline = (vars ?? { palette }).palette.ink.hairline;
  const absent = positions.flatMap((position, number) => (position === null ? [number] : []));
  return (
    <svg width={width} height={height} role="img" aria-label={describe(positions, domains)}>
      <line x1={placeOf(1, width)} x2={placeOf(worstPosition, width)} y1={line} y2={line} stroke={hairline} />
      {[10, 20].map((tick) => (
        <line key={tick} x1={placeOf(tick, width)} x2={placeOf(tick, width)} y1={3} y2={line + 4} stroke={hairline} strokeDasharray={tick === 20 ? '2 2' : 'none'} />
      ))}
      {positions.map((position, number) =>
        position === null ? null : (
          <Mark key={number} number={number} position={position} before={previous[number] ?? null} width={width} ink={ink(number)} />
        ),
      )}
      {absent.map((number, place) => (
        <path
          key={number}
          d={shapePath(number)}
          transform={`translate(${gutterOf(place, width)} ${number === 0 ? line : above}) scale(.62)`}
          fill="none"
          stroke={ink(number)}
          strokeWidth={1.3}
          opacity={0.55}
        />
      ))}
    </svg>
  );
});

function Mark({ number, position, before, width, ink }: { number: number; position: number; before: number | null; width: number; ink: string }) {
  const x = placeOf(position, width);
  const y = number === 0 ? line : above;
  return (
    <g>
      {before !== null && before !== position && <line x1={placeOf(before, width)} x2={x} y1={y} y2={y} stroke={ink} strokeWidth={number === 0 ? 1.6 : 1} opacity={0.5} />}
      <path d={shapePath(number)} transform={`translate(${x} ${y}) scale(${number === 0 ? 1 : 0.78})`} fill={ink} />
    </g>
  );
}

function describe(positions: (number | null)[], domains: string[]): string {
  return positions.map((position, number) => `${domainLetter(number)} ${domains[number] ?? ''} ${position === null ? 'absent' : `at ${position}`}`).join(', ');
}
