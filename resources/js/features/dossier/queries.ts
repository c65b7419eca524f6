import { queryOptions } from '@tanstack/react-query';
import { api, told } from '../../api/client';
import { keys } from '../../api/keys';

export const keywordQuery = (slug: string, comparison: number, keyword: string, weights = '') =>
  queryOptions({
    queryKey: keys.part(slug, 'keyword', comparison, keyword, weights),
    queryFn: ({ signal }) => told(api.GET('/studies/{slug}/keyword', { params: { path: { slug }, query: { keyword, weights } }, signal })),
  });
