import { infiniteQueryOptions, queryOptions } from '@tanstack/react-query';
import { api, told } from '../../api/client';
import { keys } from '../../api/keys';
import type { Steadiness, Task } from '../../api/schema';

const pageSize = 300;

export const opportunitiesQuery = (slug: string, comparison: number, show: string, weights: string, sort = 'priority', dir = 'desc') =>
  infiniteQueryOptions({
    queryKey: keys.part(slug, 'opportunities', comparison, show, weights, sort, dir),
    queryFn: ({ pageParam, signal }) =>
      told(
        api.GET('/studies/{slug}/opportunities', {
          params: { path: { slug }, query: { show, weights, sort, dir, cursor: pageParam, limit: pageSize } },
          signal,
        }),
      ),
    initialPageParam: '',
    getNextPageParam: (last) => last.next,
    placeholderData: (before) => before,
  });

export const topicsQuery = (slug: string, comparison: number, show: string, weights: string, sort: string, dir: string) =>
  infiniteQueryOptions({
    queryKey: keys.part(slug, 'topics', comparison, show, weights, sort, dir),
    queryFn: ({ pageParam, signal }) =>
      told(
        api.GET('/studies/{slug}/opportunities/topics', {
          params: { path: { slug }, query: { show, weights, sort, dir, cursor: pageParam, limit: pageSize } },
          signal,
        }),
      ),
    initialPageParam: '',
    getNextPageParam: (last) => last.next,
    placeholderData: (before) => before,
  });

export const groupsQuery = (slug: string, comparison: number, show: string, by: string) =>
  queryOptions({
    queryKey: keys.part(slug, 'groups', comparison, show, by),
    queryFn: ({ signal }) =>
      told(api.GET('/studies/{slug}/opportunities/groups', { params: { path: { slug }, query: { show, by } }, signal })),
    placeholderData: (before) => before,
  });

export type MapBy = 'keyword' | 'topic';

export const mapQuery = (slug: string, comparison: number, show: string, weights: string, by: MapBy) =>
  queryOptions({
    queryKey: keys.part(slug, 'map', comparison, show, weights, by),
    queryFn: ({ signal }) =>
      told(api.GET('/studies/{slug}/opportunities/map', { params: { path: { slug }, query: { show, weights, by } }, signal })),
    placeholderData: (before) => before,
  });

const isUnderWay = (answer: Steadiness | Task | undefined) =>
  answer !== undefined && 'status' in answer && ['waiting', 'running'].includes(answer.status);

export const steadinessQuery = (slug: string, comparison: number, show: string, weights: string, by: MapBy) =>
  queryOptions({
    queryKey: keys.part(slug, 'steadiness', comparison, show, weights, by),
    queryFn: ({ signal }) =>
      told(api.GET('/studies/{slug}/opportunities/steadiness', { params: { path: { slug }, query: { show, weights, by } }, signal })),
    placeholderData: (before) => before,
    // A long list is reckoned in the background.
    refetchInterval: (query) => (isUnderWay(query.state.data) ? 1500 : false),
  });

export const weightPresetsQuery = (slug: string) =>
  queryOptions({
    queryKey: keys.part(slug, 'weight-presets'),
    queryFn: ({ signal }) => told(api.GET('/studies/{slug}/weight-presets', { params: { path: { slug } }, signal })),
  });

export const ourPagesQuery = (slug: string, comparison: number, show: string) =>
  queryOptions({
    queryKey: keys.part(slug, 'our-pages', comparison, show),
    queryFn: ({ signal }) => told(api.GET('/studies/{slug}/bench/ours', { params: { path: { slug }, query: { show } }, signal })),
    placeholderData: (before) => before,
  });

/** What the list leaves out, and why. */
export const hiddenQuery = (slug: string, comparison: number, show: string) =>
  queryOptions({
    queryKey: keys.part(slug, 'hidden', comparison, show),
    queryFn: ({ signal }) => told(api.GET('/studies/{slug}/opportunities/hidden', { params: { path: { slug }, query: { show } }, signal })),
    placeholderData: (before) => before,
  });
