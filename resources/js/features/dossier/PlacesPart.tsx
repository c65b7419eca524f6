import Box from '@mui/material/Box';
import type { KeywordDossier } from '../../api/schema';
import { amountScale, Bars, Chart, diamond, inks, Shape, upwards, useFit, type Frame } from '../../shared/chart';
import { percent } from '../../shared/format';
import { Part } from './Part';

type Places = NonNullable<KeywordDossier['places']>;

const usual: Frame = { width: 366, height: 124, left: 0, right: 0, top: 16, bottom: 36 };
const gap = 4;

/** Chances by position, wherever we stand now: the chance of every class of places as a bar, ours marked. */
export function PlacesPart({ dossier }: { dossier: KeywordDossier }) {
  const { places } = dossier;
  if (places === null) {
    return null;
  }
  return (
    <Part title="Chances by position">
      <Picture classes={places.classes} />
      <Box sx={{ typography: 'note', color: 'text.secondary', mt: 0.5 }}>
        {dossier.leading_page === null
          ? 'No competitor ranks here.'
          : `${dossier.leading_page} leads here. We rank for ${dossier.ground_held ?? 0} of its ${dossier.ground_of ?? 0} other keywords.`}
      </Box>
    </Part>
  );
}

function Picture({ classes }: { classes: Places['classes'] }) {
  const { frame, fit } = useFit(usual, usual.width * 1.2);
  const y = amountScale(Math.max(...classes.map((one) => one.chance)), upwards(frame));
  const step = frame.width / classes.length;
  const floor = frame.height - frame.bottom;
  const words = (one: Places['classes'][number]) => `${one.name}: ${percent(one.chance)}${one.holds_us ? ', where we are' : ''}`;
  return (
    <Chart
      label={`Chance of each position range: ${classes.map(words).join('; ')}`}
      frame={frame}
      fit={fit}
      table={{ headings: ['Places', 'Chance'], rows: classes.map((one) => [one.name, percent(one.chance)]) }}
    >
      <Bars
        bars={classes.map((one, index) => ({
          x: index * step + gap / 2,
          width: step - gap,
          from: y(0),
          to: Math.min(y(one.chance), floor - 1),
          ink: one.holds_us ? inks.main : 'var(--mui-palette-ink-standing-level)',
          title: words(one),
        }))}
      />
      {classes.map((one, index) => (
        <g key={one.name} textAnchor="middle" fontWeight={one.holds_us ? 700 : 400}>
          <text x={(index + 0.5) * step} y={Math.min(y(one.chance), floor - 1) - 4}>
            {percent(one.chance)}
          </text>
          {one.holds_us && <Shape path={diamond} x={(index + 0.5) * step} y={floor + 9} />}
          <text x={(index + 0.5) * step} y={frame.height - 6}>
            {one.name}
          </text>
        </g>
      ))}
    </Chart>
  );
}
