import type { ItemStatus, RoadmapItem } from '../../api/schema';

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

/** The statuses in the order of the work; what is dropped is set by hand. */
const inOrder = ['planned', 'writing', 'published', 'done'];

/** The status after or before that of an item; none beyond the ends. */
export function statusBeside(status: string, step: 1 | -1): ItemStatus | undefined {
  const place = inOrder.indexOf(status);
  return place < 0 ? undefined : (inOrder[place + step] as ItemStatus | undefined);
}
