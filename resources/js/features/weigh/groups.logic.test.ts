import { describe, expect, it } from 'vitest';
import type { OpportunityGroup } from '../../api/schema';
import { sharedTopics, thinStage } from './groups.logic';

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
  it('points out topics that are there more than once', () => {
    expect([...sharedTopics([{ topic: 'a' }, { topic: 'b' }, { topic: 'a' }, { topic: null }, { topic: null }])]).toEqual([['a', 2]]);
  });
});
