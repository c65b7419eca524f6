import { queryOptions, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, told } from '../../api/client';
import { keys } from '../../api/keys';
import type { Annotation } from '../../api/schema';

const annotationsQuery = (slug: string) =>
  queryOptions({
    queryKey: keys.part(slug, 'annotations'),
    queryFn: async ({ signal }) => (await told(api.GET('/studies/{slug}/annotations', { params: { path: { slug } }, signal }))).annotations,
  });

/** The dated notes of a study, by day; none while they are not there yet. */
export function useAnnotations(slug: string): Annotation[] {
  return useQuery({ ...annotationsQuery(slug), enabled: slug !== '' }).data ?? [];
}

export function useAnnotationChanges(slug: string) {
  const client = useQueryClient();
  const settled = { onSuccess: () => client.invalidateQueries({ queryKey: keys.part(slug, 'annotations') }) };
  const add = useMutation({
    mutationFn: (body: { day: string; text: string }) =>
      told(api.POST('/studies/{slug}/annotations', { params: { path: { slug } }, body })),
    ...settled,
  });
  const remove = useMutation({
    mutationFn: (annotation: number) =>
      told(api.DELETE('/studies/{slug}/annotations/{annotation}', { params: { path: { slug, annotation } } })),
    ...settled,
  });
  return { add, remove, error: add.error ?? remove.error };
}
