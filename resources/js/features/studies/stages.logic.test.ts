import { describe, expect, it } from 'vitest';
import type { Study } from '../../api/schema';
import { stagesOf } from './stages.logic';

const study = (stages: Study['stages']): Study => ({
  slug: 'bees',
  name: 'Bees',
  country: 'GB',
  language: 'en',
  device: 'desktop',
  currency: 'GBP',
  as_of: null,
  pull_schedule: null,
  domain: 'thornfield-apiary.example',
  competitors: ['hivewright.example'],
  may_edit: true,
  stages,
  comparison: null,
  finding: null,
  newest_change: 0,
  notes: [],
  is_current: true,
});

const calm: Study['stages'] = {
  gather: { domains: 3, without_rankings: 0, stale: 0 },
  compare: { keywords: 900, gaps: 412 },
  weigh: { quick_wins: 96, shortlisted: 4 },
  plan: { items: 1, overdue: 0, done: 0 },
};

const waiting = (stages: Partial<Study['stages']>) =>
  stagesOf(study({ ...calm, ...stages }))
    .filter((stage) => stage.isWaiting)
    .map((stage) => stage.path);

describe('stages that wait for somebody', () => {
  it('are none while all is fresh and on time', () => {
    expect(waiting({})).toEqual([]);
  });

  it('are told by missing and by stale rankings, each by itself', () => {
    expect(waiting({ gather: { domains: 3, without_rankings: 1, stale: 0 } })).toEqual(['gather']);
    expect(waiting({ gather: { domains: 3, without_rankings: 0, stale: 1 } })).toEqual(['gather']);
  });

  it('are told by what is overdue, not by what is merely planned', () => {
    expect(waiting({ plan: { items: 5, overdue: 1, done: 2 } })).toEqual(['plan']);
    expect(waiting({ plan: { items: 5, overdue: 0, done: 2 } })).toEqual([]);
  });

  it('say how many snapshots are stale, and what the plan and the track hold', () => {
    const figures = (stages: Partial<Study['stages']>) => stagesOf(study({ ...calm, ...stages })).map((stage) => stage.figure);
    expect(figures({ gather: { domains: 3, without_rankings: 0, stale: 1 } })[0]).toBe('1 snapshot stale');
    expect(figures({ gather: { domains: 3, without_rankings: 0, stale: 4 } })[0]).toBe('4 snapshots stale');
    expect(figures({ plan: { items: 0, overdue: 0, done: 0 } })[3]).toBe('4 shortlisted');
    expect(figures({ plan: { items: 0, overdue: 0, done: 3 } }).slice(3)).toEqual(['0 on the roadmap', '3 done']);
  });
});

describe('stages', () => {
  it('asks for rankings before anything else', () => {
    const [gather, compare] = stagesOf(
      study({ gather: { domains: 3, without_rankings: 2, stale: 1 }, compare: null, weigh: null, plan: { items: 0, overdue: 0, done: 0 } }),
    );
    expect(gather).toMatchObject({ figure: '2 of 3 domains without rankings', isWaiting: true });
    expect(compare).toMatchObject({ figure: 'nothing compared yet', isReached: false });
  });

  it('says what cannot be known instead of naming none', () => {
    const alone = { ...study({ ...calm, weigh: { quick_wins: null, shortlisted: 0 } }), competitors: [] };
    expect(stagesOf(alone).map((stage) => stage.figure)).toEqual(expect.arrayContaining(['no competitors', 'chances unknown']) as string[]);
    expect(stagesOf(study({ ...calm, gather: { domains: 1, without_rankings: 0, stale: 0 } }))[0]?.figure).toBe('1 domain, all fresh');
  });

  it('names gaps and quick wins once there is a comparison', () => {
    const stages = stagesOf(
      study({
        gather: { domains: 3, without_rankings: 0, stale: 0 },
        compare: { keywords: 900, gaps: 412 },
        weigh: { quick_wins: 96, shortlisted: 4 },
        plan: { items: 14, overdue: 2, done: 0 },
      }),
    );
    expect(stages.map((stage) => stage.figure)).toEqual([
      '3 domains, all fresh',
      '412 gaps',
      '96 quick wins',
      '14 on the roadmap, 2 overdue',
      'nothing done yet',
    ]);
  });
});

describe('the path of a study', () => {
  const nothing: Study['stages'] = {
    gather: { domains: 1, without_rankings: 0, stale: 0 },
    compare: null,
    weigh: null,
    plan: { items: 0, overdue: 0, done: 0 },
  };
  const reached = (stages: Study['stages']) =>
    stagesOf(study(stages))
      .filter((stage) => stage.isReached)
      .map((stage) => stage.path);

  it('has five stages, each under its own name', () => {
    expect(stagesOf(study(calm)).map(({ path, name }) => [path, name])).toEqual([
      ['gather', 'Gather'],
      ['compare', 'Compare'],
      ['weigh', 'Weigh'],
      ['plan', 'Plan'],
      ['track', 'Track'],
    ]);
  });

  it('is reached as far as there is something', () => {
    expect(reached(nothing)).toEqual(['gather']);
    expect(reached({ ...nothing, compare: { keywords: 9, gaps: 1 } })).toEqual(['gather', 'compare']);
    expect(reached(calm)).toEqual(['gather', 'compare', 'weigh', 'plan']);
    expect(reached({ ...calm, plan: { items: 0, overdue: 0, done: 1 } })).toEqual(['gather', 'compare', 'weigh', 'plan', 'track']);
  });

  it('says at each stage what is not there yet', () => {
    expect(stagesOf(study(nothing)).map((stage) => stage.figure)).toEqual([
      '1 domain, all fresh',
      'nothing compared yet',
      'nothing to weigh yet',
      'nothing planned yet',
      'nothing done yet',
    ]);
    const chosen = { ...nothing, weigh: { quick_wins: null, shortlisted: 4 } };
    expect(stagesOf(study(chosen)).map((stage) => stage.figure)).toEqual(
      expect.arrayContaining(['chances unknown', '4 shortlisted']) as string[],
    );
    expect(stagesOf(study({ ...nothing, plan: { items: 1, overdue: 0, done: 1 } }))[3]?.figure).toBe('1 on the roadmap');
  });
});
