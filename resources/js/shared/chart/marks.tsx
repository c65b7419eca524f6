import { area, line } from 'd3-shape';
import { inks } from './inks';
import { weights } from '../../theme/measures';

export interface Spot {
  x: number;
  y: number;
}

interface LineStyle {
  ink?: string;
  width?: number;
  dash?: string | undefined;
  title?: string;
}

/** A line through what is known; where nothing is known it breaks off, and what stands alone is a dot. */
export function Line({ spots, ink = inks.text, width = weights.usual, dash, title }: LineStyle & { spots: readonly (Spot | null)[] }) {
  const path = line<Spot | null>()
    .defined((spot) => spot !== null)
    .x((spot) => spot?.x ?? 0)
    .y((spot) => spot?.y ?? 0)
    .digits(1)(spots);
  const alone = spots.filter((spot, index) => spot !== null && !spots[index - 1] && !spots[index + 1]);
  return (
    <g>
      {title !== undefined && <title>{title}</title>}
      <path d={path ?? ''} fill="none" stroke={ink} strokeWidth={width} strokeDasharray={dash} strokeLinejoin="round" />
      {alone.map((spot) => spot !== null && <circle key={spot.x} cx={spot.x} cy={spot.y} r={width + 0.6} fill={ink} />)}
    </g>
  );
}

/** Between a low and a high border. */
export function Band({ spots, ink = inks.main }: { spots: readonly { x: number; low: number; high: number }[]; ink?: string }) {
  const path = area<{ x: number; low: number; high: number }>()
    .x((spot) => spot.x)
    .y0((spot) => spot.low)
    .y1((spot) => spot.high)
    .digits(1)(spots);
  return <path d={path ?? ''} fill={ink} opacity={0.22} />;
}

/** A line from top to bottom at a moment or a bound, with its name above it where it has one. */
export function Upright({
  x,
  top,
  bottom,
  ink = inks.text,
  dash,
  name,
}: LineStyle & { x: number; top: number; bottom: number; name?: string }) {
  return (
    <g>
      <line x1={x} x2={x} y1={top} y2={bottom} stroke={ink} strokeDasharray={dash} />
      {name !== undefined && (
        <text x={x + 4} y={top - 5}>
          {name}
        </text>
      )}
    </g>
  );
}

export function Shape({ path, x, y, ink = inks.text, size = 1 }: Spot & { path: string; ink?: string; size?: number }) {
  return <path d={path} transform={`translate(${x.toFixed(1)} ${y.toFixed(1)}) scale(${size})`} fill={ink} />;
}

export interface Bar {
  x: number;
  width: number;
  /** From where it begins to where it ends. */
  from: number;
  to: number;
  ink?: string;
  title: string;
}

export function Bars({ bars }: { bars: readonly Bar[] }) {
  return bars.map(({ x, width, from, to, ink = inks.main, title }) => (
    <rect key={x} x={x} y={Math.min(from, to)} width={width} height={Math.abs(to - from)} fill={ink}>
      <title>{title}</title>
    </rect>
  ));
}
