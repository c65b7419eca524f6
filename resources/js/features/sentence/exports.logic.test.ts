import { describe, expect, it } from 'vitest';
import { kindsOf } from './clauses';
import { columnsOf, titleOf } from './exports.logic';
import { vocabulary } from './vocabulary.testing';

describe('a list as a file', () => {
  it('has the columns on show, without boxes and pictures', () => {
    expect(columnsOf('compare', ['choose', 'mark', 'keyword', 'lane', 'p1', 'page'])).toEqual(['mark', 'keyword', 'lane', 'p1', 'own_url']);
    expect(columnsOf('weigh', ['rank', 'steady', 'move', 'chance'])).toEqual(['rank', 'own', 'target', 'chance']);
  });

  it('has its sentence as the first line', () => {
    const domains = ['ours.example', 'theirs.example'];
    const title = titleOf('Keywords', 'volume>=100', kindsOf(vocabulary, domains), domains, 1021, 1056);
    expect(title).toMatch(/^Keywords of standing any, .*volume.* — 1 021 of 1 056$/);
    expect(title).toContain('100');
  });
});
