import { describe, expect, it } from 'vitest';
import { askedWords, filterOf, outcomeOf } from './filter.logic';

describe('the audit record', () => {
  it('is narrowed by what an address asks, and by nothing else', () => {
    expect(filterOf(new URLSearchParams('person=edda@thornfield-apiary.example&outcome=refused&from=&colour=red'))).toEqual({
      person: 'edda@thornfield-apiary.example',
      outcome: 'refused',
    });
    expect(filterOf(new URLSearchParams('outcome=maybe'))).toEqual({});
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
