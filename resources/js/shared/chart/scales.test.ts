import { describe, expect, it } from 'vitest';
import { amountScale, dayScale, growingScale, legible, positionScale, radiusScale, spreadOut, timeOf } from './scales';

describe('scales', () => {
  it('gives the first ten positions half of the way, and nothing beyond a hundred', () => {
    const at = positionScale([0, 300]);
    expect([at(1), at(10), at(100), at(400)]).toEqual([0, 150, 300, 300]);
  });

  it('lays days out by true time', () => {
    const at = dayScale(['2026-03-01', '2026-01-01', '2026-01-11'], [0, 590]);
    // 59 days from the first of January to the first of March (ISO 8601; 2026 is no leap year).
    expect(at(timeOf('2026-01-01'))).toBe(0);
    expect(at(timeOf('2026-01-11'))).toBeCloseTo(100);
    expect(at(timeOf('2026-03-01'))).toBe(590);
  });

  it('takes a month for its first day, and lays a single day at the end', () => {
    expect(timeOf('2026-02')).toBe(timeOf('2026-02-01'));
    expect(dayScale(['2026-02-01'], [10, 90])(timeOf('2026-02-01'))).toBe(90);
    expect(dayScale([], [10, 90])(0)).toBe(90);
  });

  it('begins amounts where they are told to', () => {
    expect(amountScale(10, [0, 100])(5)).toBe(50);
    expect(amountScale(10, [0, 100], -10)(0)).toBe(50);
  });

  it('grows as the logarithm of one more', () => {
    const at = growingScale(999, [0, 300]);
    expect(at(0)).toBe(0);
    expect(at(9)).toBeCloseTo(100);
    expect(at(99)).toBeCloseTo(200);
  });

  it('gives areas that go with the amount, none too small to be seen', () => {
    const radius = radiusScale(400, 20, 3);
    expect(radius(400) / radius(100)).toBeCloseTo(2);
    expect(radius(0)).toBe(3);
  });
});

describe('labels', () => {
  it('are pushed apart without changing their order', () => {
    expect(spreadOut([50, 10, 12, 60], 10)).toEqual([50, 10, 20, 60]);
    expect(spreadOut([5, 5, 5], 4)).toEqual([5, 9, 13]);
    expect(spreadOut([], 4)).toEqual([]);
  });

  it('stay above the floor', () => {
    expect(spreadOut([95, 96, 99], 10, 100)).toEqual([80, 90, 100]);
  });

  it('stand beside each other, the newest always', () => {
    const months = Array.from({ length: 12 }, (_, index) => ({ at: index * 30, name: `2026-${index + 1}` }));
    const kept = legible(months);
    expect(kept.at(-1)).toBe(months.at(-1));
    kept.slice(1).forEach((name, index) => expect(name.at - (kept[index]?.at ?? 0)).toBeGreaterThanOrEqual(40));
    expect(kept.length).toBeGreaterThan(4);
    expect(legible([])).toEqual([]);
  });
});
