import { describe, expect, it } from 'vitest';
import type { OpportunityGroup } from '../../api/schema';
import { byPage, reasonOf, thinStage } from './groups.logic';

const group = (name: string | null, keywords: number, gain: number | null): OpportunityGroup => ({
  name,
  keywords,
  gain,
  volume: 1,
  pages: 1,
  visits_now: 0,
  expected_gain: 1,
  difficulty: 1,
  win_chance: 1,
  links_to_earn: 0,
  clause: null,
});

describe('groups of opportunities', () => {
  it('name the thin stage among those that have one', () => {
    expect(thinStage([group('top', 9, 1), group('bottom', 2, 1), group(null, 1, 1)])).toEqual({ name: 'bottom', keywords: 2, of: 11 });
    expect(thinStage([group(null, 1, 1)])).toBeNull();
  });
});

describe('a shortlist', () => {
  it('is of pages, each with its keywords, in the order of the best of each', () => {
    const row = (keyword: string, topic: string | null) => ({ keyword, topic });
    const pages = byPage([row('pen', 'pens'), row('ink', null), row('best pen', 'pens'), row('nib', 'nibs')]);
    expect(pages.map(({ page, rows }) => [page, rows.map(({ keyword }) => keyword)])).toEqual([
      ['pens', ['pen', 'best pen']],
      ['ink', ['ink']],
      ['nibs', ['nib']],
    ]);
  });

  it('gives one reason for each page', () => {
    const reason = (text: string | null) => ({ reason: text });
    expect(reasonOf([reason(null), reason(null)])).toBeNull();
    expect(reasonOf([reason(null), reason('season'), reason('season')])).toBe('season');
    expect(reasonOf([reason('season'), reason('margin')])).toBe('season (and 1 more)');
  });
});
