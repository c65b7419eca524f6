import type { Comparison, PositionModel } from '../../api/schema';
import { decimal, whole } from '../../shared/format';

/** The classes of places, the best first. */
export const places = ['1', '2–3', '4–5', '6–10', '11–20', '21–50', '51–100', 'absent'];

type Step = Comparison['model_steps'][number];

/** Rows below which a model is told to be young. */
const few = 2000;

/** What a feature does to the odds to stand better, or why it was left out. */
export function featureWords(model: PositionModel, step: Step): string {
  if (step.odds !== null) {
    return `${step.words} multiplies the odds to stand better by ${decimal(step.odds, 2)}`;
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
  ground: 'left out: it is all alike, or too few rankings bear a page',
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
  ground: 'who holds less of a page’s keywords stands better',
};

export function scoreWords(isReached: boolean): string {
  return isReached ? 'reached' : 'not reached';
}
