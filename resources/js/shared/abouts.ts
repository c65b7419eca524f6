import type { About } from './Heading';

export function about(meaning: string, unit: string, source: string): About {
  return { meaning, unit, source };
}

/** Where figures of a plain table come from. */
export const sources = {
  rankings: 'rankings of the compared days',
  curve: 'calculated with the CTR curve',
  rules: 'calculated by the rulebook',
  results: 'imported results pages',
  people: 'decided by people',
} as const;
