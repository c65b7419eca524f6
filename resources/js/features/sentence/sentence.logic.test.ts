import { describe, expect, it } from 'vitest';
import { find, moved, parseSentence, put, spell, toggle, valuesOf } from './sentence.logic';

describe('sentence', () => {
  it('reads and spells clauses without loss', () => {
    const text = 'standing=gap,behind;competitors>=2@20;volume>=100;text=hive -wooden';
    expect(spell(parseSentence(text))).toBe(text);
  });

  it('keeps a semicolon that belongs to a value', () => {
    const clause = { name: 'topic', operator: '=' as const, value: 'pen; ink' };
    expect(spell([clause, { ...clause, name: 'mark', value: 'kept' }])).toBe('topic=pen\\; ink;mark=kept');
    expect(parseSentence('topic=pen\\; ink;mark=kept')[0]).toEqual(clause);
  });

  it('leaves out what is no clause', () => {
    expect(parseSentence('volume>=100; ;nonsense')).toEqual([{ name: 'volume', operator: '>=', value: '100' }]);
  });

  it('replaces a clause by name and operator, so that a range keeps both ends', () => {
    const range = put(put([], 'volume', '>=', '100'), 'volume', '<=', '900');
    expect(spell(put(range, 'volume', '>=', '50'))).toBe('volume>=50;volume<=900');
  });

  it('drops a clause whose value is emptied', () => {
    expect(put(parseSentence('volume>=100'), 'volume', '>=', '')).toEqual([]);
  });

  it('toggles one value of a list', () => {
    const both = toggle(parseSentence('standing=gap'), 'standing', 'behind');
    expect(valuesOf(both, 'standing')).toEqual(['gap', 'behind']);
    expect(find(toggle(toggle(both, 'standing', 'gap'), 'standing', 'behind'), 'standing')).toBeUndefined();
  });
});

describe('the order of clauses', () => {
  it('changes by one place, and not beyond the ends', () => {
    const clauses = parseSentence('standing=gap;volume>=100;brands=hide');
    expect(spell(moved(clauses, 0, 1))).toBe('volume>=100;standing=gap;brands=hide');
    expect(spell(moved(clauses, 2, -1))).toBe('standing=gap;brands=hide;volume>=100');
    expect(moved(clauses, 0, -1)).toBe(clauses);
    expect(moved(clauses, 2, 1)).toBe(clauses);
    expect(moved(clauses, 9, -1)).toBe(clauses);
  });
});
