import { queryOptions } from '@tanstack/react-query';
import { api, told } from '../../api/client';
import { keys } from '../../api/keys';

export const peopleQuery = () =>
  queryOptions({
    queryKey: keys.people,
    queryFn: ({ signal }) => told(api.GET('/people', { signal })),
  });

/** Studies that a person can be let into, those with some letters in name or domains. */
export const studiesToJoinQuery = (wanted: string) =>
  queryOptions({
    queryKey: keys.studiesListed(wanted, 'to join'),
    queryFn: ({ signal }) => told(api.GET('/studies', { params: { query: { name: wanted, limit: 20 } }, signal })),
    placeholderData: (before) => before,
  });
