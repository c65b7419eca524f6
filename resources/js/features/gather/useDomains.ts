import { useMutation, useQueryClient } from '@tanstack/react-query';
import { api } from '../../api/client';
import { studyKey } from '../../api/queries';
import type { Study } from '../../api/types';

/** Changes which domains a study compares; the comparison is made anew by itself. */
export function useDomains(study: Study) {
  const client = useQueryClient();
  const settle = { onSettled: () => client.invalidateQueries({ queryKey: studyKey(study.slug) }) };
  const compare = useMutation({
    mutationFn: (draft: { domain: string; competitors: string[] }) => api.patch<Study>(`studies/${study.slug}`, draft),
    ...settle,
  });
  const forget = useMutation({ mutationFn: (id: number) => api.delete(`studies/${study.slug}/domains/${id}`), ...settle });
  return { compare: compare.mutate, forget: forget.mutate, error: compare.error ?? forget.error, isPending: compare.isPending };
}
