import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import type { PositionModel } from '../../api/schema';
import { decimal, percent, whole } from '../../shared/format';
import { PlainTable } from '../../shared/PlainTable';
import { about, sources } from '../../shared/abouts';
import { ViewSwitch } from '../../shared/ViewSwitch';

type Bound = PositionModel['calibration'][number];

const side = 300;
const margin = 42;
const views = { '3': 'Top 3', '10': 'Top 10', '20': 'Top 20' };

/** What was said of keywords that the model had not seen, against what is: for three bounds, and beside always saying the share. */
export function CalibrationPart({ calibration }: { calibration: Bound[] }) {
  const [bound, setBound] = useState('10');
  const one = calibration.find((other) => String(other.bound) === bound);
  return (
    <>
      <Box sx={{ display: 'flex', alignItems: 'center', mt: 2 }}>
        <Typography variant="h3" sx={{ flex: 1 }}>
          Does it keep its promise?
        </Typography>
        <ViewSwitch views={views} view={bound} onChange={setBound} />
      </Box>
      {one === undefined || one.brier === null ? (
        <p>There are no rows to hold chances against.</p>
      ) : (
        <>
          <Typography variant="body2">
            Each fifth of the keywords was told by what the other four taught. The mean squared error is {decimal(one.brier, 3)}; always
            saying the share seen elsewhere would give {decimal(one.base, 3)}, and 0 is perfect.
          </Typography>
          <Box sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'flex-start', gap: 1 }}>
            <Picture bins={one.bins} />
            <Box sx={{ flex: '1 1 220px' }}>
              <PlainTable
                label="Calibration"
                headings={[
                  { name: 'Said', about: about('Chances that were said, in steps.', 'chance', 'worked out with the position model') },
                  { name: 'Rows', about: about('Rows that the model had not seen.', 'rows', sources.rankings) },
                  { name: 'Mean said', about: about('Their mean chance.', 'chance', 'worked out with the position model') },
                  { name: 'Seen', about: about('The share that is there.', 'share', sources.rankings) },
                ]}
                numbers={[1, 2, 3]}
              >
                {one.bins.map((bin) => (
                  <tr key={bin.from}>
                    <td>{`${Math.round(bin.from * 100)}–${Math.round(bin.to * 100)} %`}</td>
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
  const at = (share: number) => margin + (side - margin - 24) * share;
  const down = (share: number) => side - margin - (side - margin - 24) * share;
  const most = Math.max(1, ...bins.map((bin) => bin.rows));
  const filled = bins.filter((bin) => bin.predicted !== null && bin.observed !== null);
  return (
    <Box
      component="svg"
      role="img"
      aria-label="The chance that was said against the share that was seen"
      viewBox={`0 0 ${side} ${side}`}
      sx={{ width: 260, maxWidth: '100%', color: 'text.primary', '& text': { fontSize: 11, fill: 'currentColor' } }}
    >
      <line x1={at(0)} y1={down(0)} x2={at(1)} y2={down(1)} stroke="currentColor" strokeDasharray="3 4" />
      {[0, 0.5, 1].map((tick) => (
        <g key={tick}>
          <text x={at(tick)} y={side - margin + 16} textAnchor="middle">{`${tick * 100}%`}</text>
          <text x={margin - 6} y={down(tick) + 4} textAnchor="end">{`${tick * 100}%`}</text>
        </g>
      ))}
      <polyline
        points={filled.map((bin) => `${at(bin.predicted ?? 0)},${down(bin.observed ?? 0)}`).join(' ')}
        fill="none"
        style={{ stroke: 'var(--mui-palette-primary-main)' }}
      />
      {filled.map((bin) => (
        <circle
          key={bin.from}
          cx={at(bin.predicted ?? 0)}
          cy={down(bin.observed ?? 0)}
          r={2 + 8 * Math.sqrt(bin.rows / most)}
          style={{ fill: 'var(--mui-palette-primary-main)', fillOpacity: 0.25, stroke: 'var(--mui-palette-primary-main)' }}
        />
      ))}
      <text x={side / 2} y={side - 6} textAnchor="middle">
        said
      </text>
      <text x={2} y={10}>
        seen
      </text>
    </Box>
  );
}
