import { describe, expect, it } from 'vitest';
import type { Mark } from '../../api/schema';
import { marksOf, unmarked, withMark } from './rows.logic';

const row = (keyword: string, mark: Mark | null = null) => ({ keyword, mark, volume: 10 });
const list = {
  pages: [
    { rows: [row('smoker'), row('veil', 'shortlisted')], next: 'more' },
    { rows: [row('hive tool')], next: null },
  ],
  pageParams: ['', 'more'],
};
const marks = (pages: typeof list) => pages.pages.flatMap((page) => page.rows.map((each) => each.mark));

describe('a mark in a list', () => {
  it('stands on the wanted keywords of every page, and leaves all else as it was', () => {
    const next = withMark(list, new Set(['smoker', 'hive tool', 'not there']), 'set aside');
    expect(marks(next)).toEqual(['set aside', 'shortlisted', 'set aside']);
    expect(next.pages[0]?.next).toBe('more');
    expect(next.pageParams).toBe(list.pageParams);
    expect(next.pages[0]?.rows[1]).toBe(list.pages[0]?.rows[1]);
    expect(marks(list)).toEqual([null, 'shortlisted', null]);
  });

  it('goes back to what it was when it is refused', () => {
    const wanted = new Set(['smoker', 'veil']);
    const before = marksOf([list], wanted);
    expect([...before]).toEqual([
      ['smoker', null],
      ['veil', 'shortlisted'],
    ]);
    expect(marks(unmarked(withMark(list, wanted, 'set aside'), before, 'set aside'))).toEqual([null, 'shortlisted', null]);
  });

  it('stays where something else was decided since', () => {
    const before = marksOf([list], new Set(['smoker']));
    const since = withMark(withMark(list, new Set(['smoker']), 'set aside'), new Set(['smoker']), 'shortlisted');
    expect(marks(unmarked(since, before, 'set aside'))).toEqual(['shortlisted', 'shortlisted', null]);
  });
});
