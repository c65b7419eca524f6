import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { api, told } from '../../api/client';
import { keys } from '../../api/keys';
import { taskQuery } from '../study/queries';
import type { ImportPreview } from '../../api/schema';
import type { ImportOptions } from './order.logic';
import { progressOf } from './tasks.logic';

interface PreviewState {
  preview: ImportPreview | undefined;
  isLooking: boolean;
  progress: string;
  error: string | null;
}

/** Has the server look through an upload, and follows the work until it is done. */
export function usePreview(slug: string, order: ImportOptions): PreviewState {
  const start = useQuery({
    queryKey: keys.part(slug, 'preview', order),
    queryFn: () => told(api.POST('/studies/{slug}/imports/preview', { params: { path: { slug } }, body: order })),
    retry: false,
    gcTime: 0,
    staleTime: Infinity,
  });
  const task = useQuery({ ...taskQuery(slug, start.data?.id ?? 0), enabled: start.data !== undefined, placeholderData: keepPreviousData });
  const current = task.isPlaceholderData ? undefined : task.data;
  const failure = start.error?.message ?? task.error?.message ?? (current?.status === 'failed' ? current.message : null);
  return {
    preview: task.data?.result?.preview,
    isLooking: failure === null && (current === undefined || current.status === 'waiting' || current.status === 'running'),
    progress: current === undefined ? '' : progressOf(current).words,
    error: failure,
  };
}
