import { describe, expect, it } from 'vitest';
import { gutterOf, placeOf, positionAt } from './lane.logic';

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

describe('positions of places', () => {
  it('finds back what was placed', () => {
    for (const position of [1, 2, 5, 10, 20, 55, 100]) {
      expect(positionAt(placeOf(position, 360), 360)).toBe(position);
    }
    expect(positionAt(-50, 360)).toBe(1);
    expect(positionAt(9999, 360)).toBe(100);
  });
});
