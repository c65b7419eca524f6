import { useMutation } from '@tanstack/react-query';
import { useEffect } from 'react';
import { api, told } from '../../api/client';

/** Sends a file as soon as it is shown; it waits on the server until it is imported or forgotten. */
export function useUpload(slug: string, file: File) {
  const upload = useMutation({
    mutationFn: () => {
      const form = new FormData();
      form.set('file', file);
      // The document calls a file a text; what is sent is the form.
      return told(
        api.POST('/studies/{slug}/uploads', { params: { path: { slug } }, body: { file: file.name }, bodySerializer: () => form }),
      );
    },
  });
  const { mutate } = upload;
  useEffect(() => mutate(), [mutate]);
  return upload;
}
