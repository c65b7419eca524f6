import Typography from '@mui/material/Typography';
import {
  across,
  amountScale,
  Band,
  Bars,
  Chart,
  dashes,
  dayScale,
  diamond,
  inks,
  Legend,
  Line,
  PictureButtons,
  Shape,
  timeOf,
  Upright,
  upwards,
  XAxis,
  useFit,
  YAxis,
  type Frame,
} from '../../shared/chart';
import { weights } from '../../theme/measures';

const barWidth = 12;
const usual: Frame = { width: 420, height: 140, left: 30, right: 20, top: 14, bottom: 22 };

/** Months of different length, one of which is not known. */
const days = ['2026-01-01', '2026-02-01', '2026-03-01', '2026-07-01', '2026-08-01', '2026-09-01'];
const values = [3, 5, null, 4, 8, 7];

/** Every mark of the drawings: axes, true time, a gap, a band, bars, dots, a bound, a legend. */
export function StyleOfDrawings() {
  return (
    <section aria-label="Drawings">
      <Typography variant="h2" gutterBottom>
        Drawings
      </Typography>
      <Drawn />
      <Legend
        entries={[
          { name: 'known', width: weights.strong },
          { name: 'said', ink: inks.main, dash: dashes.long },
          { name: 'ours', shape: diamond },
        ]}
      />
      <PictureButtons name="drawing" drawing={<Drawn />} />
    </section>
  );
}

function Drawn() {
  const { frame, fit } = useFit(usual, 560);
  const [x, y] = [dayScale(days, across(frame)), amountScale(10, upwards(frame))];
  const at = (day: string) => x(timeOf(day));
  return (
    <Chart
      label="A line with a gap"
      frame={frame}
      fit={fit}
      readings={days.map((day, index) => ({ x: at(day), words: `${day}: ${values[index] ?? 'unknown'}` }))}
      table={{ headings: ['Day', 'Value'], rows: days.map((day, index) => [day, String(values[index] ?? 'unknown')]) }}
    >
      <YAxis frame={frame} ticks={[0, 5, 10].map((value) => ({ at: y(value), name: String(value) }))} />
      <XAxis frame={frame} ticks={days.map((day) => ({ at: at(day), name: day.slice(0, 7) }))} />
      <Bars
        bars={days.map((day) => ({ x: at(day) - barWidth / 2, width: barWidth, from: y(0), to: y(1.5), ink: inks.hairline, title: day }))}
      />
      <Band spots={days.map((day, index) => ({ x: at(day), low: y(2 + index / 2), high: y(5 + index / 2) }))} />
      <Line spots={days.map((day, index) => ({ x: at(day), y: y(3 + index / 2) }))} ink={inks.main} dash={dashes.long} />
      <Line spots={days.map((day, index) => (values[index] == null ? null : { x: at(day), y: y(values[index]) }))} width={weights.strong} />
      <Shape path={diamond} x={at('2026-09-01')} y={y(7)} />
      <Upright x={at('2026-03-01')} top={frame.top} bottom={frame.height - frame.bottom} ink={inks.mark} dash={dashes.short} name="bound" />
    </Chart>
  );
}
