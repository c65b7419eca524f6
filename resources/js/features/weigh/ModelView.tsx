import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useQuery } from '@tanstack/react-query';
import type { Comparison, PositionModel, Study } from '../../api/schema';
import { decimal, percent, unknown, whole } from '../../shared/format';
import { Empty } from '../../shared/Notice';
import { PlainTable } from '../../shared/PlainTable';
import { about, sources } from '../../shared/abouts';
import { CalibrationPart } from './CalibrationPart';
import { doubts, effectSentences, featureWords, places, scoreWords } from './model.logic';
import { effectQuery } from '../study/effect';
import { measures, texts } from '../../theme/measures';
import { RowBar } from '../../shared/chart';
import { commonWording } from '../../shared/wording';

/** What this study has taught: who stands where, how well that tells what it has not seen, and when not to trust it. */
export function ModelView({ study, comparison }: { study: Study; comparison: Comparison }) {
  const model = comparison.summary.position_model;
  if (model === undefined) {
    return <Empty title="No model">This comparison has no opportunities, so there is no model.</Empty>;
  }
  return (
    <Box sx={{ flex: 1, minHeight: 0, overflowY: 'auto', px: 3, pb: 4, '& > *': { maxWidth: texts.sheet } }}>
      <Typography variant="h2" sx={{ mt: 1 }}>
        Position model
      </Typography>
      <Typography sx={{ maxWidth: texts.page }}>
        {model.fit.assumed
          ? `Only ${whole(model.fit.rows)} positions of pages with a known difficulty are known; the model needs two hundred ` +
            `in at least two places. Until then we assume that half of pages reach page one at the comfort difficulty, ` +
            `and fewer as it rises.`
          : `Fitted to ${whole(model.fit.rows)} positions of pages that exist in this study, by difficulty, authority, ground ` +
            `and volume. Domains without a page for a topic do not count: they have not tried.`}
      </Typography>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', columnGap: 5, rowGap: 1, mt: 1 }}>
        <Box sx={{ flex: `1 1 ${measures.part}` }}>
          <Learnt comparison={comparison} model={model} />
          <Doubts comparison={comparison} model={model} />
          <EffectPart study={study} />
        </Box>
        <Box sx={{ flex: `1 1 ${measures.widePart}` }}>
          <Standing model={model} />
          <CalibrationPart calibration={model.calibration} />
        </Box>
      </Box>
    </Box>
  );
}

function slopeOf(model: PositionModel, feature: string): string {
  const slope = model.fit.betas[feature] ?? null;
  return slope === null ? unknown : decimal(slope, 4);
}

function Learnt({ comparison, model }: { comparison: Comparison; model: PositionModel }) {
  return (
    <>
      <Typography variant="h3" sx={{ mt: 2 }}>
        Fitted slopes
      </Typography>
      <PlainTable
        label="Model coefficients"
        headings={[
          '',
          { name: 'Slope', about: about('Effect on the odds of a better position.', '', 'learnt from all domains in the comparison') },
          { name: 'In words', about: about('The effect in words.', '', 'learnt from all domains in the comparison') },
        ]}
        numbers={[1]}
      >
        {comparison.model_steps.map((step) => (
          <tr key={step.feature}>
            <td>{step.feature}</td>
            <td>{slopeOf(model, step.feature)}</td>
            <td>{featureWords(model, step)}</td>
          </tr>
        ))}
      </PlainTable>
    </>
  );
}

function Doubts({ comparison, model }: { comparison: Comparison; model: PositionModel }) {
  return (
    <>
      <Typography variant="h3" sx={{ mt: 2 }}>
        Limits
      </Typography>
      <Box component="ul" sx={{ pl: 2.5, my: 0.5, typography: 'plain' }}>
        {doubts(model, comparison.domains.length).map((doubt) => (
          <li key={doubt}>{doubt}</li>
        ))}
        <li>
          A chance of 30% means that three in ten such keywords reach their target for a domain like ours, not that this page will. The
          model doesn’t read the pages.
        </li>
        <li>It learns from rankings. A ranking missing from a list counts as absent.</li>
      </Box>
    </>
  );
}

/** How the rows are spread over the places. */
function Standing({ model }: { model: PositionModel }) {
  const all = model.classes.reduce((sum, rows) => sum + rows, 0);
  const most = Math.max(1, ...model.classes);
  return (
    <>
      <Typography variant="h3" sx={{ mt: 2 }}>
        Positions in this study
      </Typography>
      <PlainTable
        label="Rows by position"
        headings={[
          { name: 'Position', about: about('Positions of pages that exist.', 'position', sources.rankings) },
          { name: 'Rows', about: about('Keyword and domain pairs.', 'rows', sources.rankings) },
          { name: 'Share', about: about('Share of all rows.', 'share', sources.rankings) },
          '',
        ]}
        numbers={[1, 2]}
      >
        {model.classes.map((rows, number) => (
          <tr key={places[number]}>
            <td>{places[number]}</td>
            <td>{whole(rows)}</td>
            <td>{all === 0 ? unknown : percent(rows / all)}</td>
            <td style={{ width: '45%' }}>
              <RowBar amount={rows} most={most} ink="ink.standing.level" />
            </td>
          </tr>
        ))}
      </PlainTable>
    </>
  );
}

/** Effect of work, for new and for existing pages, and the items that teach it. */
function EffectPart({ study }: { study: Study }) {
  const effect = useQuery(effectQuery(study.slug)).data;
  const finished = effect?.finished ?? [];
  return (
    <>
      <Typography variant="h3" sx={{ mt: 2 }}>
        Effect of work
      </Typography>
      {(effect === undefined ? [] : effectSentences(effect)).map((sentence) => (
        <Typography key={sentence} variant="body2">
          {sentence}
        </Typography>
      ))}
      {finished.length > 0 && (
        <PlainTable
          label={commonWording.finishedItems}
          headings={[
            { name: 'Keyword', about: about('Lead keyword of the item.', '', sources.people) },
            { name: 'Done', about: about(commonWording.monthItWasFinished, '', sources.people) },
            { name: 'Target', about: about('The target when it was planned.', 'position', sources.rules) },
            { name: 'Now', about: about('Our position now.', 'position', sources.rankings) },
            {
              name: 'Win chance',
              about: about(commonWording.theWinChanceWhenItWasPlanned, 'chance', 'calculated with the position model'),
            },
            '',
          ]}
          numbers={[2, 3, 4]}
        >
          {finished.map((item) => (
            <tr key={`${item.keyword} ${item.done_month}`}>
              <td>{item.keyword}</td>
              <td>{item.done_month}</td>
              <td>{item.target}</td>
              <td>{item.position ?? 'absent'}</td>
              <td>{item.win_chance === null ? unknown : percent(item.win_chance)}</td>
              <td>{scoreWords(item.reached)}</td>
            </tr>
          ))}
        </PlainTable>
      )}
    </>
  );
}
