import { queryOptions } from '@tanstack/react-query';
import { api, told } from '../../api/client';
import { keys } from '../../api/keys';

export const rulebookQuery = (slug: string) =>
  queryOptions({
    queryKey: keys.part(slug, 'rulebook'),
    queryFn: ({ signal }) => told(api.GET('/studies/{slug}/rulebook', { params: { path: { slug } }, signal })),
  });

export const rulebookHistoryQuery = (slug: string) =>
  queryOptions({
    queryKey: keys.part(slug, 'rulebook-history'),
    queryFn: ({ signal }) => told(api.GET('/studies/{slug}/rulebook/history', { params: { path: { slug } }, signal })),
  });

/** Words that may make a rule of intents. */
export const openWordsQuery = (slug: string) =>
  queryOptions({
    queryKey: keys.part(slug, 'rulebook', 'open-words'),
    queryFn: ({ signal }) => told(api.GET('/studies/{slug}/rulebook/open-words', { params: { path: { slug } }, signal })),
  });
