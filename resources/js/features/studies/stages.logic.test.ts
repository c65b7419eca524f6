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
  domain: 'thornfield-apiary.example',
  competitors: [],
  may_edit: true,
  stages,
  comparison: null,
  is_current: true,
});

describe('stages', () => {
  it('asks for rankings before anything else', () => {
    const [gather, compare] = stagesOf(
      study({ gather: { domains: 3, without_rankings: 2, stale: 1 }, compare: null, weigh: null, plan: { items: 0, overdue: 0, done: 0 } }),
    );
    expect(gather).toMatchObject({ figure: '2 of 3 domains without rankings', isWaiting: true });
    expect(compare).toMatchObject({ figure: 'nothing compared yet', isReached: false });
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
