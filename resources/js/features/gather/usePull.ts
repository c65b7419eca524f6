import { useMutation, useQueryClient } from '@tanstack/react-query';
import { api, told } from '../../api/client';
import { keys } from '../../api/keys';

export interface PullOrder {
  source: string;
  /** Number of a domain; null pulls the whole study. */
  domain: number | null;
  date: string | null;
  snapshots: number;
}

/** Starts a pull from a source; it goes on by itself and is told among the work going on. */
export function usePull(slug: string) {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (order: PullOrder) => told(api.POST('/studies/{slug}/pulls', { params: { path: { slug } }, body: order })),
    onSuccess: () => client.invalidateQueries({ queryKey: keys.part(slug, 'tasks') }),
  });
}
