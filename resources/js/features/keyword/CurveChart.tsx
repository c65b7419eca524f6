import type { Curve } from '../../api/schema';
import { percent, whole } from '../../shared/format';
import {
  across,
  amountScale,
  Chart,
  dashes,
  inks,
  Legend,
  Line,
  radiusScale,
  upwards,
  useFit,
  XAxis,
  YAxis,
  type Frame,
  type Reading,
} from '../../shared/chart';

const usual: Frame = { width: 470, height: 220, left: 40, right: 12, top: 8, bottom: 22 };
const lastPosition = 20;
const names = { default: 'default', '2006': '2006 query log', fitted: 'fitted to our clicks', own: 'entered by hand' } as const;
const dashOf = { default: dashes.long, '2006': dashes.dots, fitted: dashes.none, own: dashes.mixed } as const;

type Name = keyof typeof names;

/** Click-through rate by position: each curve by its own dash, measured rates as rings as large as what they were measured on. */
export function CurveChart({ curve }: { curve: Curve }) {
  const { frame, fit } = useFit(usual, usual.width * 1.5);
  const drawn = (Object.keys(names) as Name[]).filter(
    (name) => curve.curves[name] !== undefined && (name !== '2006' || curve.in_use === '2006'),
  );
  const rates = (name: Name) => (curve.curves[name] ?? []).slice(0, lastPosition);
  const most = Math.max(0.05, ...drawn.flatMap(rates), ...curve.bins.map((bin) => bin.rate ?? 0));
  const [x, y] = [amountScale(lastPosition, across(frame), 1), amountScale(most, upwards(frame))];
  const radius = radiusScale(Math.max(1, ...curve.bins.map((bin) => bin.impressions)), 4);
  const titles = drawn.map((name) => `${names[name]}${curve.in_use === name ? ', in use' : ''}`);
  const positions = Array.from({ length: lastPosition }, (_, index) => index + 1);
  const at = (position: number) => drawn.map((name) => percent(rates(name)[position - 1]));
  return (
    <>
      <Legend entries={drawn.map((name, index) => ({ name: titles[index] ?? name, ...styleOf(name) }))} />
      <Chart
        label="Click-through rate by position"
        frame={frame}
        fit={fit}
        readings={positions.map((position): Reading => ({
          x: x(position),
          words: `Position ${position}: ${at(position)
            .map((rate, index) => `${titles[index] ?? ''} ${rate}`)
            .join('; ')}`,
        }))}
        table={{ headings: ['Position', ...titles], rows: positions.map((position) => [String(position), ...at(position)]) }}
      >
        <YAxis frame={frame} ticks={[0, most / 2, most].map((rate) => ({ at: y(rate), name: `${Math.round(rate * 100)}%` }))} />
        <XAxis frame={frame} ticks={[1, 3, 5, 10, 15, 20].map((position) => ({ at: x(position), name: String(position) }))} />
        {drawn.map((name) => (
          <Line key={name} spots={rates(name).map((rate, index) => ({ x: x(index + 1), y: y(rate) }))} {...styleOf(name)} />
        ))}
        {curve.bins.map((bin) =>
          bin.rate === null || bin.position > lastPosition ? null : (
            <circle
              key={bin.position}
              cx={x(bin.position)}
              cy={y(bin.rate)}
              r={1.5 + radius(bin.impressions)}
              fill="none"
              stroke={inks.text}
            >
              <title>{`Position ${bin.position}: ${percent(bin.rate)} of ${whole(bin.impressions)} impressions`}</title>
            </circle>
          ),
        )}
      </Chart>
    </>
  );
}

function styleOf(name: Name) {
  return { ink: name === 'fitted' ? inks.main : inks.text, width: name === 'fitted' ? 2 : 1.3, dash: dashOf[name] };
}
