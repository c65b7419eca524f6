import { queryOptions } from '@tanstack/react-query';
import { api, told } from '../../api/client';
import { keys } from '../../api/keys';

export const pageOneQuery = (slug: string, comparison: number, show: string, { by, dir }: { by: string; dir: string }) =>
  queryOptions({
    queryKey: keys.part(slug, 'page-one', comparison, show, by, dir),
    queryFn: ({ signal }) =>
      told(api.GET('/studies/{slug}/bench/page-one', { params: { path: { slug }, query: { show, sort: by, dir } }, signal })),
    placeholderData: (before) => before,
  });

export const curveQuery = (slug: string) =>
  queryOptions({
    queryKey: keys.part(slug, 'curve'),
    queryFn: ({ signal }) => told(api.GET('/studies/{slug}/curve', { params: { path: { slug } }, signal })),
  });

/** What the curve fitted to our own clicks would change. */
export const fittedQuery = (slug: string, comparison: number) =>
  queryOptions({
    queryKey: keys.part(slug, 'preview', comparison, 'fitted'),
    queryFn: ({ signal }) =>
      told(api.POST('/studies/{slug}/rulebook/preview', { params: { path: { slug } }, body: { settings: { curve: 'fitted' } }, signal })),
  });

/** Counts of what a sentence shows. */
export const summaryQuery = (slug: string, comparison: number, show: string) =>
  queryOptions({
    queryKey: keys.part(slug, 'summary', comparison, show),
    queryFn: ({ signal }) => told(api.GET('/studies/{slug}/bench/summary', { params: { path: { slug }, query: { show } }, signal })),
    placeholderData: (before) => before,
  });

/** Our pages that search engines do not show, by address. */
export const troubledPagesQuery = (slug: string) =>
  queryOptions({
    queryKey: keys.part(slug, 'troubled-pages'),
    queryFn: async ({ signal }) => {
      const { pages } = await told(api.GET('/studies/{slug}/troubled-pages', { params: { path: { slug } }, signal }));
      return new Map(pages.map((page) => [page.url, page]));
    },
    staleTime: Infinity,
  });
