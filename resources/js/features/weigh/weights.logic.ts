import type { Scores } from '../../api/schema';

/** Criterion → how much it counts, every one of them in the server's order. */
export type Weights = Record<string, number>;

/** The text that the API and the address know weights by; what weighs nothing is left out. */
export function spellWeights(weights: Weights): string {
  return Object.entries(weights)
    .filter(([, weight]) => weight > 0)
    .map(([name, weight]) => `${name}:${weight}`)
    .join(',');
}

export interface Part {
  name: string;
  /** Place of the criterion among all, by which it is drawn everywhere. */
  place: number;
  score: number;
  /** Share of the priority's full width that this criterion fills, 0…1. */
  width: number;
}

/** How a priority that the server gave is made up: each known criterion's share of the weights times its score of five. */
export function partsOf(scores: Scores, weights: Weights): Part[] {
  const known = Object.entries(weights).flatMap(([name, weight], place) => {
    const score = scores[name] ?? null;
    return score === null || weight <= 0 ? [] : [{ name, place, weight, score }];
  });
  const total = known.reduce((sum, { weight }) => sum + weight, 0);
  return known.map(({ name, place, weight, score }) => ({ name, place, score, width: (weight / total) * (score / 5) }));
}
