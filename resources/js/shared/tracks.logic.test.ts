import { describe, expect, it } from 'vitest';
import { layOut, placesFor } from './tracks.logic';

describe('the columns of a list', () => {
  const columns = [
    { key: 'choose', track: '28px', isPinned: true },
    { key: 'keyword', track: 'minmax(150px, 1fr)', isPinned: true },
    { key: 'volume', track: '74px' },
  ];

  it('add up to the smallest width, below which the list scrolls sideways', () => {
    expect(layOut(columns).width).toBe(252);
  });

  it('stay at the width of the pinned ones before them', () => {
    expect(layOut(columns).leftOf).toEqual({ choose: 0, keyword: 28 });
  });

  it('grow on a wide screen unless they hold a box or a flag', () => {
    expect(layOut(columns).tracks).toBe('28px minmax(150px, 1fr) minmax(74px, 0.3fr)');
  });
});

describe('the elements that rows share', () => {
  it('are never fewer than the rows in sight, so that no two of them share one', () => {
    for (const inSight of [0, 1, 37, 63, 64, 65, 83, 128, 129, 400]) {
      expect(placesFor(inSight)).toBeGreaterThanOrEqual(inSight);
    }
  });

  it('stay as many while the number in sight goes up and down by one', () => {
    expect([36, 37, 38].map(placesFor)).toEqual([64, 64, 64]);
    expect(placesFor(65)).toBe(128);
  });
});
