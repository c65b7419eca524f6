import { describe, expect, it } from 'vitest';
import type { Opportunity, RankedTopic } from '../../api/schema';
import { parseSentence } from '../sentence/sentence.logic';
import {
  aboutPage,
  countWords,
  lineKey,
  linesOf,
  ownPageWords,
  roadmapWords,
  sharedJudgement,
  shortCount,
  tacticWords,
} from './pages.logic';

const page = (topic: string, more: Partial<RankedTopic> = {}): RankedTopic => ({
  rank: 1,
  topic,
  lead: topic,
  keywords: 2,
  shortlisted: 0,
  pinned: false,
  own_url: null,
  lead_url: null,
  own_position: null,
  target: 3,
  volume: 100,
  difficulty: 20,
  cpc: null,
  visits_now: 0,
  potential: 30,
  gain: 9,
  win_chance: 0.2,
  expected_gain: 3,
  horizon: 'long term',
  tactic: 'new page',
  links_to_earn: 0,
  intent: 'open',
  effort_days: 3,
  worth: 1,
  roadmap: null,
  priority: 2,
  scores: {},
  ...more,
});
const keyword = (name: string, topic: string) => ({ keyword: name, topic }) as Opportunity;

describe('the lines of the list of pages', () => {
  it('holds the keywords of the open page below it, and no others', () => {
    const lines = linesOf([page('ink'), page('pens')], 'ink', [keyword('ink', 'ink'), keyword('blue ink', 'ink'), keyword('pen', 'pens')]);
    expect(lines.map(lineKey)).toEqual(['page ink', 'ink', 'blue ink', 'page pens']);
    expect(linesOf([page('ink')], 'wax', [keyword('wax', 'wax')]).map(lineKey)).toEqual(['page ink']);
    expect(linesOf([page('ink')], null, []).map(lineKey)).toEqual(['page ink']);
  });

  it('asks for the open keywords of a topic whatever its name', () => {
    for (const topic of ['ink', 'a=b', '100% ink|wax', '(ink)']) {
      expect(parseSentence(aboutPage(topic))).toEqual([
        { name: 'topic', operator: '=', value: topic },
        { name: 'mark', operator: '=', value: 'kept' },
      ]);
    }
  });

  it('names our page, and the other one that ranks for the lead', () => {
    expect(ownPageWords(page('ink')).short).toBe('new page');
    const own = { own_url: 'https://quillfair.example/ink', lead_url: 'https://quillfair.example/ink' };
    expect(ownPageWords(page('ink', own))).toEqual({ short: '/ink', long: 'https://quillfair.example/ink brings most of its visits now' });
    expect(ownPageWords(page('ink', { ...own, lead_url: 'https://quillfair.example/wax' })).long).toContain(
      'for ink it is https://quillfair.example/wax',
    );
  });

  it('counts what is open and what of it is shortlisted', () => {
    expect(countWords(page('ink', { keywords: 1 }))).toBe('1 keyword');
    expect(countWords(page('ink', { keywords: 4, shortlisted: 3 }))).toBe('4 keywords, 3 shortlisted');
    expect(shortCount(page('ink', { keywords: 4, shortlisted: 3 }))).toBe('3 of 4');
    expect(shortCount(page('ink', { keywords: 4, shortlisted: 4 }))).toBe('all 4');
    expect(shortCount(page('ink', { keywords: 4 }))).toBe('4');
  });
});

describe('what is said of a page', () => {
  it('says how far it is when it is on the roadmap', () => {
    expect(tacticWords({ tactic: 'new page', roadmap: null })).toBe('new page');
    expect(tacticWords({ tactic: 'new page', roadmap: 'writing' })).toBe('writing: new page');
  });

  it('is told once it is on the roadmap', () => {
    expect([roadmapWords(0), roadmapWords(1)].map((words) => words.includes('already'))).toEqual([true, false]);
  });

  it('is what is said of its keywords, each thing once', () => {
    const said = { fit: 3, tags: ['spring'], note: 'ask Ada', reason: null };
    expect(sharedJudgement([said, { ...said, tags: ['spring', 'gifts'], note: null, fit: null }])).toEqual({
      fits: [3],
      tags: [
        { tag: 'gifts', count: 1 },
        { tag: 'spring', count: 2 },
      ],
      notes: ['ask Ada'],
      reasons: [],
    });
  });
});
