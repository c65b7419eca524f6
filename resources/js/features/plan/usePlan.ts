import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useRef } from 'react';
import { api } from '../../api/client';
import { planQuery, studyKey } from '../../api/queries';
import type { PlanProposal, Roadmap, RoadmapItem, Study } from '../../api/types';

export type ItemChanges = Partial<Pick<RoadmapItem, 'month' | 'status' | 'effort_days' | 'owner' | 'due' | 'is_pinned' | 'brief'>>;

/** Changes the roadmap. A card moves at once; the server's answer settles it, and says so when somebody else was quicker. */
export function usePlan(study: Study) {
  const client = useQueryClient();
  const history = useRef<number[]>([]);
  const settle = { onSettled: () => Promise.all(['plan', 'proposal', 'itself', 'brief', 'track'].map((key) => client.invalidateQueries({ queryKey: [...studyKey(study.slug), key] }))) };
  const patch = (id: number, changes: Partial<RoadmapItem>) =>
    client.setQueryData<Roadmap>(planQuery(study.slug).queryKey, (plan) => plan && { ...plan, items: plan.items.map((other) => (other.id === id ? { ...other, ...changes } : other)) });
  const versionOf = (item: RoadmapItem) => client.getQueryData<Roadmap>(planQuery(study.slug).queryKey)?.items.find((other) => other.id === item.id)?.version ?? item.version;
  const change = useMutation({
    // One after the other, each with the version that the one before it left.
    scope: { id: `plan ${study.slug}` },
    mutationFn: ({ item, changes }: { item: RoadmapItem; changes: ItemChanges }) => api.patch<{ id: number; version: number }>(`studies/${study.slug}/plan/items/${item.id}`, { ...changes, version: versionOf(item) }),
    onSuccess: ({ id, version }) => patch(id, { version }),
    onMutate: ({ item, changes }) => {
      patch(item.id, changes);
    },
    ...settle,
  });
  const add = useMutation({ mutationFn: (keywords?: string[]) => api.post<{ added: number }>(`studies/${study.slug}/plan/items`, keywords === undefined ? {} : { keywords }), ...settle });
  const remove = useMutation({ mutationFn: (id: number) => api.delete(`studies/${study.slug}/plan/items/${id}`), ...settle });
  const frame = useMutation({ mutationFn: (next: { start: string; months: number; capacity: number }) => api.patch(`studies/${study.slug}/plan`, next), ...settle });
  const apply = useMutation({ mutationFn: (changes: PlanProposal['changes']) => api.post<{ change: number }>(`studies/${study.slug}/plan/apply`, { changes: changes.map(({ keyword, to }) => ({ keyword, to })) }), onSuccess: (answer) => history.current.push(answer.change), ...settle });
  const undo = useMutation({ mutationFn: (id: number) => api.post(`studies/${study.slug}/plan/undo`, { change: id }), ...settle });
  return {
    error: change.error ?? add.error ?? remove.error ?? frame.error ?? apply.error ?? undo.error,
    change: (item: RoadmapItem, changes: ItemChanges) => change.mutate({ item, changes }),
    addShortlist: () => add.mutate(undefined),
    remove: remove.mutate,
    setFrame: frame.mutate,
    apply: apply.mutate,
    isApplying: apply.isPending,
    undo: () => {
      const last = history.current.pop();
      if (last !== undefined) {
        undo.mutate(last);
      }
    },
  };
}
