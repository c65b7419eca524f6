import Box from '@mui/material/Box';
import type { Distribution } from '../../api/schema';
import { amountScale, Bars, Chart, inks, upwards, useFit, XAxis, type Frame } from '../../shared/chart';
import { whole } from '../../shared/format';

interface Props {
  distribution: Distribution;
  from: number | null;
  to: number | null;
}

const usual: Frame = { width: 320, height: 82, left: 0, right: 0, top: 2, bottom: 18 };
const gap = 2;
const least = 2;

/** How the figure is spread over what the rest of the sentence lets through; what the clause keeps is drawn solid. */
export function Histogram({ distribution, from, to }: Props) {
  const { frame, fit } = useFit(usual, 420);
  const { bins, field, unknown } = distribution;
  const y = amountScale(Math.max(1, ...bins.map((bin) => bin.keywords)), upwards(frame));
  const step = frame.width / Math.max(1, bins.length);
  const endOf = (index: number) => bins[index + 1]?.from ?? Infinity;
  const isKept = (index: number) => (from === null || endOf(index) > from) && (to === null || (bins[index]?.from ?? 0) <= to);
  return (
    <Box>
      <Chart
        label={`Distribution of ${field}`}
        frame={frame}
        fit={fit}
        table={{ headings: ['From', 'Keywords'], rows: bins.map((bin) => [String(bin.from), whole(bin.keywords)]) }}
      >
        <Bars
          bars={bins.map((bin, index) => ({
            x: index * step + gap / 2,
            width: step - gap,
            from: y(0),
            to: bin.keywords === 0 ? y(0) : Math.min(y(bin.keywords), y(0) - least),
            ink: isKept(index) ? inks.main : inks.hairline,
            title: `from ${bin.from}: ${whole(bin.keywords)}`,
          }))}
        />
        <XAxis
          frame={frame}
          ticks={bins.map((bin, index) => ({
            at: (index + 0.5) * step,
            name: bin.from >= 1000 ? `${bin.from / 1000}k` : String(bin.from),
          }))}
        />
      </Chart>
      {unknown > 0 && (
        <Box sx={{ typography: 'small', color: 'text.secondary', mt: 0.5 }}>
          {whole(unknown)} keywords with an unknown value are hidden by any bound.
        </Box>
      )}
    </Box>
  );
}
