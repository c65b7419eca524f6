import type { About } from './Heading';

export function about(meaning: string, unit: string, source: string): About {
  return { meaning, unit, source };
}

/** Where figures of a plain table come from. */
export const sources = {
  rankings: 'the ranking lists of the compared days',
  curve: 'worked out with the CTR curve',
  rules: 'worked out by the rulebook',
  results: 'the lists of results',
  people: 'decided here by people',
} as const;
