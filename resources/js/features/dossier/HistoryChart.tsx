import type { ComparedDomain, KeywordDossier } from '../../api/schema';
import {
  across,
  Chart,
  dayScale,
  downwards,
  Line,
  positionScale,
  Shape,
  timeOf,
  useFit,
  XAxis,
  YAxis,
  type Frame,
  type Reading,
} from '../../shared/chart';
import { domainLetter, shapePath, useDomainInk } from '../keyword/DomainShape';
import { useParams } from 'react-router';
import { NoteMarks } from '../keyword/NoteMarks';
import { useAnnotations } from '../study/annotations';
import { notesAt, notesWithin } from '../study/annotations.logic';
import { weights } from '../../theme/measures';

type History = KeywordDossier['history'];

interface Props {
  history: History;
  domains: ComparedDomain[];
}

const usual: Frame = { width: 366, height: 124, left: 24, right: 22, top: 8, bottom: 20 };

/** Best positions of all domains over their snapshots, 1 at the top, on the same logarithmic scale as the lanes. */
export function HistoryChart({ history, domains }: Props) {
  const ink = useDomainInk();
  const { slug = '' } = useParams();
  const notes = useAnnotations(slug);
  const { frame, fit } = useFit(usual, usual.width * 1.2);
  const days = [...new Set(history.map((point) => point.day))].sort();
  if (days.length < 2) {
    return null;
  }
  const [x, y] = [dayScale(days, across(frame)), positionScale(downwards(frame))];
  const spots = (domain: ComparedDomain) => spotsOf(history, domain, (day, position) => ({ x: x(timeOf(day)), y: y(position) }));
  return (
    <Chart
      label={`Positions from ${days[0] ?? ''} to ${days.at(-1) ?? ''}`}
      frame={frame}
      fit={fit}
      readings={days.map((day): Reading => ({
        x: x(timeOf(day)),
        words: `${day}: ${placesOn(history, domains, day).join(', ')}. ${notesAt(notes, days, day)}`,
      }))}
      table={{
        headings: ['Day', ...domains.map((domain) => domain.entry)],
        rows: days.map((day) => [day, ...domains.map((domain) => placeOn(history, domain, day))]),
      }}
    >
      <YAxis frame={frame} ticks={[1, 10, 20, 100].map((tick) => ({ at: y(tick), name: String(tick) }))} />
      <XAxis frame={frame} ticks={days.map((day) => ({ at: x(timeOf(day)), name: day.slice(0, 7) }))} />
      <NoteMarks notes={notesWithin(notes, days)} x={x} frame={frame} />
      {domains.map((domain, number) => {
        const line = spots(domain);
        const last = line.filter((spot) => spot !== null).at(-1);
        return (
          <g key={domain.id}>
            <Line spots={line} ink={ink(number)} width={number === 0 ? weights.ours : weights.light} title={domain.entry} />
            {last !== undefined && <Shape path={shapePath(number)} {...last} ink={ink(number)} size={0.8} />}
          </g>
        );
      })}
    </Chart>
  );
}

/** One spot for each list of the domain, none where it was absent. */
function spotsOf<Spot>(history: History, domain: ComparedDomain, at: (day: string, position: number) => Spot): (Spot | null)[] {
  return history
    .filter((point) => point.domain === domain.id)
    .sort((one, other) => one.day.localeCompare(other.day))
    .map((point) => (point.position === null ? null : at(point.day, point.position)));
}

function placeOn(history: History, domain: ComparedDomain, day: string): string {
  const point = history.find((other) => other.domain === domain.id && other.day === day);
  return point === undefined ? 'no list' : String(point.position ?? 'absent');
}

function placesOn(history: History, domains: ComparedDomain[], day: string): string[] {
  return domains.map((domain, number) => `${number === 0 ? 'we' : domainLetter(number)} ${placeOn(history, domain, day)}`);
}
