import { describe, expect, it } from 'vitest';
import { ownerWords } from './owners.logic';

const rowan = { owner: 'Rowan', days: 4, items: 2, loads: { '2027-01': 3, '2026-12': 4 } };

describe('what a person has to do', () => {
  it('is summed while it fits', () => {
    expect(ownerWords(rowan)).toEqual({ words: '2 items, 7.0 days', isOver: false });
    expect(ownerWords({ ...rowan, days: null, items: 1, loads: { '2026-12': 40 } })).toEqual({ words: '1 item, 40.0 days', isOver: false });
  });

  it('names the months that have too much, in order', () => {
    expect(ownerWords({ ...rowan, days: 2.5 })).toEqual({ words: 'too much in Dec 2026 (4.0 days), Jan 2027 (3.0 days)', isOver: true });
  });
});
