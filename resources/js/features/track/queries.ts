import { queryOptions } from '@tanstack/react-query';
import { api, told } from '../../api/client';
import { keys } from '../../api/keys';

export const trackQuery = (slug: string) =>
  queryOptions({
    queryKey: keys.part(slug, 'track'),
    queryFn: ({ signal }) => told(api.GET('/studies/{slug}/track', { params: { path: { slug } }, signal })),
  });
