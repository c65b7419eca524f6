import { useMutation, useQueryClient } from '@tanstack/react-query';
import { api, told } from '../../api/client';
import { keys, onRoadmap, type StudyPart } from '../../api/keys';

const touched: StudyPart[] = [...onRoadmap, 'plan', 'proposal', 'our-pages'];

/** Puts pages, by their topics, straight onto the roadmap, or keywords by themselves, or the links to earn for a page. */
export function usePutOnRoadmap(slug: string) {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (what: { topics: string[] } | { keywords: string[]; alone: true } | { links: { topic: string; count: number } }) =>
      told(api.POST('/studies/{slug}/plan/items', { params: { path: { slug } }, body: what })),
    onSettled: () => touched.forEach((part) => void client.invalidateQueries({ queryKey: keys.part(slug, part) })),
  });
}
