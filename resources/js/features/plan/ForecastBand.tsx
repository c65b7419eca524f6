import Box from '@mui/material/Box';
import type { ForecastMonth, Roadmap } from '../../api/schema';
import {
  across,
  amountScale,
  Band,
  Chart,
  dashes,
  dayScale,
  inks,
  Line,
  timeOf,
  upwards,
  useFit,
  XAxis,
  YAxis,
  type Frame,
  type Reading,
} from '../../shared/chart';
import { estimate, percent } from '../../shared/format';
import { WhyFigure } from '../keyword/WhyFigure';
import { monthName } from './months.logic';
import { fields, measures, weights } from '../../theme/measures';

const usual: Frame = { width: 760, height: 96, left: 44, right: 14, top: 8, bottom: 22 };

interface Props {
  plan: Roadmap;
  currency: string;
  /** The forecast without the item that is open, to show what it brings. */
  without: { name: string; months: Roadmap['forecast'] } | null;
}

const bandWords = ({ month, p10, p90 }: ForecastMonth) => `${monthName(month)} ${estimate(p10)} to ${estimate(p90)}`;

/** Visits that the plan adds, month by month: eight of ten draws lie in the band, the line is the middle one. */
export function ForecastBand({ plan, currency, without }: Props) {
  const months = plan.forecast;
  const last = months.at(-1);
  const lastWithout = without?.months.at(-1);
  const conversions = (last?.mean ?? 0) * plan.conversion_rate;
  const value = plan.value_per_conversion === null ? '' : `, ${currency} ${estimate(conversions * plan.value_per_conversion)}`;
  return (
    <Box
      component="section"
      aria-label="Forecast"
      sx={{ display: 'flex', flexWrap: 'wrap', gap: 2, px: 2, py: 0.5, borderBottom: 1, borderColor: 'divider', alignItems: 'center' }}
    >
      <Picture months={months} without={without?.months ?? null} />
      <Box sx={{ width: fields.xl, typography: 'dense' }}>
        {last === undefined ? null : (
          <>
            By {monthName(last.month)}{' '}
            <WhyFigure name={`the forecast for ${monthName(last.month)}`} explanation={plan.why}>
              <strong>{`+${estimate(last.p10)} to +${estimate(last.p90)}`}</strong>
            </WhyFigure>{' '}
            visits a month. Median {estimate(last.p50)}, mean {estimate(last.mean)}: {estimate(conversions)} conversions{value}
            {plan.measured_conversions > 0 && `, ${percent(plan.measured_conversions)} of them by measured rates`}.
            {without !== null && lastWithout !== undefined && (
              <div>
                Dashed, without “{without.name}”: median {estimate(lastWithout.p50)}, mean {estimate(lastWithout.mean)}.
              </div>
            )}
            <Box component="details">
              <Box component="summary" sx={{ cursor: 'pointer', minHeight: measures.target }}>
                Assumptions
              </Box>
              {plan.assumptions.map((assumption) => (
                <div key={assumption}>{assumption}</div>
              ))}
            </Box>
          </>
        )}
      </Box>
    </Box>
  );
}

/** The band of eight draws in ten and its middle; dashed, the middle without the item that is open. */
function Picture({ months, without }: { months: ForecastMonth[]; without: ForecastMonth[] | null }) {
  const { frame, fit } = useFit(usual, 1100);
  const most = Math.max(1, ...months.map((month) => month.p90));
  const time = dayScale(
    months.map((month) => month.month),
    across(frame),
  );
  const [x, y] = [(month: ForecastMonth) => time(timeOf(month.month)), amountScale(most, upwards(frame))];
  const middle = (of: ForecastMonth[]) => of.map((month) => ({ x: x(month), y: y(month.p50) }));
  return (
    <Chart
      label={`Forecast: ${months.map(bandWords).join(', ')}`}
      frame={frame}
      fit={fit}
      readings={months.map((month): Reading => ({ x: x(month), words: `${bandWords(month)}, half below ${estimate(month.p50)}` }))}
      table={{
        headings: ['Month', 'One in ten below', 'Half below', 'Mean', 'One in ten above'],
        rows: months.map((month) => [
          monthName(month.month),
          ...[month.p10, month.p50, month.mean, month.p90].map((visits) => estimate(visits)),
        ]),
      }}
    >
      <YAxis frame={frame} ticks={[0, most].map((visits) => ({ at: y(visits), name: estimate(visits) }))} />
      <XAxis frame={frame} ticks={months.map((month) => ({ at: x(month), name: monthName(month.month).slice(0, 3) }))} />
      <Band spots={months.map((month) => ({ x: x(month), low: y(month.p10), high: y(month.p90) }))} />
      <Line spots={middle(months)} ink={inks.main} width={weights.strong} />
      {without !== null && <Line spots={middle(without)} ink={inks.main} width={weights.usual} dash={dashes.long} />}
    </Chart>
  );
}
