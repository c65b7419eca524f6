import { useMutation } from '@tanstack/react-query';
import { useEffect, useRef } from 'react';
import { api, told } from '../../api/client';

/**
 * Sends a file as soon as it is shown; it waits on the server until it is imported. When it is shown no longer, and nobody has asked for
 * its import, it is taken off again; the server keeps what is asked for, whatever is said here.
 */
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
  const received = useRef<string>(undefined);
  received.current = upload.data?.id;
  useEffect(() => {
    mutate();
    return () => {
      if (received.current !== undefined) {
        // One that was imported meanwhile is gone already.
        api.DELETE('/studies/{slug}/uploads/{upload}', { params: { path: { slug, upload: received.current } } }).catch(() => undefined);
      }
    };
  }, [mutate, slug]);
  return upload;
}
