import { queryOptions } from '@tanstack/react-query';
import { api, told } from '../../api/client';
import { keys } from '../../api/keys';
import type { LongList, Task } from '../../api/schema';

export const lensesQuery = (slug: string) =>
  queryOptions({
    queryKey: keys.part(slug, 'lenses'),
    queryFn: ({ signal }) => told(api.GET('/studies/{slug}/lenses', { params: { path: { slug } }, signal })),
  });

export const distributionQuery = (slug: string, comparison: number, show: string, field: string) =>
  queryOptions({
    queryKey: keys.part(slug, 'distribution', comparison, show, field),
    queryFn: ({ signal }) =>
      told(api.GET('/studies/{slug}/bench/distribution', { params: { path: { slug }, query: { show, field } }, signal })),
    placeholderData: (before) => before,
  });

export const tagsQuery = (slug: string) =>
  queryOptions({
    queryKey: keys.part(slug, 'tags'),
    queryFn: ({ signal }) => told(api.GET('/studies/{slug}/tags', { params: { path: { slug } }, signal })),
  });

export const noiseQuery = (slug: string, comparison: number, show: string) =>
  queryOptions({
    queryKey: keys.part(slug, 'noise', comparison, show),
    queryFn: ({ signal }) => told(api.GET('/studies/{slug}/bench/noise', { params: { path: { slug }, query: { show } }, signal })),
  });

/** A spreadsheet that is written in the background, until it is ready. */
export const writtenQuery = (slug: string, task: number) =>
  queryOptions({
    queryKey: keys.part(slug, 'task', task),
    queryFn: ({ signal }) => told(api.GET('/studies/{slug}/tasks/{task}', { params: { path: { slug, task } }, signal })),
    refetchInterval: (query) => (query.state.data === undefined || isGoingOn(query.state.data) ? 500 : false),
  });

function isGoingOn({ status }: Task): boolean {
  return status === 'waiting' || status === 'running';
}

/** What each clause of a sentence leaves. */
export const stepsQuery = (slug: string, comparison: number, show: string, list: LongList) =>
  queryOptions({
    queryKey: keys.part(slug, 'steps', comparison, show, list),
    queryFn: ({ signal }) => told(api.GET('/studies/{slug}/bench/steps', { params: { path: { slug }, query: { show, list } }, signal })),
    placeholderData: (before) => before,
  });
