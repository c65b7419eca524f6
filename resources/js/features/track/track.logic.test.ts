import { describe, expect, it } from 'vitest';
import { calibrationWords, driftWords, effectWords, outcomeWords, targetWords, totalWords } from './track.logic';

describe('words of what came of it', () => {
  it('names what did not clearly change', () => {
    expect(outcomeWords({ outcome: 'inside', is_moved: false, is_unclear: true })).toBe('inside, no clear change');
    expect(outcomeWords({ outcome: 'below', is_moved: false, is_unclear: false })).toBe('below');
    expect(outcomeWords({ outcome: 'inside', is_moved: true, is_unclear: true })).toBe('inside');
    expect(outcomeWords({ outcome: 'too early', is_moved: false, is_unclear: true })).toBe('too early');
    expect(outcomeWords({ outcome: null, is_moved: false, is_unclear: false })).toBe('no rankings yet');
    expect(driftWords(null)).toBe('');
    expect(driftWords(1.1)).toContain('of their visits then');
  });

  it('tells a target that was not said from one not reached', () => {
    expect([true, false, null].map(targetWords)).toEqual(['target reached', 'target not reached', 'no target']);
  });

  it('says what taught the win chances', () => {
    const none = { items: 0 };
    expect(effectWords(undefined)).toBe('');
    expect(effectWords({ market_pages: 1, new: none, existing: none })).toContain('1 new page in this market. None of our');
    expect(effectWords({ market_pages: 12, new: { items: 1 }, existing: { items: 2 } })).toBe(
      'Win chances are learnt from 12 new pages in this market and 3 finished items.',
    );
  });

  it('holds results against the forecast, kind by kind', () => {
    const kind = { items: 5, reached: 2, said: 1.2, inside: 4, net: 90, expected: 70 };
    expect(calibrationWords({ ...kind, kind: 'new' })).toBe(
      '2 of 5 new pages reached their targets; the forecast expected 1.2. They brought 90 net visits a month against 70 expected, ' +
        'and 4 of 5 are inside the forecast range; eight in ten should be.',
    );
    expect(calibrationWords({ ...kind, kind: 'title' })).toMatch(/^5 title tests: they brought 90 net/);
  });

  it('says the newest total, and nothing before there is one', () => {
    expect(totalWords([])).toBeNull();
    const month = { day: '2026-11-01', p10: 10, p50: 40, p90: 90, mean: 45, achieved: 52, items: 3 };
    expect(totalWords([{ ...month, achieved: 1 }, month])).toContain('3 finished items have added 52');
  });
});
