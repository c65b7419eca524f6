import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useRef } from 'react';
import { api, told } from '../../api/client';
import { keys, onRoadmap, type StudyPart } from '../../api/keys';
import type { PlanProposal, RoadmapItem, Study } from '../../api/schema';
import { useShownPlan } from './useShownPlan';

export type ItemChanges = Partial<Pick<RoadmapItem, 'month' | 'status' | 'effort_days' | 'owner' | 'due' | 'is_pinned' | 'brief'>>;
type Changes = PlanProposal['changes'];

interface Frame {
  start: string;
  months: number;
  capacity: number;
}

const touched: StudyPart[] = [...onRoadmap, 'plan', 'proposal', 'brief', 'track'];

/**
 * Changes the roadmap, or the draft that is shown. A card moves at once; the server's answer settles it. Where it is refused, as when
 * somebody else was quicker, the card goes back and the reason is told.
 */
export function usePlan(study: Study, draft: number | null) {
  const item = useItemChange(study, draft);
  const lay = useDraftChange(study, draft);
  const agreed = useAgreedChange(study);
  return {
    error: item.error ?? lay.error ?? agreed.error,
    /** In a draft the month is the draft's own; all else belongs to the item. */
    change: (of: RoadmapItem, changes: ItemChanges) => {
      const { month, ...others } = changes;
      if (draft === null) {
        item.mutate({ item: of, changes });
        return;
      }
      if (month !== undefined) {
        lay.mutate({ changes: [{ item: of.id, to: month }] });
      }
      if (Object.keys(others).length > 0) {
        item.mutate({ item: of, changes: others });
      }
    },
    addShortlist: () => agreed.add.mutate(),
    remove: agreed.remove.mutate,
    setFrame: (next: Frame) => (draft === null ? agreed.frame.mutate(next) : lay.mutate(next)),
    apply: (changes: Changes) => (draft === null ? agreed.apply.mutate(changes) : lay.mutate({ changes: placements(changes) })),
    isApplying: agreed.apply.isPending || lay.isPending,
    /** Something else has changed the plan and can be undone by its number. */
    remember: agreed.remember,
    undo: agreed.undo,
  };
}

function placements(changes: Changes): Placed[] {
  return changes.map(({ item, topic, to }) => ({ item, topic, to }));
}

/** Reads anew what a change of the plan touches. Nothing waits for that: neither the next change nor the reason why this one is refused. */
function useSettled(study: Study) {
  const client = useQueryClient();
  return { onSettled: () => touched.forEach((part) => void client.invalidateQueries({ queryKey: keys.part(study.slug, part) })) };
}

/** One change after the other, each with the version that the one before it left. */
function scopeOf(study: Study) {
  return { id: `plan ${study.slug}` };
}

function useItemChange(study: Study, draft: number | null) {
  const shown = useShownPlan(study.slug, draft);
  return useMutation({
    scope: scopeOf(study),
    mutationFn: ({ item, changes }: { item: RoadmapItem; changes: ItemChanges }) =>
      told(
        api.PATCH('/studies/{slug}/plan/items/{item}', {
          params: { path: { slug: study.slug, item: item.id } },
          body: { ...changes, version: shown.versionOf(item) },
        }),
      ),
    onMutate: ({ item, changes }) => shown.patch([{ id: item.id, changes }]),
    onSuccess: ({ id, version }) => shown.settle(id, { version }),
    onError: (_error, _order, before) => shown.putBack(before),
    ...useSettled(study),
  });
}

type Placed = { item?: number | null; topic?: string | null; to: string | null };

interface DraftChanges extends Partial<Frame> {
  changes?: Placed[];
}

function useDraftChange(study: Study, draft: number | null) {
  const shown = useShownPlan(study.slug, draft);
  return useMutation({
    scope: scopeOf(study),
    mutationFn: (changes: DraftChanges) =>
      told(
        api.PATCH('/studies/{slug}/plan/drafts/{draft}', {
          params: { path: { slug: study.slug, draft: draft ?? 0 } },
          body: { ...changes, version: shown.draftVersion() },
        }),
      ),
    onMutate: ({ changes }) => shown.patch(shown.laid(changes ?? [])),
    onSuccess: ({ version }) => shown.settleDraft(version),
    onError: (_error, _order, before) => shown.putBack(before),
    ...useSettled(study),
  });
}

/** What changes the agreed plan as a whole, with what can be undone of it. */
function useAgreedChange(study: Study) {
  const settle = useSettled(study);
  const history = useRef<number[]>([]);
  const { slug } = study;
  const params = { path: { slug } };
  const add = useMutation({ mutationFn: () => told(api.POST('/studies/{slug}/plan/items', { params, body: {} })), ...settle });
  const remove = useMutation({
    mutationFn: (item: number) => told(api.DELETE('/studies/{slug}/plan/items/{item}', { params: { path: { slug, item } } })),
    ...settle,
  });
  const frame = useMutation({ mutationFn: (body: Frame) => told(api.PATCH('/studies/{slug}/plan', { params, body })), ...settle });
  const apply = useMutation({
    mutationFn: (changes: Changes) => told(api.POST('/studies/{slug}/plan/apply', { params, body: { changes: placements(changes) } })),
    onSuccess: (answer) => history.current.push(answer.change),
    ...settle,
  });
  const undo = useMutation({
    mutationFn: (change: number) => told(api.POST('/studies/{slug}/plan/undo', { params, body: { change } })),
    ...settle,
  });
  return {
    add,
    remove,
    frame,
    apply,
    error: add.error ?? remove.error ?? frame.error ?? apply.error ?? undo.error,
    remember: (change: number) => history.current.push(change),
    undo: () => {
      const last = history.current.pop();
      if (last !== undefined) {
        undo.mutate(last);
      }
    },
  };
}
