import type { Frame } from './frame';
import { inks } from './inks';
import { legible } from './scales';

export interface Tick {
  at: number;
  name: string;
}

/** Names below the drawing, as many as stand beside each other. */
export function XAxis({ ticks, frame, name, isRuled = false }: { ticks: readonly Tick[]; frame: Frame; name?: string; isRuled?: boolean }) {
  const [top, bottom] = [frame.top, frame.height - frame.bottom];
  return (
    <g>
      {isRuled && ticks.map((tick) => <line key={tick.at} x1={tick.at} x2={tick.at} y1={top} y2={bottom} stroke={inks.hairline} />)}
      {legible(ticks).map((tick) => (
        <text key={tick.at} x={tick.at} y={bottom + 15} textAnchor="middle">
          {tick.name}
        </text>
      ))}
      {name !== undefined && (
        <text x={(frame.left + frame.width - frame.right) / 2} y={frame.height - 4} textAnchor="middle">
          {name}
        </text>
      )}
    </g>
  );
}

/** Hairlines across with their names at the left. */
export function YAxis({ ticks, frame, name }: { ticks: readonly Tick[]; frame: Frame; name?: string }) {
  return (
    <g>
      {ticks.map((tick) => (
        <g key={tick.at}>
          <line x1={frame.left} x2={frame.width - frame.right} y1={tick.at} y2={tick.at} stroke={inks.hairline} />
          <text x={frame.left - 5} y={tick.at + 4} textAnchor="end">
            {tick.name}
          </text>
        </g>
      ))}
      {name !== undefined && (
        <text x={2} y={10}>
          {name}
        </text>
      )}
    </g>
  );
}

/** Names at the ends of lines, pushed apart, each joined to its line. */
export function EndNames({ ends, frame }: { ends: readonly { y: number; labelY: number; name: string; ink: string }[]; frame: Frame }) {
  const x = frame.width - frame.right;
  return (
    <g>
      {ends.map(({ y, labelY, name, ink }) => (
        <g key={name}>
          <line x1={x} y1={y} x2={x + 8} y2={labelY} stroke={ink} strokeWidth={0.8} />
          <text x={x + 10} y={labelY + 4}>
            {name}
          </text>
        </g>
      ))}
    </g>
  );
}
