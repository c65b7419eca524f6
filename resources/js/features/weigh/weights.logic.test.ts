import { describe, expect, it } from 'vitest';
import { partsOf, spellWeights, type Weights } from './weights.logic';

const plain: Weights = { volume: 1, ease: 1, gain: 1, value: 0, intent: 0, fit: 0 };

describe('weights', () => {
  it('spells only what counts', () => {
    expect(spellWeights({ ...plain, ease: 2.5 })).toBe('volume:1,ease:2.5,gain:1');
  });

  it('fills the bar in proportion to weight and score', () => {
    const parts = partsOf({ volume: 5, ease: 0, gain: 5, value: 3, intent: null, fit: null }, plain);
    expect(parts.map((part) => part.name)).toEqual(['volume', 'ease', 'gain']);
    expect(parts.reduce((sum, part) => sum + part.width, 0)).toBeCloseTo(2 / 3);
  });

  it('shares the weight of the unknown among the known', () => {
    const parts = partsOf({ volume: 5, ease: null, gain: 5, value: null, intent: null, fit: null }, plain);
    expect(parts.reduce((sum, part) => sum + part.width, 0)).toBeCloseTo(1);
  });
});
