import { describe, expect, it } from 'vitest';
import { combinationPhrase, isSet, kindsOf, offered, phraseOf, started, strangeIn, type ClauseKind } from './clauses';
import { parseSentence, spell } from './sentence.logic';
import { vocabulary as fixture } from './vocabulary.testing';

const domains = ['us.example', 'a.example', 'b.example', 'c.example'];
const kinds = kindsOf(fixture, domains);
const context = { domains, kinds };
const kindOf = (name: string): ClauseKind => {
  const kind = kinds.find((candidate) => candidate.name === name);
  if (kind === undefined) {
    throw new Error(`There is no clause ${name}.`);
  }
  return kind;
};
const read = (name: string, text: string) => phraseOf(kindOf(name), parseSentence(text), context);

describe('the clauses of the sentence', () => {
  it('have names and titles of their own', () => {
    expect(new Set(kinds.map((kind) => kind.name)).size).toBe(kinds.length);
    expect(new Set(kinds.map((kind) => kind.title)).size).toBe(kinds.length);
  });

  it('are understood as the server writes them', () => {
    for (const kind of kinds.filter((one) => one.example !== '')) {
      const clauses = parseSentence(kind.example);
      expect(spell(clauses), kind.name).toBe(kind.example);
      expect(isSet(kind, clauses), kind.name).toBe(true);
      expect(strangeIn(clauses, kinds), kind.name).toEqual([]);
      expect(phraseOf(kind, clauses, context), kind.name).not.toBe(phraseOf(kind, [], context));
    }
  });

  it('are set once they were started, and survive the address', () => {
    for (const kind of kinds) {
      const begun = started(kind, []);
      expect(parseSentence(spell(begun)), kind.name).toEqual(begun);
      expect(isSet(kind, begun), kind.name).toBe(kind.start !== '');
      expect(
        begun.every((clause) => clause.name === kind.name),
        kind.name,
      ).toBe(true);
      expect(isSet(kind, []), kind.name).toBe(false);
    }
  });

  it('add themselves to a sentence without touching the others', () => {
    const before = parseSentence('standing=alone;volume<=900');
    for (const kind of offered(kinds).filter((one) => !isSet(one, before))) {
      expect(started(kind, before).slice(0, 2), kind.name).toEqual(before);
    }
  });

  it('read as English whether they are set or not', () => {
    for (const kind of kinds) {
      for (const clauses of [[], started(kind, [])]) {
        expect(phraseOf(kind, clauses, context), kind.name).not.toMatch(/undefined|NaN|null|>=|<=|@|DOMAIN/);
      }
    }
  });

  it('offer to be added only where they are not set elsewhere or another spelling', () => {
    const names = offered(kinds).map((kind) => kind.name);
    expect(names).toContain('horizon');
    expect(names).toContain('m1');
    expect(names).toContain('volume');
    for (const name of ['combination', 'm0', '()']) {
      expect(names).not.toContain(name);
    }
  });

  it('leave what nobody knows to be struck out', () => {
    expect(strangeIn(parseSentence('volume>=1;nonsense=2;m9=left'), kinds).map((clause) => clause.name)).toEqual(['nonsense', 'm9']);
  });
});

describe('how a clause reads', () => {
  it('tells a range by the ends it has', () => {
    expect(read('volume', '')).toBe('any volume');
    expect(read('volume', 'volume>=100')).toBe('volume from 100');
    expect(read('volume', 'volume<=900')).toBe('volume up to 900');
    expect(read('volume', 'volume>=100;volume<=900')).toBe('volume from 100 to 900');
    expect(read('cpc', 'cpc>=1.5')).toBe('CPC from 1.5');
  });

  it('tells how many competitors, and within what', () => {
    expect(read('competitors', '')).toBe('any number of competitors');
    expect(read('competitors', 'competitors>=2@20')).toBe('at least 2 of 3 competitors in the top 20');
    expect(read('competitors', 'competitors=3')).toBe('exactly 3 of 3 competitors ranking');
    expect(read('competitors', 'competitors<=1@10')).toBe('at most 1 of 3 competitors in the top 10');
    expect(read('competitors', 'competitors>=1@50;competitors<=2@50')).toBe('1 to 2 of 3 competitors in the top 50');
  });

  it('tells where we are', () => {
    expect(read('own', '')).toBe('anywhere');
    expect(read('own', 'own=absent')).toBe('absent');
    expect(read('own', 'own>=6;own<=20')).toBe('at 6 to 20');
    expect(read('own', 'own<=3')).toBe('at up to 3');
  });

  it('joins choices by or', () => {
    expect(read('standing', 'standing=gap,behind')).toBe('gaps or behind');
    expect(read('tag', 'tag=autumn,wax')).toBe('autumn or wax');
    expect(read('tag', '')).toBe('anything');
  });

  it('tells what is hidden from what alone is shown', () => {
    for (const name of ['brands', 'codes', 'navigational', 'negatives']) {
      expect(read(name, `${name}=hide`)).toMatch(/^without /);
      expect(read(name, `${name}=only`)).toMatch(/^only /);
    }
    expect(read('mark', 'mark=kept')).toBe('without those set aside');
    expect(read('mark', 'mark=open')).toBe('without a decision');
  });

  it('names domains instead of their numbers', () => {
    expect(read('holds', 'holds=0,2')).toBe('us.example and b.example');
    expect(read('combination', 'combination=5')).toBe('us.example + b.example');
    expect(combinationPhrase(0, domains)).toBe('');
    expect(combinationPhrase(15, domains)).toBe('us.example + a.example + b.example + c.example');
    expect(kindOf('p2').title).toBe('Position of b.example');
    expect(read('p1', 'p1=absent')).toBe('absent');
    expect(read('p1', 'p1<=10')).toBe('up to 10');
  });

  it('reads a bracket as its clauses with or between them', () => {
    expect(read('()', '(p1<=10|horizon=quick win)')).toBe('either a.example at up to 10 or horizon quick win');
    expect(read('()', '(nonsense=1|own=absent)')).toBe('either nonsense=1 or we are absent');
  });

  it('tells shares as percentages', () => {
    expect(read('chance', 'chance>=0.5')).toBe('win chance from 50%');
    expect(read('chance', 'chance<=0.125')).toBe('win chance up to 12.5%');
  });

  it('reads our movement in both spellings', () => {
    expect(read('m0', 'm0=climbed,left')).toBe('climbed or left');
    expect(read('movement', 'movement=climbed')).toBe('climbed');
  });

  it('leaves the scheme of a page out', () => {
    expect(read('page', 'page=https://a.example/hives')).toBe('a.example/hives');
  });
});
