import { useMutation, useQueryClient, type InfiniteData } from '@tanstack/react-query';
import { useRef } from 'react';
import { api } from '../api/client';
import { studyKey } from '../api/queries';
import type { KeywordRow, Mark, MarkBefore, Page } from '../api/types';

interface MarkOrder {
  keywords: string[];
  mark: Mark | null;
  reason?: string | null;
}

/** Marks keywords and takes marks back. What is on the screen changes at once; the server's answer settles it. */
export function useMarks(study: string) {
  const client = useQueryClient();
  const history = useRef<MarkBefore[][]>([]);
  const patch = (order: MarkOrder) => {
    const wanted = new Set(order.keywords);
    const update = (data: InfiniteData<Page<KeywordRow>> | undefined) =>
      data && {
        ...data,
        pages: data.pages.map((page) => ({ ...page, rows: page.rows.map((row) => (wanted.has(row.keyword) ? { ...row, mark: order.mark } : row)) })),
      };
    for (const list of ['bench', 'opportunities']) {
      client.setQueriesData<InfiniteData<Page<KeywordRow>>>({ queryKey: [...studyKey(study), list] }, update);
    }
  };
  const send = useMutation({
    mutationFn: (order: MarkOrder) => api.post<{ before: MarkBefore[] }>(`studies/${study}/decisions`, order),
    onMutate: patch,
    onError: () => client.invalidateQueries({ queryKey: studyKey(study) }),
    onSuccess: () => {
      void client.invalidateQueries({ queryKey: [...studyKey(study), 'keyword'] });
      void client.invalidateQueries({ queryKey: [...studyKey(study), 'itself'] });
      void client.invalidateQueries({ queryKey: [...studyKey(study), 'summary'] });
    },
  });
  return {
    error: send.error,
    mark: (keywords: string[], mark: Mark | null, reason: string | null = null) => {
      send.mutate({ keywords, mark, reason }, { onSuccess: (answer) => history.current.push(answer.before) });
    },
    undo: () => {
      for (const before of history.current.pop() ?? []) {
        send.mutate({ keywords: [before.keyword], mark: before.mark, reason: before.reason });
      }
    },
  };
}
