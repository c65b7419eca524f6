import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useRef } from 'react';
import { api } from '../../api/client';
import { planQuery, studyKey } from '../../api/queries';
import type { PlanProposal, Roadmap, RoadmapItem, Study } from '../../api/types';

export type ItemChanges = Partial<Pick<RoadmapItem, 'month' | 'status' | 'effort_days' | 'owner' | 'due' | 'is_pinned' | 'brief'>>;

interface DraftChanges {
  changes?: { keyword: string; to: string | null }[];
  start?: string;
  months?: number;
  capacity?: number;
}

/** Changes the roadmap, or the draft that is shown. A card moves at once; the server's answer settles it, and says so when somebody else was quicker. */
export function usePlan(study: Study, draft: string | null) {
  const client = useQueryClient();
  const shown = planQuery(study.slug, draft).queryKey;
  const history = useRef<number[]>([]);
  const settle = {
    onSettled: () =>
      Promise.all(
        ['plan', 'proposal', 'itself', 'brief', 'track'].map((key) =>
          client.invalidateQueries({ queryKey: [...studyKey(study.slug), key] }),
        ),
      ),
  };
  const patch = (id: number, changes: Partial<RoadmapItem>) =>
    client.setQueryData<Roadmap>(
      shown,
      (plan) => plan && { ...plan, items: plan.items.map((other) => (other.id === id ? { ...other, ...changes } : other)) },
    );
  const versionOf = (item: RoadmapItem) =>
    client.getQueryData<Roadmap>(shown)?.items.find((other) => other.id === item.id)?.version ?? item.version;
  const change = useMutation({
    // One after the other, each with the version that the one before it left.
    scope: { id: `plan ${study.slug}` },
    mutationFn: ({ item, changes }: { item: RoadmapItem; changes: ItemChanges }) =>
      api.patch<{ id: number; version: number }>(`studies/${study.slug}/plan/items/${item.id}`, { ...changes, version: versionOf(item) }),
    onSuccess: ({ id, version }) => patch(id, { version }),
    onMutate: ({ item, changes }) => {
      patch(item.id, changes);
    },
    ...settle,
  });
  const lay = useMutation({
    scope: { id: `plan ${study.slug}` },
    mutationFn: (changes: DraftChanges) =>
      api.patch<{ version: number }>(`studies/${study.slug}/plan/drafts/${draft ?? ''}`, {
        ...changes,
        version: client.getQueryData<Roadmap>(shown)?.draft?.version,
      }),
    onSuccess: ({ version }) =>
      client.setQueryData<Roadmap>(shown, (plan) => plan && { ...plan, draft: plan.draft && { ...plan.draft, version } }),
    onMutate: ({ changes }) => {
      changes?.forEach(({ keyword, to }) => {
        const item = client.getQueryData<Roadmap>(shown)?.items.find((other) => other.keyword === keyword);
        if (item !== undefined) {
          patch(item.id, { month: to });
        }
      });
    },
    ...settle,
  });
  const add = useMutation({
    mutationFn: (keywords?: string[]) =>
      api.post<{ added: number }>(`studies/${study.slug}/plan/items`, keywords === undefined ? {} : { keywords }),
    ...settle,
  });
  const remove = useMutation({ mutationFn: (id: number) => api.delete(`studies/${study.slug}/plan/items/${id}`), ...settle });
  const frame = useMutation({
    mutationFn: (next: { start: string; months: number; capacity: number }) => api.patch(`studies/${study.slug}/plan`, next),
    ...settle,
  });
  const apply = useMutation({
    mutationFn: (changes: PlanProposal['changes']) =>
      api.post<{ change: number }>(`studies/${study.slug}/plan/apply`, { changes: changes.map(({ keyword, to }) => ({ keyword, to })) }),
    onSuccess: (answer) => history.current.push(answer.change),
    ...settle,
  });
  const undo = useMutation({ mutationFn: (id: number) => api.post(`studies/${study.slug}/plan/undo`, { change: id }), ...settle });
  return {
    error: change.error ?? lay.error ?? add.error ?? remove.error ?? frame.error ?? apply.error ?? undo.error,
    /** In a draft the month is the draft's own; all else belongs to the item. */
    change: (item: RoadmapItem, changes: ItemChanges) => {
      const { month, ...others } = changes;
      if (draft === null) {
        change.mutate({ item, changes });
        return;
      }
      if (month !== undefined) {
        lay.mutate({ changes: [{ keyword: item.keyword, to: month }] });
      }
      if (Object.keys(others).length > 0) {
        change.mutate({ item, changes: others });
      }
    },
    addShortlist: () => add.mutate(undefined),
    remove: remove.mutate,
    setFrame: (next: { start: string; months: number; capacity: number }) => (draft === null ? frame.mutate(next) : lay.mutate(next)),
    apply: (changes: PlanProposal['changes']) =>
      draft === null ? apply.mutate(changes) : lay.mutate({ changes: changes.map(({ keyword, to }) => ({ keyword, to })) }),
    isApplying: apply.isPending || lay.isPending,
    /** Something else has changed the plan and can be undone by its number. */
    remember: (changed: number) => history.current.push(changed),
    undo: () => {
      const last = history.current.pop();
      if (last !== undefined) {
        undo.mutate(last);
      }
    },
  };
}
