import { describe, expect, it } from 'vitest';
import { effectWords, outcomeWords, targetWords, totalWords } from './track.logic';

describe('words of what came of it', () => {
  it('never praises what did nothing', () => {
    expect(outcomeWords({ outcome: 'inside', is_moved: false })).toBe('inside, nothing came of it');
    expect(outcomeWords({ outcome: 'inside', is_moved: true })).toBe('inside');
    expect(outcomeWords({ outcome: 'too early', is_moved: false })).toBe('too early');
    expect(outcomeWords({ outcome: null, is_moved: false })).toBe('no rankings yet');
  });

  it('tells a target that was not said from one not reached', () => {
    expect([true, false, null].map(targetWords)).toEqual(['target reached', 'target not reached', 'no target was said']);
  });

  it('says where the effect comes from', () => {
    expect(effectWords({ share: 0.5, items: 1, is_learnt: false })).toContain('1 finished item count');
    expect(effectWords({ share: 0.42, items: 12, is_learnt: true })).toContain('learnt from 12 finished items');
  });

  it('says the newest total, and nothing before there is one', () => {
    expect(totalWords([])).toBeNull();
    const month = { day: '2026-11-01', p10: 10, p50: 40, p90: 90, mean: 45, achieved: 52, items: 3 };
    expect(totalWords([{ ...month, achieved: 1 }, month])).toContain('3 done items have added 52');
  });
});
