import { describe, expect, it } from 'vitest';
import { guess } from './guess.logic';

const domains = ['thornfield-apiary.example', 'hivewright.example'];

describe('guess', () => {
  it('finds domain and day in the name of a rankings file', () => {
    expect(guess('rankings-hivewright.example-2026-11-01.csv', domains)).toEqual({ kind: 'rankings', domain: 'hivewright.example', date: '2026-11-01' });
  });

  it('tells other kinds by their words', () => {
    expect(['keywords.csv', 'page-one.csv', 'performance.csv', 'domains.csv', 'x.csv'].map((name) => guess(name, domains).kind)).toEqual(['keywords', 'results', 'performance', 'domains', 'rankings']);
  });
});
