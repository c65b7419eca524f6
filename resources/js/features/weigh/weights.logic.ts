import type { CriterionName, Scores } from '../../api/types';

export type Weights = Record<CriterionName, number>;

export const criteria: CriterionName[] = ['volume', 'ease', 'gain', 'value', 'intent', 'fit'];

/** The text that the API and the address know weights by; what weighs nothing is left out. */
export function spellWeights(weights: Weights): string {
  return criteria
    .filter((name) => weights[name] > 0)
    .map((name) => `${name}:${weights[name]}`)
    .join(',');
}

export interface Part {
  name: CriterionName;
  score: number;
  /** Share of the priority's full width that this criterion fills, 0…1. */
  width: number;
}

/** How a priority that the server gave is made up: each known criterion's share of the weights times its score of five. */
export function partsOf(scores: Scores, weights: Weights): Part[] {
  const known = criteria.filter((name) => scores[name] !== null && weights[name] > 0);
  const total = known.reduce((sum, name) => sum + weights[name], 0);
  return known.map((name) => ({ name, score: scores[name] ?? 0, width: (weights[name] / total) * ((scores[name] ?? 0) / 5) }));
}
