import { describe, expect, it } from 'vitest';
import { gutterOf, placeOf } from './lane.logic';

describe('rank lane', () => {
  it('gives the first ten places half of the lane', () => {
    const [first, tenth, last] = [placeOf(1, 300), placeOf(10, 300), placeOf(100, 300)];
    expect(tenth - first).toBeCloseTo((last - first) / 2);
  });

  it('keeps the absent right of the worst position', () => {
    expect(gutterOf(0, 300)).toBeGreaterThan(placeOf(100, 300));
    expect(gutterOf(5, 300)).toBeLessThan(300);
  });
});
