import { queryOptions } from '@tanstack/react-query';
import { api, told } from '../../api/client';
import { keys } from '../../api/keys';
import type { Task } from '../../api/schema';

export const studyQuery = (slug: string) =>
  queryOptions({
    queryKey: keys.part(slug, 'itself'),
    queryFn: ({ signal }) => told(api.GET('/studies/{slug}', { params: { path: { slug } }, signal })),
  });

/** Asks every second and a half while a comparison is being made. */
export const comparisonQuery = (slug: string) =>
  queryOptions({
    queryKey: keys.part(slug, 'comparison'),
    queryFn: ({ signal }) => told(api.GET('/studies/{slug}/comparison', { params: { path: { slug } }, signal })),
    refetchInterval: (query) => (query.state.data?.is_current === false && query.state.data.problem === null ? 1500 : false),
  });

/** Asks every second while any work goes on. */
export const tasksQuery = (slug: string) =>
  queryOptions({
    queryKey: keys.part(slug, 'tasks'),
    queryFn: ({ signal }) => told(api.GET('/studies/{slug}/tasks', { params: { path: { slug } }, signal })),
    refetchInterval: (query) => (query.state.data?.some(isActive) === true ? 1000 : false),
  });

/** One piece of work, asked for until it is over. */
export const taskQuery = (slug: string, task: number) =>
  queryOptions({
    queryKey: keys.part(slug, 'task', task),
    queryFn: ({ signal }) => told(api.GET('/studies/{slug}/tasks/{task}', { params: { path: { slug, task } }, signal })),
    refetchInterval: (query) => (query.state.data === undefined || isActive(query.state.data) ? 600 : false),
  });

export function isActive(task: Task): boolean {
  return task.status === 'waiting' || task.status === 'running';
}

export const sourcesQuery = () =>
  queryOptions({
    queryKey: keys.sources,
    queryFn: ({ signal }) => told(api.GET('/sources', { signal })),
    staleTime: Infinity,
  });

/** What everything is called, the same as long as the server runs. */
export const vocabularyQuery = () =>
  queryOptions({
    queryKey: keys.vocabulary,
    queryFn: ({ signal }) => told(api.GET('/vocabulary', { signal })),
    staleTime: Infinity,
    gcTime: Infinity,
  });

export const findingsQuery = (slug: string) =>
  queryOptions({
    queryKey: keys.part(slug, 'findings'),
    queryFn: ({ signal }) => told(api.GET('/studies/{slug}/findings', { params: { path: { slug } }, signal })),
  });

export const ledgerQuery = (slug: string) =>
  queryOptions({
    queryKey: keys.part(slug, 'ledger'),
    queryFn: ({ signal }) => told(api.GET('/studies/{slug}/domains', { params: { path: { slug } }, signal })),
  });
