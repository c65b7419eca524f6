import { describe, expect, it } from 'vitest';
import { inPlaceOrder, layOut, placesFor } from './tracks.logic';

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

describe('the places that rows take turns in', () => {
  const drawnAt = (first: number) => Array.from({ length: 600 / 30 + 1 + 12 }, (_, place) => first + place);

  it('give the row that comes in the place of the one that went out', () => {
    const places = placesFor(33, 600, 30, 6);
    const before = drawnAt(40).map((index) => index % places);
    const after = drawnAt(41).map((index) => index % places);
    expect(new Set(before).size).toBe(before.length);
    expect([...before].sort()).toEqual([...after].sort());
  });

  it('are never fewer than the rows that are drawn', () => {
    expect(placesFor(90, 600, 30, 6)).toBe(90);
    expect(placesFor(20, 0, 30, 6)).toBe(20);
  });

  it('keep their order while rows scroll by', () => {
    const orderAt = (first: number) => inPlaceOrder(drawnAt(first).map((index) => ({ index })), 33).map((item) => item.index % 33);
    expect(orderAt(40)).toEqual(orderAt(57));
    expect(orderAt(40)).toEqual([...orderAt(40)].sort((one, other) => one - other));
  });
});
