import { infiniteQueryOptions } from '@tanstack/react-query';
import { api, told } from '../../api/client';
import { keys } from '../../api/keys';

/** The studies by name, a page at a time. */
export const studiesQuery = (name: string) =>
  infiniteQueryOptions({
    queryKey: keys.studiesNamed(name),
    queryFn: ({ pageParam, signal }) => told(api.GET('/studies', { params: { query: { name, cursor: pageParam } }, signal })),
    initialPageParam: '',
    getNextPageParam: (last) => last.next,
    placeholderData: (before) => before,
  });
