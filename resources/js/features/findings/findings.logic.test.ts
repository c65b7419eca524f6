import { describe, expect, it } from 'vitest';
import type { Finding } from '../../api/schema';
import { leadsTo } from '../study/leadsTo';
import { lengthOf } from './findings.logic';

const finding = (code: string, worth: number | null, more: Partial<Finding> = {}): Finding => ({
  code,
  worth,
  words: '',
  next: '',
  stage: 'compare',
  show: null,
  numbers: {},
  ...more,
});

describe('a finding', () => {
  it('leads to the rows that it counts, as a list of keywords', () => {
    expect(leadsTo('bees', finding('share', 1, { stage: 'track' }))).toBe('/studies/bees/track');
    expect(leadsTo('bees', finding('gap', 1, { show: 'standing=gap;mark=kept' }))).toBe(
      '/studies/bees/compare?show=standing%3Dgap%3Bmark%3Dkept',
    );
    expect(leadsTo('bees', finding('quick_wins', 1, { stage: 'weigh', show: 'mark=kept' }))).toContain('view=list');
  });

  it('is drawn beside what is worth most of what could be won', () => {
    const all = [finding('share', 9000), finding('gap', 200), finding('titles', 50), finding('no_clicks', null)];
    expect(all.map((one) => lengthOf(one, all))).toEqual([0, 1, 0.25, 0]);
  });
});
