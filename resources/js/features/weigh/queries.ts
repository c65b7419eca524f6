import { infiniteQueryOptions, queryOptions } from '@tanstack/react-query';
import { api, told } from '../../api/client';
import { keys } from '../../api/keys';

const pageSize = 300;

export const opportunitiesQuery = (slug: string, comparison: number, show: string, weights: string) =>
  infiniteQueryOptions({
    queryKey: keys.part(slug, 'opportunities', comparison, show, weights),
    queryFn: ({ pageParam, signal }) =>
      told(
        api.GET('/studies/{slug}/opportunities', {
          params: { path: { slug }, query: { show, weights, cursor: pageParam, limit: pageSize } },
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

export const steadinessQuery = (slug: string, comparison: number, show: string) =>
  queryOptions({
    queryKey: keys.part(slug, 'steadiness', comparison, show),
    queryFn: ({ signal }) =>
      told(api.GET('/studies/{slug}/opportunities/steadiness', { params: { path: { slug }, query: { show } }, signal })),
    placeholderData: (before) => before,
  });

export const weightPresetsQuery = (slug: string) =>
  queryOptions({
    queryKey: keys.part(slug, 'weight-presets'),
    queryFn: ({ signal }) => told(api.GET('/studies/{slug}/weight-presets', { params: { path: { slug } }, signal })),
  });
