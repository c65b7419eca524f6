import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useNavigate } from 'react-router';
import { api, told } from '../../api/client';
import { keys } from '../../api/keys';
import type { Study, StudyDraft } from '../../api/schema';

/** Makes a study, and goes to where its lists are imported, or changes one. */
export function useSaveStudy(study: Study | null, onSaved?: (saved: Study) => void) {
  const client = useQueryClient();
  const navigate = useNavigate();
  return useMutation({
    mutationFn: (draft: StudyDraft) =>
      study === null
        ? told(api.POST('/studies', { body: draft }))
        : told(api.PATCH('/studies/{slug}', { params: { path: { slug: study.slug } }, body: draft })),
    onSuccess: async (saved) => {
      await client.invalidateQueries({ queryKey: keys.study(saved.slug) });
      await client.invalidateQueries({ queryKey: keys.studies });
      onSaved?.(saved);
      if (study === null) {
        await navigate(`/studies/${saved.slug}/gather`);
      }
    },
  });
}
