import { queryOptions } from '@tanstack/react-query';
import { api, told } from '../../api/client';
import { keys } from '../../api/keys';

export const importsQuery = (slug: string) =>
  queryOptions({
    queryKey: keys.part(slug, 'imports'),
    queryFn: ({ signal }) => told(api.GET('/studies/{slug}/imports', { params: { path: { slug } }, signal })),
  });

interface CandidateLook {
  source: string;
  further: boolean;
  keywords: string;
}

export const candidatesQuery = (slug: string, look: CandidateLook) =>
  queryOptions({
    queryKey: keys.part(slug, 'candidates', look),
    queryFn: ({ signal }) => told(api.GET('/studies/{slug}/candidates', { params: { path: { slug }, query: look }, signal })),
    placeholderData: (before) => before,
  });

export const relatedQuery = (slug: string, keyword: string, source: string) =>
  queryOptions({
    queryKey: keys.part(slug, 'related', keyword, source),
    queryFn: ({ signal }) => told(api.GET('/studies/{slug}/related', { params: { path: { slug }, query: { keyword, source } }, signal })),
    enabled: keyword !== '' && source !== '',
  });
