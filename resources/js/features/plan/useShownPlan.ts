import { useQueryClient } from '@tanstack/react-query';
import type { Roadmap, RoadmapItem } from '../../api/schema';
import { planQuery } from './queries';
import { withItems, type ItemPatch } from './items.logic';

/** The plan on the screen as it was read: changed at once when a person changes it, and set back where that is refused. */
export function useShownPlan(slug: string, draft: number | null) {
  const client = useQueryClient();
  const { queryKey } = planQuery(slug, draft);
  const read = () => client.getQueryData(queryKey);
  const write = (change: (plan: Roadmap) => Roadmap) => client.setQueryData(queryKey, (plan) => plan && change(plan));
  const settle = (id: number, changes: Partial<RoadmapItem>) => write((plan) => withItems(plan, [{ id, changes }]).plan);
  return {
    versionOf: (item: RoadmapItem) => read()?.items.find((other) => other.id === item.id)?.version ?? item.version,
    draftVersion: () => read()?.draft?.version ?? 0,
    /** The months that are laid anew, as changes of the items shown. */
    laid: (changes: { item?: number | null; to: string | null }[]): ItemPatch[] =>
      changes.flatMap(({ item, to }) => (item == null ? [] : [{ id: item, changes: { month: to } }])),
    /** Changes items at once, and gives back what they were. A plan that is being read was written before and must not come over it. */
    patch: async (patches: ItemPatch[]): Promise<ItemPatch[]> => {
      const plan = read();
      if (plan === undefined) {
        return [];
      }
      const { before } = withItems(plan, patches);
      write((current) => withItems(current, patches).plan);
      await client.cancelQueries({ queryKey });
      write((current) => withItems(current, patches).plan);
      return before;
    },
    putBack: (before: ItemPatch[] | undefined) => write((plan) => withItems(plan, before ?? []).plan),
    settle,
    settleDraft: (version: number) => write((plan) => ({ ...plan, draft: plan.draft && { ...plan.draft, version } })),
  };
}
