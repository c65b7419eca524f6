import type { Annotation, Track } from '../../api/schema';
import {
  across,
  amountScale,
  Chart,
  dashes,
  dayScale,
  EndNames,
  inks,
  Line,
  spreadOut,
  timeOf,
  Upright,
  upwards,
  useFit,
  XAxis,
  YAxis,
  type Frame,
  type Reading,
} from '../../shared/chart';
import { percent } from '../../shared/format';
import { domainLetter, useDomainInk } from '../keyword/DomainShape';
import { NoteMarks } from '../keyword/NoteMarks';
import { notesAt, notesWithin } from '../study/annotations.logic';
import { weights } from '../../theme/measures';

const usual: Frame = { width: 900, height: 196, left: 40, right: 36, top: 8, bottom: 24 };
const apart = 12;

interface Props {
  shares: Track['shares'];
  domains: string[];
  published: string[];
  notes: Annotation[];
}

/**
 * Share of clicks of every compared domain by month; letters at the end tell the lines apart, ours is the thick one; dashed lines mark
 * publications.
 */
export function ShareChart({ shares, domains, published, notes }: Props) {
  const ink = useDomainInk();
  const { frame, fit } = useFit(usual, 1100);
  const days = shares.map((day) => day.day);
  const most = Math.max(0.05, ...shares.flatMap((day) => day.shares.map((share) => share ?? 0)));
  const [x, y] = [dayScale(days, across(frame)), amountScale(most, upwards(frame))];
  const last = shares.at(-1);
  const spots = (number: number) =>
    shares.map((day) => (day.shares[number] == null ? null : { x: x(timeOf(day.day)), y: y(day.shares[number]) }));
  const words = (day: Track['shares'][number] | undefined) =>
    domains.map((domain, number) => `${domain} ${percent(day?.shares[number])}`).join(', ');
  const heights = domains.map((_, number) => y(last?.shares[number] ?? 0));
  const labels = spreadOut(heights, apart, frame.height - frame.bottom);
  return (
    <Chart
      label={`Share of clicks on ${last?.day ?? ''}: ${words(last)}`}
      frame={frame}
      fit={fit}
      readings={shares.map((day): Reading => ({
        x: x(timeOf(day.day)),
        words: `${day.day}: ${words(day)}. ${notesAt(notes, days, day.day)}`,
      }))}
      table={{
        headings: ['Day', ...domains, 'Notes'],
        rows: shares.map((day) => [day.day, ...domains.map((_, number) => percent(day.shares[number])), notesAt(notes, days, day.day)]),
      }}
    >
      <YAxis frame={frame} ticks={[0, most / 2, most].map((share) => ({ at: y(share), name: `${Math.round(share * 100)}%` }))} />
      <XAxis frame={frame} ticks={days.map((day) => ({ at: x(timeOf(day)), name: day.slice(0, 7) }))} />
      {days
        .filter((day) => published.includes(day.slice(0, 7)))
        .map((day) => (
          <Upright key={day} x={x(timeOf(day))} top={4} bottom={frame.height - frame.bottom} ink={inks.mark} dash={dashes.short} />
        ))}
      <NoteMarks notes={notesWithin(notes, days)} x={x} frame={frame} />
      {domains.map((domain, number) => (
        <Line key={domain} spots={spots(number)} ink={ink(number)} width={number === 0 ? weights.ours : weights.light} title={domain} />
      ))}
      <EndNames
        frame={frame}
        ends={domains.map((_, number) => ({
          y: heights[number] ?? 0,
          labelY: labels[number] ?? 0,
          name: domainLetter(number),
          ink: ink(number),
        }))}
      />
    </Chart>
  );
}
