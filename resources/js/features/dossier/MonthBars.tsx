import { amountScale, Bars, Chart, inks, upwards, useFit, type Frame } from '../../shared/chart';
import { whole } from '../../shared/format';

const names = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'];
const usual: Frame = { width: 366, height: 58, left: 0, right: 0, top: 2, bottom: 14 };
const gap = 3;

/** Volume by calendar month, the highest in the strong ink. */
export function MonthBars({ months }: { months: (number | null)[] }) {
  const { frame, fit } = useFit(usual, usual.width * 1.2);
  const highest = Math.max(1, ...months.map((volume) => volume ?? 0));
  const step = frame.width / names.length;
  const y = amountScale(highest, upwards(frame));
  return (
    <Chart
      label="Volume by month"
      frame={frame}
      fit={fit}
      readings={names.map((name, month) => ({ x: (month + 0.5) * step, words: `${name}: ${whole(months[month])}` }))}
      table={{ headings: ['Month', 'Volume'], rows: names.map((name, month) => [name, whole(months[month])]) }}
    >
      <Bars
        bars={months.map((volume, month) => ({
          x: month * step + gap / 2,
          width: step - gap,
          from: y(0),
          to: y(volume ?? 0),
          ink: volume === highest ? inks.main : 'var(--mui-palette-ink-standing-level)',
          title: `${names[month] ?? ''}: ${whole(volume)}`,
        }))}
      />
      {names.map((name, month) => (
        <text key={name} x={(month + 0.5) * step} y={frame.height - 3} textAnchor="middle">
          {name.slice(0, 1)}
        </text>
      ))}
    </Chart>
  );
}
