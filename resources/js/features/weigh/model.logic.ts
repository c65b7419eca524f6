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
    return 'not looked at by the assumed line';
  }
  return model.fit.odd.some((odd) => odd === step.feature)
    ? 'left out: by these data it works against its meaning'
    : whyLeftOut[step.feature];
}

const whyLeftOut: Record<Step['feature'], string> = {
  difficulty: 'left out: it is all alike',
  authority: 'left out: it is all alike, or not every compared domain has one',
  ground: 'left out: it is all alike',
  volume: 'left out: it is all alike',
};

/** What of these data asks for caution. */
export function doubts(model: PositionModel, domains: number): string[] {
  const range = Array.isArray(model.fit.ranges) ? undefined : model.fit.ranges['difficulty'];
  const [least, most] = [range?.[0] ?? 0, range?.[1] ?? 100];
  return [
    ...(model.fit.assumed ? ['Nothing was learnt: every chance comes from the assumed line.'] : []),
    ...(!model.fit.assumed && model.fit.rows < few
      ? [`It is young: ${whole(model.fit.rows)} rows of ${domains} domains. A chance may be some ten points off.`]
      : []),
    ...model.fit.odd.map((name) => `By these data ${oddities[name] ?? `${name} works against its meaning`}, which is odd; it is left out.`),
    ...(range !== undefined && most - least < 40
      ? [`It has seen difficulties from ${decimal(least, 0)} to ${decimal(most, 0)} alone; beyond these its chances are a guess.`]
      : []),
    ...model.calibration
      .filter((one) => one.brier !== null && one.base !== null && one.brier >= one.base)
      .map((one) => `For position ${one.bound} or better it tells no more than the share that there is.`),
  ];
}

const oddities: Record<string, string> = {
  difficulty: 'harder keywords are held better',
  authority: 'domains of less authority stand better',
  ground: 'domains that hold less of the related topics rank better',
  volume: 'pages rank better where more is searched',
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
      ? 'No new page of this market can be followed yet, so new pages count like pages in general.'
      : `${counted(effect.market_pages, 'new page')} in this market ${shiftWords(effect.market_shift)} pages like them.`,
    effect.new.items === 0
      ? 'None of our own new pages is past its ramp yet.'
      : `With ${counted(effect.new.items, 'finished new page')} of our own, we expect that ` +
        `ours ${shiftWords(effect.new.mean)} pages like them.`,
    effect.existing.items === 0
      ? 'None of our improved pages is past its ramp yet.'
      : `${counted(effect.existing.items, 'finished existing page')} came to ${effect.existing.mean >= 0 ? 'more' : 'less'} than assumed.`,
  ];
}
