import { describe, expect, it } from 'vitest';
import type { Row } from '../../api/schema';
import { vocabulary } from '../sentence/vocabulary.testing';
import { allColumns, choices, shownColumns, usualColumns, type SpokenColumn } from './columns';

const spoken: SpokenColumn[] = vocabulary.columns;
const columns = allColumns(['ours.example', 'theirs.example'], spoken);
const at = (key: string) => columns.find((column) => column.key === key);

describe('columns of the list', () => {
  it('has every column of the catalogue, and each of its orders', () => {
    expect(spoken.map(({ heading }) => heading).filter((heading) => !columns.some((column) => column.heading === heading))).toEqual([]);
    const orders = columns.flatMap(({ sort }) => sort ?? []);
    expect(orders).toEqual(['mark', 'best', ...spoken.flatMap(({ order }) => order ?? []), 'p1', 'share', 'fit', 'tags', 'reason', 'note']);
  });

  it('names each column once, among them those that stand at first', () => {
    const keys = columns.map(({ key }) => key);
    expect(new Set(keys).size).toBe(keys.length);
    expect(usualColumns.filter((key) => !keys.includes(key))).toEqual([]);
  });

  it('lets people choose all but what always stands', () => {
    const keys = choices(columns).map(({ key }) => key);
    expect(keys).toHaveLength(columns.length - 3);
    expect(keys).not.toContain('keyword');
    expect(choices(columns)).toContainEqual({ key: 'lane', name: 'Rank lane' });
  });

  it('shows a column nobody has drawn as its type and unit say', () => {
    const added = (type: string, unit: string, value: unknown) => {
      const column: SpokenColumn = { name: 'brand_new', type, unit, heading: 'Brand new', meaning: '', order: null, source: '' };
      return allColumns([], [column])
        .find(({ key }) => key === 'brand_new')
        ?.cell({ brand_new: value } as unknown as Row, false);
    };
    expect(added('whole', '', 12345)).toBe('12,345');
    expect(added('measure', 'share', 0.25)).toBe('25%');
    expect(added('measure', 'visits a month', 1234)).toBe('1,230');
    expect(added('measure', '0–100', 4.25)).toBe('4.3');
    expect(added('text', '', 'said')).toBe('said');
    expect(added('flag', '', true)).toBe('yes');
    expect(added('whole', '', null)).toBe('·');
  });

  it('begins with the smallest where the smallest is the best', () => {
    expect(['keyword', 'own', 'best', 'difficulty'].map((key) => at(key)?.startsAscending)).toEqual([true, true, true, true]);
    expect(['volume', 'gain', 'chance'].map((key) => at(key)?.startsAscending)).toEqual([undefined, undefined, undefined]);
  });

  it('puts the pinned ones first and lets the dearest stay longest', () => {
    const shown = shownColumns(columns, ['cpc', 'volume', 'words'], ['words']);
    expect(shown.map(({ key }) => key)).toEqual(['choose', 'mark', 'keyword', 'words', 'cpc', 'volume']);
    expect(shown.filter(({ isPinned }) => isPinned === true).map(({ key }) => key)).toEqual(['choose', 'mark', 'keyword', 'words']);
    const rank = (key: string) => shown.find((column) => column.key === key)?.rank ?? -1;
    expect(rank('keyword')).toBe(-1);
    expect(rank('volume')).toBeLessThan(rank('words'));
    expect(rank('words')).toBeLessThan(rank('cpc'));
  });
});
