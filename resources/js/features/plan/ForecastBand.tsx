import Box from '@mui/material/Box';
import type { ForecastMonth, Roadmap } from '../../api/schema';
import { estimate } from '../../shared/format';
import { WhyFigure } from '../keyword/WhyFigure';
import { monthName } from './months.logic';

const width = 760;
const height = 92;
const left = 44;

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
  const most = Math.max(1, ...months.map((month) => month.p90));
  const x = (index: number) => left + ((width - left - 10) * index) / Math.max(1, months.length - 1);
  const y = (visits: number) => 6 + (height - 26) * (1 - visits / most);
  const line = (pick: (month: Roadmap['forecast'][number]) => number, of = months) =>
    of.map((month, index) => `${x(index).toFixed(1)},${y(pick(month)).toFixed(1)}`);
  const lastWithout = without?.months.at(-1);
  const conversions = (last?.mean ?? 0) * plan.conversion_rate;
  return (
    <Box
      component="section"
      aria-label="Forecast"
      sx={{ display: 'flex', gap: 2, px: 2, py: 0.5, borderBottom: 1, borderColor: 'divider', alignItems: 'center' }}
    >
      <Box
        component="svg"
        role="img"
        aria-label={`Forecast: ${months.map(bandWords).join(', ')}`}
        viewBox={`0 0 ${width} ${height}`}
        sx={{
          flex: 1,
          minWidth: 0,
          maxHeight: height,
          color: 'primary.main',
          '& text': { fontSize: 11, fill: 'var(--mui-palette-text-secondary)' },
        }}
      >
        <polygon
          points={[...line((month) => month.p90), ...line((month) => month.p10).reverse()].join(' ')}
          fill="currentColor"
          opacity="0.22"
        />
        <polyline points={line((month) => month.p50).join(' ')} fill="none" stroke="currentColor" strokeWidth="2" />
        {without !== null && (
          <polyline
            points={line((month) => month.p50, without.months).join(' ')}
            fill="none"
            stroke="currentColor"
            strokeWidth="1.5"
            strokeDasharray="5 4"
          />
        )}
        {months.map((month, index) => (
          <text
            key={month.month}
            x={x(index)}
            y={height - 6}
            textAnchor={index === 0 ? 'start' : index === months.length - 1 ? 'end' : 'middle'}
          >
            {monthName(month.month).slice(0, 3)}
          </text>
        ))}
        <text x={left - 5} y={12} textAnchor="end">
          {estimate(most)}
        </text>
        <text x={left - 5} y={height - 20} textAnchor="end">
          0
        </text>
      </Box>
      <Box sx={{ width: 270, fontSize: '0.82rem' }}>
        {last === undefined ? null : (
          <>
            By {monthName(last.month)}{' '}
            <WhyFigure name={`the forecast for ${monthName(last.month)}`} explanation={plan.why}>
              <strong>
                +{estimate(last.p10)} to +{estimate(last.p90)}
              </strong>
            </WhyFigure>{' '}
            visits a month, half the draws below {estimate(last.p50)}; the mean is {estimate(last.mean)}: {estimate(conversions)}{' '}
            conversions
            {plan.value_per_conversion === null ? '' : `, ${currency} ${estimate(conversions * plan.value_per_conversion)}`}.
            {without !== null && lastWithout !== undefined && (
              <div>
                Dashed, without “{without.name}”: half below {estimate(lastWithout.p50)}, the mean is {estimate(lastWithout.mean)}.
              </div>
            )}
            <Box component="details">
              <Box component="summary" sx={{ cursor: 'pointer', minHeight: 24 }}>
                What is assumed
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
