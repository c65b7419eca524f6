import { describe, expect, it } from 'vitest';
import type { OurPage } from '../../api/schema';
import { changeWords, fadingWords, ordered } from './ourPages.logic';

const page = (url: string, changes: Partial<OurPage> = {}): OurPage => ({
  url,
  visits: 10,
  visits_6: null,
  visits_12: null,
  change_6: null,
  change_12: null,
  is_fading: false,
  share: null,
  keywords: 1,
  traffic_leader: 'pen',
  striking: 0,
  gain: null,
  expected_gain: null,
  topics: [],
  conflicts: 0,
  title_tests: 0,
  is_planned: false,
  ...changes,
});

describe('our pages', () => {
  it('go by any column, what is unknown last either way', () => {
    const pages = [page('a', { gain: 5 }), page('b'), page('c', { gain: 9 }), page('d', { gain: 5 })];
    const urls = (dir: string) => ordered(pages, 'gain', dir).map(({ url }) => url);
    expect(urls('desc')).toEqual(['c', 'a', 'd', 'b']);
    expect(urls('asc')).toEqual(['a', 'd', 'c', 'b']);
    expect(ordered(pages, 'no such order', 'desc')).toHaveLength(4);
  });

  it('tell their change with its sign', () => {
    expect(changeWords(null)).toBe('·');
    expect(changeWords(0.25)).toContain('+25');
    expect(changeWords(-0.25)).toContain('−25');
  });

  it('call out those that fade with what is lost', () => {
    expect(fadingWords([page('a')])).toBeNull();
    expect(fadingWords([page('a', { is_fading: true, visits_6: 30, visits_12: 20 })])).toBe('1 page fades: 20 visits a month lost.');
  });
});
