import Typography from '@mui/material/Typography';
import type { Annotation, Track } from '../../api/schema';
import {
  across,
  amountScale,
  Band,
  Chart,
  dashes,
  dayScale,
  diamond,
  inks,
  Legend,
  Line,
  Shape,
  timeOf,
  upwards,
  useFit,
  XAxis,
  YAxis,
  type Frame,
  type Reading,
} from '../../shared/chart';
import { estimate } from '../../shared/format';
import { NoteMarks } from '../keyword/NoteMarks';
import { notesAt, notesWithin } from '../study/annotations.logic';
import { totalWords } from './track.logic';

type Month = Track['months'][number];

const usual: Frame = { width: 900, height: 136, left: 48, right: 30, top: 8, bottom: 24 };

const words = (month: Month) =>
  `${month.day.slice(0, 7)}: ${estimate(month.achieved)} achieved, ${estimate(month.p10)} to ${estimate(month.p90)} forecast`;

/** All finished items together, month by month: the band that was said, its mean dashed, and what was achieved as diamonds on a line. */
export function TotalsChart({ months, notes }: { months: Track['months']; notes: Annotation[] }) {
  const { frame, fit } = useFit(usual, 1100);
  const said = totalWords(months);
  if (said === null) {
    return null;
  }
  const most = Math.max(1, ...months.map((month) => Math.max(month.p90, month.achieved)));
  const least = Math.min(0, ...months.map((month) => month.achieved));
  const days = months.map((month) => month.day);
  const time = dayScale(days, across(frame));
  const [x, y] = [(month: Month) => time(timeOf(month.day)), amountScale(most, upwards(frame), least)];
  const line = (pick: (month: Month) => number) => months.map((month) => ({ x: x(month), y: y(pick(month)) }));
  return (
    <>
      <Typography>{said}</Typography>
      <Chart
        label={months.map(words).join('; ')}
        frame={frame}
        fit={fit}
        readings={months.map((month): Reading => ({ x: x(month), words: `${words(month)}. ${notesAt(notes, days, month.day)}` }))}
        table={{
          headings: ['Month', 'Achieved', 'Forecast, one in ten below', 'Forecast mean', 'Forecast, one in ten above'],
          rows: months.map((month) => [
            month.day.slice(0, 7),
            ...[month.achieved, month.p10, month.mean, month.p90].map((visits) => estimate(visits)),
          ]),
        }}
      >
        <YAxis frame={frame} ticks={[0, most].map((visits) => ({ at: y(visits), name: estimate(visits) }))} />
        <XAxis frame={frame} ticks={months.map((month) => ({ at: x(month), name: month.day.slice(0, 7) }))} />
        <NoteMarks notes={notesWithin(notes, days)} x={time} frame={frame} />
        <Band spots={months.map((month) => ({ x: x(month), low: y(month.p10), high: y(month.p90) }))} />
        <Line spots={line((month) => month.mean)} ink={inks.main} width={1} dash={dashes.long} />
        <Line spots={line((month) => month.achieved)} width={1} />
        {line((month) => month.achieved).map((spot) => (
          <Shape key={spot.x} path={diamond} {...spot} />
        ))}
      </Chart>
      <Legend
        entries={[
          { name: 'achieved', shape: diamond },
          { name: 'forecast mean', ink: inks.main, dash: dashes.long },
        ]}
      />
    </>
  );
}
