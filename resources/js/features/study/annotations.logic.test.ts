import { describe, expect, it } from 'vitest';
import { notesAt, notesWithin } from './annotations.logic';

const notes = [
  { id: 1, day: '2026-08-15', text: 'Before all' },
  { id: 2, day: '2026-09-01', text: 'Relaunch' },
  { id: 3, day: '2026-09-20', text: 'New shop' },
  { id: 4, day: '2026-11-02', text: 'After all' },
];
const days = ['2026-10-01', '2026-09-01'];

describe('notes on a line over time', () => {
  it('are drawn from its first day to its last', () => {
    expect(notesWithin(notes, days).map(({ id }) => id)).toEqual([2, 3]);
    expect(notesWithin(notes, [])).toEqual([]);
  });

  it('are read at the next day that the line has', () => {
    expect(notesAt(notes, days, '2026-09-01')).toBe('2026-09-01 Relaunch');
    expect(notesAt(notes, days, '2026-10-01')).toBe('2026-09-20 New shop');
    expect(notesAt(notes.slice(0, 1), days, '2026-09-01')).toBe('');
  });
});
