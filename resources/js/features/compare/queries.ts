import { infiniteQueryOptions, queryOptions } from '@tanstack/react-query';
import { api, told } from '../../api/client';
import { keys } from '../../api/keys';

const pageSize = 300;

/** What a short list goes by. */
interface Order {
  by: string;
  dir: string;
}

export interface BenchView {
  show: string;
  sort: string;
  dir: 'asc' | 'desc';
}

export const benchQuery = (slug: string, comparison: number, view: BenchView) =>
  infiniteQueryOptions({
    queryKey: keys.part(slug, 'bench', comparison, view),
    queryFn: ({ pageParam, signal }) =>
      told(
        api.GET('/studies/{slug}/bench', { params: { path: { slug }, query: { ...view, cursor: pageParam, limit: pageSize } }, signal }),
      ),
    initialPageParam: '',
    getNextPageParam: (last) => last.next,
    placeholderData: (before) => before,
  });

export const pagesQuery = (slug: string, comparison: number, show: string, domain: number | null, { by, dir }: Order) =>
  queryOptions({
    queryKey: keys.part(slug, 'pages', comparison, show, domain, by, dir),
    queryFn: ({ signal }) =>
      told(api.GET('/studies/{slug}/bench/pages', { params: { path: { slug }, query: { show, domain, sort: by, dir } }, signal })),
    placeholderData: (before) => before,
  });

interface MovementLook {
  sort: string;
  dir: string;
  domain: number;
  from: string;
  to: string;
  only: string;
}

export const movementQuery = (slug: string, look: MovementLook) =>
  queryOptions({
    queryKey: keys.part(slug, 'movement', look),
    queryFn: ({ signal }) => told(api.GET('/studies/{slug}/bench/movement', { params: { path: { slug }, query: look }, signal })),
    placeholderData: (before) => before,
  });

export const advertisingQuery = (slug: string, comparison: number, show: string, { by, dir }: Order) =>
  queryOptions({
    queryKey: keys.part(slug, 'advertising', comparison, show, by, dir),
    queryFn: ({ signal }) =>
      told(api.GET('/studies/{slug}/bench/advertising', { params: { path: { slug }, query: { show, sort: by, dir } }, signal })),
    placeholderData: (before) => before,
  });
