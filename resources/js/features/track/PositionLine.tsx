import type { TrackItem } from '../../api/schema';
import { across, Chart, dashes, dayScale, downwards, inks, Line, positionScale, timeOf, Upright, type Frame } from '../../shared/chart';

const frame: Frame = { width: 120, height: 26, left: 3, right: 3, top: 3, bottom: 3 };

/** Our position over time, the first place at the top; a mark where the item was done. */
export function PositionLine({ history, done }: { history: TrackItem['history']; done: string }) {
  const time = dayScale(
    history.map((entry) => entry.day),
    across(frame),
  );
  const y = positionScale(downwards(frame));
  const since = history.find((entry) => entry.day.slice(0, 7) >= done);
  const words = history.map((entry) => `${entry.day} ${entry.position ?? 'absent'}`).join(', ');
  return (
    <Chart label={words} frame={frame}>
      {since !== undefined && <Upright x={time(timeOf(since.day))} top={0} bottom={frame.height} ink={inks.mark} dash={dashes.short} />}
      <Line
        spots={history.map((entry) => (entry.position === null ? null : { x: time(timeOf(entry.day)), y: y(entry.position) }))}
        title={words}
      />
    </Chart>
  );
}
