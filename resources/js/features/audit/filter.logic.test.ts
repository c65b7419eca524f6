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
    expect(outcomeOf({ status: 422 })).toBe('refused: invalid');
    expect(outcomeOf({ status: 500 })).toBe('failed');
  });
});

describe('how an act ended', () => {
  it.each([
    [0, 'done'],
    [200, 'done'],
    [399, 'done'],
    [400, 'refused'],
    [401, 'refused: not signed in'],
    [403, 'refused: not allowed'],
    [404, 'refused: not found'],
    [409, 'refused: out of date'],
    [419, 'refused: out of date'],
    [422, 'refused: invalid'],
    [429, 'refused'],
    [500, 'failed'],
  ])('is told of %i as %s', (status, words) => {
    expect(outcomeOf({ status })).toBe(words);
  });

  it('is asked for by either of its two names and by no other', () => {
    const asked = (outcome: string) => filterOf(new URLSearchParams({ outcome })).outcome;
    expect([asked('done'), asked('refused'), asked('lost'), asked('')]).toEqual(['done', 'refused', undefined, undefined]);
  });
});

describe('what stood there before', () => {
  it('is told as words, numbers and nothing', () => {
    expect(beforeWords({ before: { item: { owner: null, effort_days: 2, note: '', name: 'hive' } } })).toBe(
      'item: owner nothing, effort days 2, note nothing, name hive',
    );
    expect(beforeWords({ before: null })).toBe('');
    expect(askedWords({ asked: 7 })).toBe('');
  });
});
