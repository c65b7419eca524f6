import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import type { PositionModel } from '../../api/schema';
import { across, amountScale, Chart, dashes, inks, Line, radiusScale, upwards, XAxis, YAxis, type Frame } from '../../shared/chart';
import { decimal, percent, whole } from '../../shared/format';
import { PlainTable } from '../../shared/PlainTable';
import { about, sources } from '../../shared/abouts';
import { ViewSwitch } from '../../shared/ViewSwitch';
import { measures } from '../../theme/measures';

type Bound = PositionModel['calibration'][number];

const frame: Frame = { width: 270, height: 280, left: 42, right: 18, top: 18, bottom: 40 };
const views = { '3': 'Top 3', '10': 'Top 10', '20': 'Top 20' };

/** What was said of keywords that the model had not seen, against what is: for three bounds, and beside always saying the share. */
export function CalibrationPart({ calibration }: { calibration: Bound[] }) {
  const [bound, setBound] = useState('10');
  const one = calibration.find((other) => String(other.bound) === bound);
  return (
    <>
      <Box sx={{ display: 'flex', alignItems: 'center', mt: 2 }}>
        <Typography variant="h3" sx={{ flex: 1 }}>
          Calibration
        </Typography>
        <ViewSwitch views={views} view={bound} onChange={setBound} />
      </Box>
      {one === undefined || one.brier === null ? (
        <p>No rows to check the chances against.</p>
      ) : (
        <>
          <Typography variant="body2">
            Each fifth of the keywords is predicted from the other four. The mean squared error is {decimal(one.brier, 3)}. Always
            predicting the overall share gives {decimal(one.base, 3)}; 0 is perfect.
          </Typography>
          <Box sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'flex-start', gap: 1 }}>
            <Picture bins={one.bins} />
            <Box sx={{ flex: `1 1 ${measures.narrowPart}` }}>
              <PlainTable
                label="Calibration"
                headings={[
                  { name: 'Predicted', about: about('Range of predicted chances.', 'chance', 'calculated with the position model') },
                  { name: 'Rows', about: about('Rows the model hasn’t seen.', 'rows', sources.rankings) },
                  { name: 'Mean predicted', about: about('Mean predicted chance.', 'chance', 'calculated with the position model') },
                  { name: 'Observed', about: about('Observed share.', 'share', sources.rankings) },
                ]}
                numbers={[1, 2, 3]}
              >
                {one.bins.map((bin) => (
                  <tr key={bin.from}>
                    <td>{`${Math.round(bin.from * 100)}–${Math.round(bin.to * 100)}%`}</td>
                    <td>{whole(bin.rows)}</td>
                    <td>{percent(bin.predicted)}</td>
                    <td>{percent(bin.observed)}</td>
                  </tr>
                ))}
              </PlainTable>
            </Box>
          </Box>
        </>
      )}
    </>
  );
}

/** Said against seen: on the slanted line the model keeps its promise. */
function Picture({ bins }: { bins: Bound['bins'] }) {
  const [x, y] = [amountScale(1, across(frame)), amountScale(1, upwards(frame))];
  const radius = radiusScale(Math.max(1, ...bins.map((bin) => bin.rows)), 8);
  const filled = bins.flatMap(({ from, rows, predicted, observed }) =>
    predicted === null || observed === null ? [] : [{ from, rows, x: x(predicted), y: y(observed) }],
  );
  const ticks = (at: (share: number) => number) => [0, 0.5, 1].map((share) => ({ at: at(share), name: `${share * 100}%` }));
  return (
    <Chart label="Predicted chance against observed share" frame={frame}>
      <YAxis frame={frame} ticks={ticks(y)} name="observed" />
      <XAxis frame={frame} ticks={ticks(x)} name="said" />
      <line x1={x(0)} y1={y(0)} x2={x(1)} y2={y(1)} stroke={inks.text} strokeDasharray={dashes.short} />
      <Line spots={filled} ink={inks.main} />
      {filled.map((bin) => (
        <circle key={bin.from} cx={bin.x} cy={bin.y} r={2 + radius(bin.rows)} fill={inks.main} fillOpacity={0.25} stroke={inks.main} />
      ))}
    </Chart>
  );
}
