import { queryOptions } from '@tanstack/react-query';
import { api, told } from '../../api/client';
import { keys } from '../../api/keys';

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

/** What each clause of a sentence leaves. */
export const stepsQuery = (slug: string, comparison: number, show: string) =>
  queryOptions({
    queryKey: keys.part(slug, 'steps', comparison, show),
    queryFn: ({ signal }) =>
      told(api.GET('/studies/{slug}/bench/summary', { params: { path: { slug }, query: { show, steps: 1 } }, signal })),
    placeholderData: (before) => before,
  });
