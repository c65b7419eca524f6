import { describe, expect, it } from 'vitest';
import type { Study } from '../../api/schema';
import { isNew, stepsOf } from './firstSteps.logic';

const study = (competitors: string[], domains: number, missing: number, isCompared = false) =>
  ({
    may_edit: true,
    competitors,
    comparison: isCompared ? {} : null,
    stages: {
      gather: { domains, without_rankings: missing, stale: 0 },
      weigh: isCompared ? { quick_wins: 1, shortlisted: 0 } : null,
      plan: { items: 0, done: 0, overdue: 0 },
    },
  }) as unknown as Study;

describe('the first steps of a study', () => {
  it('asks for competitors first, then for rankings', () => {
    expect(stepsOf(study([], 1, 1), false)).toEqual({ domain: 'done', competitors: 'next', rankings: 'later', list: 'later' });
    expect(stepsOf(study(['a.example'], 2, 2), false)).toMatchObject({ competitors: 'done', rankings: 'next', list: 'later' });
  });

  it('says what is under way', () => {
    expect(stepsOf(study(['a.example'], 2, 2), true).rankings).toBe('under way');
    expect(stepsOf(study(['a.example'], 2, 1), false)).toMatchObject({ rankings: 'next', list: 'under way' });
  });

  it('ends with the ranked list, with one list alone, too', () => {
    expect(stepsOf(study(['a.example'], 2, 0, true), false)).toMatchObject({ rankings: 'done', list: 'done' });
    expect(stepsOf(study([], 1, 0, true), false)).toMatchObject({ competitors: 'next', rankings: 'done', list: 'done' });
  });

  it('is over once somebody has decided something', () => {
    const fresh = study([], 1, 1);
    expect(isNew(fresh)).toBe(true);
    expect(isNew({ ...fresh, may_edit: false })).toBe(false);
    expect(isNew({ ...fresh, stages: { ...fresh.stages, plan: { items: 1, overdue: 0, done: 0 } } })).toBe(false);
    expect(isNew({ ...fresh, stages: { ...fresh.stages, weigh: { quick_wins: 0, shortlisted: 2 } } })).toBe(false);
  });
});
