import { describe, expect, it } from 'vitest';
import { fitting, inPlaceOrder, layOut, nextPlace, placesFor } from './tracks.logic';

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

describe('columns where there is little room', () => {
  const columns = [
    { key: 'keyword', track: 'minmax(150px, 1fr)' },
    { key: 'lane', track: '280px', rank: 0 },
    { key: 'gain', track: '62px', rank: 2 },
    { key: 'own', track: '48px', rank: 1 },
  ];
  const keys = (width: number) => fitting(columns, width).map((column) => column.key);

  it('go by rank until the rest fits', () => {
    expect(keys(552)).toEqual(['keyword', 'lane', 'gain', 'own']);
    expect(keys(551)).toEqual(['keyword', 'lane', 'own']);
    expect(keys(460)).toEqual(['keyword', 'lane']);
    expect(keys(100)).toEqual(['keyword']);
  });
});

describe('the row that a step leads to', () => {
  it('is beside the selected one, within the list', () => {
    expect([nextPlace(3, 3, 1, 10), nextPlace(3, 3, -1, 10), nextPlace(9, 9, 15, 10), nextPlace(2, 2, -10, 10)]).toEqual([4, 2, 9, 0]);
  });

  it('goes on from where the selected one stood when it has left the list', () => {
    expect([nextPlace(-1, 3, 1, 10), nextPlace(-1, 3, -1, 10), nextPlace(-1, 9, 1, 9)]).toEqual([3, 2, 8]);
  });

  it('is the first where nothing was selected', () => {
    expect(nextPlace(-1, -1, 1, 10)).toBe(0);
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
    const orderAt = (first: number) =>
      inPlaceOrder(
        drawnAt(first).map((index) => ({ index })),
        33,
      ).map((item) => item.index % 33);
    expect(orderAt(40)).toEqual(orderAt(57));
    expect(orderAt(40)).toEqual([...orderAt(40)].sort((one, other) => one - other));
  });
});
