import { infiniteQueryOptions } from '@tanstack/react-query';
import { api, told } from '../../api/client';
import { keys } from '../../api/keys';
import type { AuditFilter } from './filter.logic';

export const auditQuery = (filter: AuditFilter) =>
  infiniteQueryOptions({
    queryKey: keys.audit(filter),
    queryFn: ({ pageParam, signal }) =>
      told(api.GET('/audit', { params: { query: { ...filter, ...(pageParam === null ? {} : { before: pageParam }) } }, signal })),
    initialPageParam: null as number | null,
    getNextPageParam: (last) => last.next,
    placeholderData: (before) => before,
  });
