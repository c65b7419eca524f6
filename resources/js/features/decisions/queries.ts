import { queryOptions } from '@tanstack/react-query';
import { api, told } from '../../api/client';
import { keys } from '../../api/keys';

export const reasonsQuery = (slug: string) =>
  queryOptions({
    queryKey: keys.part(slug, 'reasons'),
    queryFn: ({ signal }) => told(api.GET('/studies/{slug}/reasons', { params: { path: { slug } }, signal })),
  });
