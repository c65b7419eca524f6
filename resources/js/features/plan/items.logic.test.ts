import { describe, expect, it } from 'vitest';
import { withItems } from './items.logic';

const plan = {
  capacity: 10,
  items: [
    { id: 1, keyword: 'smoker', month: '2026-12' as string | null, owner: 'Ida' },
    { id: 2, keyword: 'veil', month: null, owner: '' },
  ],
};

describe('withItems', () => {
  it('changes the named fields of the named items alone', () => {
    const { plan: next } = withItems(plan, [{ id: 1, changes: { month: '2027-01' } }]);
    expect(next).toEqual({ ...plan, items: [{ ...plan.items[0], month: '2027-01' }, plan.items[1]] });
    expect(next.items[1]).toBe(plan.items[1]);
    expect(plan.items[0]?.month).toBe('2026-12');
  });

  it('tells what would change them back, whatever else has changed meanwhile', () => {
    const { plan: next, before } = withItems(plan, [
      { id: 1, changes: { month: null } },
      { id: 2, changes: { month: '2027-02' } },
    ]);
    const { plan: since } = withItems(next, [{ id: 1, changes: { owner: 'Noor' } }]);
    expect(withItems(since, before).plan.items).toEqual([{ ...plan.items[0], owner: 'Noor' }, { ...plan.items[1] }]);
  });

  it('knows nothing of items that are not there', () => {
    expect(withItems(plan, [{ id: 9, changes: { month: null } }])).toEqual({ plan, before: [] });
  });
});
