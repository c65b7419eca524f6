import { queryOptions } from '@tanstack/react-query';
import { api, told } from '../../api/client';
import { keys } from '../../api/keys';

export const sessionQuery = () =>
  queryOptions({
    queryKey: keys.session,
    queryFn: ({ signal }) => told(api.GET('/session', { signal })),
    staleTime: Infinity,
  });

export const tokensQuery = () =>
  queryOptions({
    queryKey: keys.tokens,
    queryFn: ({ signal }) => told(api.GET('/tokens', { signal })),
  });
