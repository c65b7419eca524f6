import type { Comparison, PositionModel } from '../../api/schema';
import { counted, decimal, whole } from '../../shared/format';

/** The classes of places, the best first. */
export const places = ['1', '2–3', '4–5', '6–10', '11–20', '21–50', '51–100', 'absent'];

type Step = Comparison['model_steps'][number];

/** Rows below which a model is told to be young. */
const few = 2000;

/** What a feature does to the odds to stand better, or why it was left out. */
export function featureWords(model: PositionModel, step: Step): string {
  if (step.odds !== null) {
    return `${step.words}: odds of a better position × ${decimal(step.odds, 2)}`;
  }
  if (model.fit.assumed) {
    return 'not used until the model is fitted';
  }
  return model.fit.odd.some((odd) => odd === step.feature) ? 'left out: these data show the opposite effect' : whyLeftOut[step.feature];
}

const whyLeftOut: Record<Step['feature'], string> = {
  difficulty: 'left out: all values are equal',
  authority: 'left out: all values are equal, or a domain has none',
  ground: 'left out: all values are equal',
  volume: 'left out: all values are equal',
};

/** What of these data asks for caution. */
export function doubts(model: PositionModel, domains: number): string[] {
  const range = Array.isArray(model.fit.ranges) ? undefined : model.fit.ranges['difficulty'];
  const [least, most] = [range?.[0] ?? 0, range?.[1] ?? 100];
  return [
    ...(model.fit.assumed ? ['Too few rows to learn from: every chance is assumed.'] : []),
    ...(!model.fit.assumed && model.fit.rows < few
      ? [`Only ${whole(model.fit.rows)} rows of ${domains} domains: a chance may be about 10 points off.`]
      : []),
    ...model.fit.odd.map(
      (name) => `In these data ${oddities[name] ?? `${name} has the opposite effect`}, which is unlikely, so we leave it out.`,
    ),
    ...(range !== undefined && most - least < 40
      ? [`It has only seen difficulties from ${decimal(least, 0)} to ${decimal(most, 0)}. Beyond that, chances are a guess.`]
      : []),
    ...model.calibration
      .filter((one) => one.brier !== null && one.base !== null && one.brier >= one.base)
      .map((one) => `For position ${one.bound} or better it does no better than the overall share.`),
  ];
}

const oddities: Record<string, string> = {
  difficulty: 'harder keywords rank better',
  authority: 'domains with less authority rank better',
  ground: 'domains weaker in related topics rank better',
  volume: 'pages rank better on keywords with more volume',
};

export function scoreWords(isReached: boolean | null): string {
  return isReached === null ? '' : isReached ? 'reached' : 'not reached';
}

type Taught = { mean: number; items: number };

const shifts: [number, string][] = [
  [-1, 'rank much worse than'],
  [-0.4, 'rank worse than'],
  [-0.1, 'rank a little worse than'],
  [0.1, 'rank like'],
  [0.4, 'rank a little better than'],
];

function shiftWords(shift: number): string {
  return shifts.find(([bound]) => shift <= bound)?.[1] ?? 'rank better than';
}

/** What new pages of the market and finished items of ours teach, a sentence each. */
export function effectSentences(effect: { market_pages: number; market_shift: number; new: Taught; existing: Taught }): string[] {
  return [
    effect.market_pages === 0
      ? 'We can’t follow any new page in this market yet, so new pages count like pages in general.'
      : `${counted(effect.market_pages, 'new page')} in this market ${shiftWords(effect.market_shift)} pages like them.`,
    effect.new.items === 0
      ? 'None of our new pages has had its full ramp yet.'
      : `With ${counted(effect.new.items, 'finished new page')} of our own, we expect that ` +
        `ours ${shiftWords(effect.new.mean)} pages like them.`,
    effect.existing.items === 0
      ? 'None of our improved pages has had its full ramp yet.'
      : `${counted(effect.existing.items, 'finished existing page')} did ${effect.existing.mean >= 0 ? 'better' : 'worse'} than assumed.`,
  ];
}
