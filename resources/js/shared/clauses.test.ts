import { describe, expect, it } from 'vitest';
import type { EditorContext } from './ClauseEditor';
import { clauseKinds, combinationPhrase, optionalKinds, phraseOf, rivalKinds, type ClauseKind } from './clauses';
import { parseSentence, spell } from './sentence.logic';

const domains = ['us.example', 'a.example', 'b.example', 'c.example'];
const context = { domains } as EditorContext;
const kindOf = (name: string): ClauseKind => {
  const kind = [...clauseKinds, ...rivalKinds(domains)].find((candidate) => candidate.name === name);
  if (kind === undefined) {
    throw new Error(`There is no clause ${name}.`);
  }
  return kind;
};
const read = (name: string, text: string) => phraseOf(kindOf(name), parseSentence(text), context);

describe('the clauses of the sentence', () => {
  it('have names and titles of their own', () => {
    const all = [...clauseKinds, ...rivalKinds(domains)];
    expect(new Set(all.map((kind) => kind.name)).size).toBe(all.length);
    expect(new Set(all.map((kind) => kind.title)).size).toBe(all.length);
  });

  it('are set once they were started, and survive the address', () => {
    for (const kind of [...clauseKinds, ...rivalKinds(domains)]) {
      const started = kind.start([]);
      expect(parseSentence(spell(started)), kind.name).toEqual(started);
      if (started.length > 0) {
        expect(kind.isSet(started), kind.name).toBe(true);
        expect(started.every((clause) => clause.name === kind.name), kind.name).toBe(true);
      }
      expect(kind.isSet([]), kind.name).toBe(false);
    }
  });

  it('add themselves to a sentence without touching the others', () => {
    const before = parseSentence('standing=alone;volume<=900');
    for (const kind of optionalKinds) {
      expect(kind.start(before).slice(0, 2), kind.name).toEqual(before);
    }
  });

  it('read as English whether they are set or not', () => {
    for (const kind of [...clauseKinds, ...rivalKinds(domains)]) {
      for (const clauses of [[], kind.start([])]) {
        const phrase = phraseOf(kind, clauses, context);
        expect(phrase, kind.name).not.toMatch(/undefined|NaN|null|>=|<=|@/);
      }
    }
  });

  it('offer to be added only where they are not always there or set elsewhere', () => {
    const names = optionalKinds.map((kind) => kind.name);
    expect(names).toContain('horizon');
    expect(names).not.toContain('volume');
    expect(names).not.toContain('combination');
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
    expect(read('standing', 'standing=gap,behind')).toBe('gap or behind');
    expect(read('tag', 'tag=autumn,wax')).toBe('autumn or wax');
    expect(read('tag', '')).toBe('anything');
  });

  it('tells what is hidden from what alone is shown', () => {
    for (const name of ['brands', 'codes', 'navigational', 'negatives']) {
      expect(read(name, `${name}=hide`)).toBe('hidden');
      expect(read(name, `${name}=only`)).toBe('only');
    }
    expect(read('mark', 'mark=kept')).toBe('without what was set aside');
    expect(read('mark', 'mark=open')).toBe('not decided yet');
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

  it('leaves the scheme of a page out', () => {
    expect(read('page', 'page=https://a.example/hives')).toBe('a.example/hives');
  });
});
