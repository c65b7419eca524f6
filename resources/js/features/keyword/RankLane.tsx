import { useTheme } from '@mui/material/styles';
import { memo } from 'react';
import { domainLetter, shapePath, useDomainInk } from './DomainShape';
import { worstPosition } from '../../shared/chart';
import { gutterOf, placeOf } from './lane.logic';

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
      <path d={scalePath(width)} stroke={hairline} fill="none" />
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

/** The line with its ticks, that at 20 dashed, as one path. */
function scalePath(width: number): string {
  const [ten, twenty] = [placeOf(10, width), placeOf(20, width)];
  const dashes = [3, 7, 11, 15, 19].map((top) => `M${twenty} ${top}v2`).join('');
  return `M${placeOf(1, width)} ${line}H${placeOf(worstPosition, width)}M${ten} 3V${line + 4}${dashes}`;
}

function Mark({
  number,
  position,
  before,
  width,
  ink,
}: {
  number: number;
  position: number;
  before: number | null;
  width: number;
  ink: string;
}) {
  const x = placeOf(position, width);
  const y = number === 0 ? line : above;
  return (
    <>
      {before !== null && before !== position && (
        <line x1={placeOf(before, width)} x2={x} y1={y} y2={y} stroke={ink} strokeWidth={number === 0 ? 1.6 : 1} opacity={0.5} />
      )}
      <path d={shapePath(number)} transform={`translate(${x} ${y}) scale(${number === 0 ? 1 : 0.78})`} fill={ink} />
    </>
  );
}

function describe(positions: (number | null)[], domains: string[]): string {
  return positions
    .map((position, number) => `${domainLetter(number)} ${domains[number] ?? ''} ${position === null ? 'absent' : `at ${position}`}`)
    .join(', ');
}
