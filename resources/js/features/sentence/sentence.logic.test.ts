import { describe, expect, it } from 'vitest';
import { add, alternatives, find, moved, parseSentence, put, spell, toggle, valuesOf } from './sentence.logic';

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

describe('brackets and additions', () => {
  it('keep a bracket of clauses as one, whatever blanks stand around it', () => {
    const [first, second] = parseSentence('volume>=10; (own=absent | own>=11)');
    expect([first?.name, second]).toEqual(['volume', { name: alternatives, operator: '=', value: '(own=absent | own>=11)' }]);
    expect(spell(parseSentence('(a=1|b=2);volume>=10'))).toBe('(a=1|b=2);volume>=10');
    expect(parseSentence('volume>=(')).toEqual([{ name: 'volume', operator: '>=', value: '(' }]);
  });

  it('put a clause in the place of its like', () => {
    expect(add('standing=gap;volume>=10', 'volume>=50')).toBe('standing=gap;volume>=50');
    expect(add('volume>=10', 'volume<=50')).toBe('volume>=10;volume<=50');
    expect(add('', 'standing=gap')).toBe('standing=gap');
    expect(add('standing=gap', '%%')).toBe('standing=gap');
    expect(add('(a=1|b=2);volume>=10', '(a=1|b=2)')).toBe('volume>=10;(a=1|b=2)');
    expect(add('(a=1|b=2)', '(c=3|d=4)')).toBe('(a=1|b=2);(c=3|d=4)');
  });

  it('take a clause away, and only that', () => {
    const clauses = parseSentence('volume>=10;volume<=90;standing=gap');
    expect(spell(put(clauses, 'volume', '<=', ''))).toBe('volume>=10;standing=gap');
    expect(spell(put(clauses, 'cpc', '>=', ''))).toBe('volume>=10;volume<=90;standing=gap');
    expect(find(clauses, 'volume', '<=')?.value).toBe('90');
    expect(find(clauses, 'volume', '=')).toBeUndefined();
    expect(valuesOf(clauses, 'movement')).toEqual([]);
  });
});
