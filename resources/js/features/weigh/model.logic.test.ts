import { describe, expect, it } from 'vitest';
import type { PositionModel } from '../../api/schema';
import { doubts, effectSentences, featureWords } from './model.logic';

const model = (fit: Partial<PositionModel['fit']>, calibration: PositionModel['calibration'] = []): PositionModel => ({
  fit: {
    alphas: [-3, -2, -1, 0, 1, 2, 3],
    betas: { difficulty: -0.05, authority: null, ground: null, volume: null },
    rows: 5000,
    assumed: false,
    odd: [],
    ranges: { difficulty: [2, 96] },
    ...fit,
  },
  classes: [1, 2, 3, 4, 5, 6, 7, 8],
  authority: 38,
  calibration,
});

describe('what a model learnt, in words', () => {
  it('tells a slope by what a step does to the odds', () => {
    expect(featureWords(model({}), { feature: 'difficulty', words: 'each 10 points more', odds: 0.6065 })).toBe(
      'each 10 points more: odds of a better position × 0.61',
    );
  });

  it('tells why a feature is skipped', () => {
    const without = (feature: 'authority' | 'ground') => ({ feature, words: 'more', odds: null });
    expect(featureWords(model({ odd: ['ground'] }), without('ground'))).toContain('the opposite effect');
    expect(featureWords(model({}), without('authority'))).toContain('a domain has none');
    expect(featureWords(model({ assumed: true }), without('authority'))).toContain('not used until');
  });
});

describe('when not to trust it', () => {
  it('has nothing to say of many rows over a wide range that tell more than a share', () => {
    expect(doubts(model({}, [{ bound: 10, bins: [], brier: 0.1, base: 0.2 }]), 6)).toEqual([]);
  });

  it('names few rows, a slope against its meaning, a narrow range and a score no better than the share', () => {
    const told = doubts(
      model({ rows: 240, odd: ['difficulty'], ranges: { difficulty: [20, 41] } }, [{ bound: 3, bins: [], brier: 0.2, base: 0.2 }]),
      4,
    );
    expect(told).toHaveLength(4);
    expect(told[0]).toContain('240 rows of 4 domains');
    expect(told[1]).toContain('harder keywords rank better');
    expect(told[2]).toContain('from 20 to 41');
    expect(told[3]).toContain('position 3 or better');
  });

  it('says that nothing was learnt', () => {
    expect(doubts(model({ assumed: true, ranges: [] }), 2)[0]).toContain('Too few rows to learn from');
  });
});

describe('what work brings, in words', () => {
  const none = { mean: 0, items: 0 };

  it('says what is not known yet', () => {
    expect(effectSentences({ market_pages: 0, market_shift: 0, new: none, existing: none })).toEqual([
      'We can’t follow any new page in this market yet, so new pages count like pages in general.',
      'None of our new pages has had its full ramp yet.',
      'None of our improved pages has had its full ramp yet.',
    ]);
  });

  it('compares new pages with pages like them, and improved pages with what was assumed', () => {
    const told = effectSentences({
      market_pages: 12,
      market_shift: -0.5,
      new: { mean: 0, items: 1 },
      existing: { mean: -0.2, items: 4 },
    });
    expect(told).toEqual([
      '12 new pages in this market rank worse than pages like them.',
      'With 1 finished new page of our own, we expect that ours rank like pages like them.',
      '4 finished existing pages did worse than assumed.',
    ]);
  });
});
