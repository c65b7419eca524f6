import { infiniteQueryOptions, queryOptions } from '@tanstack/react-query';
import { api, told } from '../../api/client';
import { keys } from '../../api/keys';
import type { Group } from './groups.logic';

/** The studies by name, or by group and name, a page at a time. */
export const studiesQuery = (wanted: string, group: Group | null) =>
  infiniteQueryOptions({
    queryKey: keys.studiesListed(wanted, group),
    queryFn: ({ pageParam, signal }) =>
      told(
        api.GET('/studies', {
          params: { query: { name: wanted, cursor: pageParam, ...(group === null ? {} : { group }) } },
          signal,
        }),
      ),
    initialPageParam: '',
    getNextPageParam: (last) => last.next,
    placeholderData: (before) => before,
  });

export const deletedStudiesQuery = () =>
  queryOptions({
    queryKey: keys.deletedStudies,
    queryFn: ({ signal }) => told(api.GET('/deleted-studies', { signal })),
  });
