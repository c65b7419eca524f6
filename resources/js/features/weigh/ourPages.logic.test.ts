import { describe, expect, it } from 'vitest';
import type { OurPage } from '../../api/schema';
import { changeWords, fadingWords, ordered, tableOf } from './ourPages.logic';

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

  it('go by every column that has a heading', () => {
    const low = page('low', { visits: 1, change_6: 0.1, change_12: 0.1, keywords: 1, topics: ['a'] });
    const high = page('up', {
      visits: 2,
      change_6: 0.2,
      change_12: 0.2,
      keywords: 2,
      striking: 2,
      gain: 2,
      expected_gain: 2,
      topics: ['b'],
      conflicts: 2,
      title_tests: 2,
    });
    for (const by of ['page', 'visits', 'six', 'year', 'keywords', 'striking', 'gain', 'expected', 'conflicts', 'titles', 'topics']) {
      expect(ordered([low, high], by, 'desc').map(({ url }) => url)).toEqual(['up', 'low']);
    }
    expect(ordered([page('b'), page('a')], 'visits', 'desc').map(({ url }) => url)).toEqual(['a', 'b']);
    expect(ordered([page('b'), page('a')], 'gain', 'asc').map(({ url }) => url)).toEqual(['b', 'a']);
  });

  it('are saved with what each column goes by', () => {
    const columns = [
      { key: 'page', heading: 'Page' },
      { key: 'open', heading: 'no order' },
      { key: 'expected', heading: 'Expected gain' },
      { key: 'topics', heading: 'Topics' },
    ];
    expect(tableOf([page('a', { expected_gain: 2.5, topics: ['pens', 'ink'] }), page('b')], columns)).toEqual({
      headings: ['Page', 'Expected gain', 'Topics'],
      rows: [
        ['a', 2.5, 'pens'],
        ['b', null, null],
      ],
    });
  });

  it('fade together by the better of two days', () => {
    const fading = [
      page('a', { is_fading: true, visits: 10, visits_6: 30, visits_12: 50 }),
      page('b', { is_fading: true, visits: 5, visits_6: null, visits_12: 8 }),
      page('c', { is_fading: false, visits: 5, visits_6: 500 }),
    ];
    expect(fadingWords(fading)).toBe('2 pages fade: 43 visits a month lost.');
    expect([0, 1.35, -0.17, 203.64, null].map(changeWords)).toEqual(['0.0%', '+135%', '−17%', '× 205', '·']);
  });
});
