import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { Comparison, WinModel } from '../../api/schema';
import { decimal, percent, unknown, whole } from '../../shared/format';
import { Empty } from '../../shared/Notice';
import { PlainTable } from '../../shared/PlainTable';

const side = 300;
const margin = 42;

/** What the coefficient of a feature says, and how much of it our domain has. */
function featureWords({ summary, domains }: Comparison, name: string, slope: number | null): string {
  if (slope === null) {
    return 'not in the model: not every compared domain has one';
  }
  const own: unknown = domains[0]?.[name];
  const odds = summary.odds?.features[name] ?? null;
  return `each 10 points more multiply the odds by ${decimal(odds, 2)}` + (typeof own === 'number' ? `; ours is ${decimal(own)}` : '');
}

/** The win model of this comparison: what it learnt, how well it fits, and when not to trust it. */
export function ModelView({ comparison }: { comparison: Comparison }) {
  const model = comparison.summary.win_model;
  if (model === undefined) {
    return <Empty title="Not weighed">This comparison has no win model.</Empty>;
  }
  const features = Object.entries(model.features);
  const learnt = features.filter(([, slope]) => slope !== null).map(([name]) => name);
  return (
    <Box sx={{ flex: 1, minHeight: 0, overflowY: 'auto', px: 3, pb: 4, '& > *': { maxWidth: 1060 } }}>
      <Typography variant="h2" sx={{ mt: 1 }}>
        Win chance: how it is reckoned
      </Typography>
      <Typography sx={{ maxWidth: 760 }}>
        {model.assumed
          ? `Too little is known to learn from (${whole(model.rows)} keyword and domain pairs with a known difficulty, fifty are ` +
            `needed, some on page one and some not), so an assumed curve stands in: one half at the comfort difficulty, falling as ` +
            `the difficulty rises.`
          : `Learnt from ${whole(model.rows)} pairs of keyword and domain in this study: who stands on page one at which ` +
            `difficulty${learnt.length === 0 ? '' : ` and with which ${learnt.join(' and ')}`}. It is a penalised logistic regression.`}
      </Typography>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 4, mt: 2 }}>
        <Box sx={{ flex: '1 1 320px' }}>
          <Typography variant="h3">Coefficients</Typography>
          <PlainTable label="Coefficients" headings={['', 'Coefficient', 'What it says']} numbers={[1]}>
            <tr>
              <td>intercept</td>
              <td>{decimal(model.intercept, 3)}</td>
              <td>logarithmic odds at difficulty 0{learnt.map((name) => ` and ${name} 0`).join('')}</td>
            </tr>
            <tr>
              <td>difficulty</td>
              <td>{decimal(model.difficulty, 4)}</td>
              <td>{`each 10 points more multiply the odds by ${decimal(comparison.summary.odds?.difficulty ?? null, 2)}`}</td>
            </tr>
            {features.map(([name, slope]) => (
              <tr key={name}>
                <td>{name}</td>
                <td>{slope === null ? unknown : decimal(slope, 4)}</td>
                <td>{featureWords(comparison, name, slope)}</td>
              </tr>
            ))}
          </PlainTable>
          <Typography variant="h3" sx={{ mt: 2 }}>
            When to trust it
          </Typography>
          <Box component="ul" sx={{ pl: 2.5, fontSize: '0.9rem' }}>
            <li>
              {model.brier_score === null
                ? 'There is no Brier score: nothing was learnt.'
                : `Its Brier score is ${decimal(model.brier_score, 3)}: the mean squared distance of the chance from what happened, ` +
                  `0 for perfect; always guessing one half would give 0.25.`}
            </li>
            <li>
              A chance of 30 % means that three in ten such keywords are on page one for a domain like ours, not that this page will be.
            </li>
            <li>
              It knows difficulty{learnt.map((name) => ` and ${name}`).join('')} only: nothing of the content, and nothing of brands and
              news.
            </li>
            <li>Do not trust it far from what it saw: where the table has few pairs in a row, the chance there is a guess.</li>
            <li>It says who ranks, and rankings that a list leaves out count as absent.</li>
          </Box>
        </Box>
        <Box sx={{ flex: '1 1 360px' }}>
          <Typography variant="h3">Calibration</Typography>
          {model.calibration.length === 0 ? (
            <p>Nothing was learnt, so there is nothing to hold against what happened.</p>
          ) : (
            <Calibration bins={model.calibration} />
          )}
        </Box>
      </Box>
    </Box>
  );
}

/** Predicted against observed: on the slanted line the model is right. */
function Calibration({ bins }: { bins: WinModel['calibration'] }) {
  const at = (share: number) => margin + (side - margin - 24) * share;
  const down = (share: number) => side - margin - (side - margin - 24) * share;
  const most = Math.max(1, ...bins.map((bin) => bin.rows));
  const filled = bins.filter((bin) => bin.predicted !== null && bin.observed !== null);
  return (
    <>
      <Box
        component="svg"
        role="img"
        aria-label="Predicted chance against the observed share"
        viewBox={`0 0 ${side} ${side}`}
        sx={{ width: 340, maxWidth: '100%', color: 'text.primary', '& text': { fontSize: 11, fill: 'currentColor' } }}
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
          predicted chance
        </text>
        <text x={2} y={10}>
          observed share
        </text>
      </Box>
      <PlainTable label="Calibration" headings={['Chance', 'Pairs', 'Predicted', 'Observed']} numbers={[1, 2, 3]}>
        {bins.map((bin) => (
          <tr key={bin.from}>
            <td>{`${Math.round(bin.from * 100)}–${Math.round(bin.to * 100)} %`}</td>
            <td>{whole(bin.rows)}</td>
            <td>{percent(bin.predicted)}</td>
            <td>{percent(bin.observed)}</td>
          </tr>
        ))}
      </PlainTable>
    </>
  );
}
