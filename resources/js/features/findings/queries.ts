import { queryOptions } from '@tanstack/react-query';
import { api, told } from '../../api/client';
import { keys } from '../../api/keys';

export const findingsQuery = (slug: string) =>
  queryOptions({
    queryKey: keys.part(slug, 'findings'),
    queryFn: ({ signal }) => told(api.GET('/studies/{slug}/findings', { params: { path: { slug } }, signal })),
  });
