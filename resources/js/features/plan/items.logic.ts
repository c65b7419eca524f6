import type { RoadmapItem } from '../../api/schema';

/** Fields of an item, and what they become. */
export interface ItemPatch {
  id: number;
  changes: Partial<RoadmapItem>;
}

/** The plan with its items changed, and the patches that would change them back. */
export function withItems<Plan extends { items: Pick<RoadmapItem, 'id'>[] }>(
  plan: Plan,
  patches: ItemPatch[],
): { plan: Plan; before: ItemPatch[] } {
  const wanted = new Map(patches.map(({ id, changes }) => [id, changes]));
  const before: ItemPatch[] = [];
  const items = plan.items.map((item) => {
    const changes = wanted.get(item.id);
    if (changes === undefined) {
      return item;
    }
    const fields = Object.keys(changes);
    before.push({ id: item.id, changes: Object.fromEntries(Object.entries(item).filter(([field]) => fields.includes(field))) });
    return { ...item, ...changes };
  });
  return { plan: { ...plan, items }, before };
}
