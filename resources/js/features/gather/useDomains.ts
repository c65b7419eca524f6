import { useMutation, useQueryClient } from '@tanstack/react-query';
import { api, told } from '../../api/client';
import { keys } from '../../api/keys';
import type { Study } from '../../api/schema';

/** Changes which domains a study compares; the comparison is made anew by itself. */
export function useDomains(study: Study) {
  const client = useQueryClient();
  const settle = { onSettled: () => client.invalidateQueries({ queryKey: keys.study(study.slug) }) };
  const compare = useMutation({
    mutationFn: (draft: { domain: string; competitors: string[] }) =>
      told(api.PATCH('/studies/{slug}', { params: { path: { slug: study.slug } }, body: draft })),
    ...settle,
  });
  const forget = useMutation({
    mutationFn: (id: number) =>
      told(api.DELETE('/studies/{slug}/domains/{domain}', { params: { path: { slug: study.slug, domain: id } } })),
    ...settle,
  });
  return { compare: compare.mutate, forget: forget.mutate, error: compare.error ?? forget.error, isPending: compare.isPending };
}
