import { queryOptions } from '@tanstack/react-query';
import { api, told } from '../../api/client';
import { keys } from '../../api/keys';
import type { AskedGoal } from './goal.logic';

/** The agreed plan, or a draft by its number. */
export const planQuery = (slug: string, draft: number | null = null) =>
  queryOptions({
    queryKey: keys.part(slug, 'plan', draft),
    queryFn: ({ signal }) => told(api.GET('/studies/{slug}/plan', { params: { path: { slug }, query: { draft } }, signal })),
    placeholderData: (before) => before,
  });

/** How many pages of the shortlist are not on the roadmap yet. */
export const waitingPagesQuery = (slug: string, comparison: number | undefined) =>
  queryOptions({
    queryKey: keys.part(slug, 'topics', comparison, 'waiting'),
    queryFn: ({ signal }) =>
      told(
        api.GET('/studies/{slug}/opportunities/topics', {
          params: { path: { slug }, query: { show: 'mark=shortlisted;roadmap=hide', limit: 1 } },
          signal,
        }),
      ),
    select: (page) => page.total,
    enabled: comparison !== undefined,
  });

/** The same roadmap with a forecast that leaves one item out. */
export const planWithoutQuery = (slug: string, item: number | undefined, draft: number | null) =>
  queryOptions({
    queryKey: keys.part(slug, 'plan', draft, 'without', item),
    queryFn: ({ signal }) =>
      told(api.GET('/studies/{slug}/plan', { params: { path: { slug }, query: { without: item ?? null, draft } }, signal })),
    enabled: item !== undefined,
  });

export const proposalQuery = (slug: string, draft: number | null) =>
  queryOptions({
    queryKey: keys.part(slug, 'proposal', draft),
    queryFn: ({ signal }) => told(api.GET('/studies/{slug}/plan/proposal', { params: { path: { slug }, query: { draft } }, signal })),
    staleTime: 0,
    gcTime: 0,
  });

export const briefQuery = (slug: string, item: number) =>
  queryOptions({
    queryKey: keys.part(slug, 'brief', item),
    queryFn: ({ signal }) => told(api.GET('/studies/{slug}/plan/items/{item}/brief', { params: { path: { slug, item } }, signal })),
  });

export const briefLinksQuery = (slug: string, item: number) =>
  queryOptions({
    queryKey: keys.part(slug, 'brief', item, 'links'),
    queryFn: ({ signal }) => told(api.GET('/studies/{slug}/plan/items/{item}/links', { params: { path: { slug, item } }, signal })),
  });

/** Plan for a goal; nothing is asked before there is one. */
export const goalQuery = (slug: string, goal: AskedGoal | null) =>
  queryOptions({
    queryKey: keys.part(slug, 'proposal', 'goal', goal),
    queryFn: ({ signal }) =>
      told(api.GET('/studies/{slug}/plan/goal', { params: { path: { slug }, query: goal ?? { goal: 0, until: '' } }, signal })),
    enabled: goal !== null,
    retry: false,
  });
