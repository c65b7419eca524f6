import { describe, expect, it } from 'vitest';
import { kindsOf } from './clauses';
import { alsoOf, columnsOf, isAlsos, titleOf } from './exports.logic';
import { vocabulary } from './vocabulary.testing';

describe('a list as a file', () => {
  it('has the columns on show, without boxes and pictures', () => {
    expect(columnsOf('compare', ['choose', 'mark', 'keyword', 'lane', 'p1', 'page'])).toEqual(['mark', 'keyword', 'lane', 'p1', 'own_url']);
    expect(columnsOf('weigh', ['rank', 'steady', 'move', 'chance'])).toEqual(['rank', 'own', 'target', 'chance']);
  });

  it('has its sentence as the first line', () => {
    const domains = ['ours.example', 'theirs.example'];
    const title = titleOf('Keywords', 'volume>=100', kindsOf(vocabulary, domains), domains, 1021, 1056);
    expect(title).toBe('Keywords volume from 100 — 1,021 of 1,056');
  });
});

describe('what can be written beside the columns', () => {
  it('is known by its key', () => {
    expect(alsoOf.map(({ key }) => key)).toEqual(['reason', 'tags', 'note', 'stage', 'addresses']);
    expect(alsoOf.filter(({ isOfPages }) => isOfPages).map(({ key }) => key)).toEqual(['stage', 'addresses']);
    expect(alsoOf.map(({ name }) => name)).toEqual(['Reason', 'Tags', 'Note', 'Funnel stage', 'Pages of all domains']);
    expect([isAlsos([]), isAlsos(['reason', 'addresses'])]).toEqual([true, true]);
    expect([isAlsos(['reason', 'luck']), isAlsos('reason'), isAlsos(null)]).toEqual([false, false, false]);
  });

  it('knows no mark of pages', () => {
    expect(columnsOf('pages', ['mark', 'page', 'gain'])).toEqual(['own_url', 'gain']);
  });

  it('leaves out of the first line what nobody asked for', () => {
    const kinds = kindsOf(vocabulary, []);
    expect(titleOf('Pages', '', kinds, [])).not.toContain('visits now');
    expect(titleOf('Pages', 'visits>=10', kinds, [])).toContain('visits now from 10');
  });
});
