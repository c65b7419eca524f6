import { describe, expect, it } from 'vitest';
import { askedWords, beforeWords, filterOf, outcomeOf } from './filter.logic';

describe('the audit record', () => {
  it('is narrowed by what an address asks, and by nothing else', () => {
    expect(filterOf(new URLSearchParams('person=edda@thornfield-apiary.example&outcome=refused&from=&colour=red'))).toEqual({
      person: 'edda@thornfield-apiary.example',
      outcome: 'refused',
    });
    expect(filterOf(new URLSearchParams('outcome=maybe'))).toEqual({});
  });

  it('tells what stood there before, thing by thing', () => {
    const detail = { asked: {}, before: { 'study 1': { name: 'Pens', as_of: null }, rulebook: { min_fit: '2' } } };
    expect(beforeWords(detail)).toBe('study 1: name Pens, as of nothing; rulebook: min fit 2');
    expect(askedWords(detail)).toBe('');
    expect(beforeWords({ asked: {} })).toBe('');
  });

  it('tells what was asked field by field, and the number of what was before', () => {
    expect(askedWords({ asked: { keywords: ['hive'], mark: 'shortlisted' }, change: 7 })).toBe(
      'keywords: ["hive"]; mark: shortlisted; change: 7',
    );
    expect(askedWords({ asked: {} })).toBe('');
    expect(askedWords({ asked: '{"rows":[1 …' })).toBe('asked: {"rows":[1 …');
  });

  it('says in words how an act ended', () => {
    expect([0, 200, 302].map((status) => outcomeOf({ status }))).toEqual(['done', 'done', 'done']);
    expect(outcomeOf({ status: 403 })).toBe('refused: not allowed');
    expect(outcomeOf({ status: 422 })).toBe('refused: not right');
    expect(outcomeOf({ status: 500 })).toBe('failed');
  });
});
