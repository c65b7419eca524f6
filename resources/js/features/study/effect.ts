import { queryOptions } from '@tanstack/react-query';
import { api, told } from '../../api/client';
import { keys } from '../../api/keys';

/** What new pages of the market and our finished items teach of what work brings. */
export const effectQuery = (slug: string) =>
  queryOptions({
    queryKey: keys.part(slug, 'effect'),
    queryFn: ({ signal }) => told(api.GET('/studies/{slug}/effect', { params: { path: { slug } }, signal })),
  });
