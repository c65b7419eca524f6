import { describe, expect, it } from 'vitest';
import type { OpportunityGroup } from '../../api/schema';
import { inOrder, sharedTopics, thinStage } from './groups.logic';

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
  it('stand with most first and the unknown last', () => {
    expect(inOrder([group('a', 1, null), group('b', 1, 3), group('c', 1, 9)], 'gain').map((one) => one.name)).toEqual(['c', 'b', 'a']);
  });

  it('stand in the order of the figure asked for, whatever the order of another', () => {
    const groups = [group('a', 5, 1), group('b', 1, 9), group('c', 3, 4)];
    expect(inOrder(groups, 'keywords').map((one) => one.name)).toEqual(['a', 'c', 'b']);
    expect(inOrder(groups, 'gain').map((one) => one.name)).toEqual(['b', 'c', 'a']);
    expect(groups.map((one) => one.name)).toEqual(['a', 'b', 'c']);
  });

  it('put what is known to be nothing before the unknown, and keep equals as they came', () => {
    const groups = [group('a', 1, null), group('b', 1, 0), group('c', 1, 0), group('d', 1, null)];
    expect(inOrder(groups, 'gain').map((one) => one.name)).toEqual(['b', 'c', 'a', 'd']);
  });

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
