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

export const ownSessionsQuery = () =>
  queryOptions({
    queryKey: keys.ownSessions,
    queryFn: ({ signal }) => told(api.GET('/sessions', { signal })),
  });

/** Whom a link is for. */
export const invitedQuery = (link: string) =>
  queryOptions({
    queryKey: keys.invited(link),
    queryFn: ({ signal }) => told(api.POST('/welcome/read', { body: { link }, signal })),
    retry: false,
    staleTime: Infinity,
  });
