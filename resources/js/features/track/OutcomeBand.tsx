import type { TrackItem } from '../../api/schema';
import { amountScale, Chart, diamond, inks, Shape, type Frame } from '../../shared/chart';
import { estimate } from '../../shared/format';

const frame: Frame = { width: 150, height: 22, left: 6, right: 6, top: 5, bottom: 5 };
const middle = frame.height / 2;

/** The forecast band of one item with its net visits as a diamond on it. */
export function OutcomeBand({ item }: { item: TrackItem }) {
  if (item.p10 === null || item.p90 === null || item.p50 === null || item.net === null) {
    return <span>·</span>;
  }
  const { net } = item;
  const [low, high] = [Math.min(0, net, item.p10), Math.max(1, net, item.p90)];
  const x = amountScale(high, [frame.left, frame.width - frame.right], low);
  return (
    <Chart label={`${estimate(net)} net visits; the forecast range is ${estimate(item.p10)} to ${estimate(item.p90)}`} frame={frame}>
      <line x1={x(low)} x2={x(high)} y1={middle} y2={middle} stroke={inks.main} opacity={0.4} />
      <rect x={x(item.p10)} y={6} width={Math.max(1, x(item.p90) - x(item.p10))} height={10} fill={inks.main} opacity={0.3} />
      <line x1={x(item.p50)} x2={x(item.p50)} y1={frame.top} y2={frame.height - frame.bottom} stroke={inks.main} />
      <Shape path={diamond} x={x(net)} y={middle} />
    </Chart>
  );
}
