import { describe, expect, it } from 'vitest';
import { statusBeside } from './items.logic';
import { cardBeside } from './months.logic';

describe('cards by key', () => {
  const items = [
    { id: 1, month: '2026-12' },
    { id: 2, month: null },
    { id: 3, month: '2026-11' },
    { id: 4, month: '2026-11' },
  ];
  const columns = [null, '2026-11', '2026-12'];

  it('go column by column and stay within the board', () => {
    const way = [undefined, 2, 3, 4, 1].map((chosen) => cardBeside(items, columns, chosen, 1)?.id);
    expect(way).toEqual([2, 3, 4, 1, 1]);
    expect([undefined, 1, 2].map((chosen) => cardBeside(items, columns, chosen, -1)?.id)).toEqual([1, 4, 2]);
    const none: typeof items = [];
    expect(cardBeside(none, columns, undefined, 1)?.id).toBeUndefined();
  });

  it('take the next step of the work, and none beyond its ends', () => {
    expect(['planned', 'writing', 'published', 'done', 'dropped'].map((status) => statusBeside(status, 1))).toEqual([
      'writing',
      'published',
      'done',
      undefined,
      undefined,
    ]);
    expect(statusBeside('planned', -1)).toBeUndefined();
    expect(statusBeside('writing', -1)).toBe('planned');
  });
});
