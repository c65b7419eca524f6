import { useMutation, useQueryClient, type InfiniteData } from '@tanstack/react-query';
import { useRef } from 'react';
import { api } from '../api/client';
import { studyKey } from '../api/queries';
import type { Decision, KeywordRow, Mark, Page } from '../api/types';

interface Order {
  /** Keywords by name, or all that a sentence shows. */
  about: { keywords: string[] } | { show: string };
  decision: Decision;
}

/** Decides about keywords and takes decisions back. What is on the screen changes at once; the server's answer settles it. */
export function useDecisions(study: string) {
  const client = useQueryClient();
  const history = useRef<number[]>([]);
  const settle = () => Promise.all(['bench', 'opportunities', 'keyword', 'itself', 'summary', 'tags', 'page-one', 'groups', 'map', 'steadiness', 'comparison'].map((list) => client.invalidateQueries({ queryKey: [...studyKey(study), list] })));
  const patch = ({ about, decision }: Order) => {
    const { mark } = decision;
    if (!('keywords' in about) || mark === undefined) {
      return;
    }
    const wanted = new Set(about.keywords);
    const update = (data: InfiniteData<Page<KeywordRow>> | undefined) =>
      data && { ...data, pages: data.pages.map((page) => ({ ...page, rows: page.rows.map((row) => (wanted.has(row.keyword) ? { ...row, mark } : row)) })) };
    for (const list of ['bench', 'opportunities']) {
      client.setQueriesData<InfiniteData<Page<KeywordRow>>>({ queryKey: [...studyKey(study), list] }, update);
    }
  };
  const send = useMutation({
    mutationFn: ({ about, decision }: Order) => api.post<{ change: number; keywords: number }>(`studies/${study}/decisions`, { ...about, ...decision }),
    onMutate: patch,
    onSuccess: (answer) => history.current.push(answer.change),
    onSettled: settle,
  });
  const undo = useMutation({ mutationFn: (change: number) => api.post<{ keywords: number }>(`studies/${study}/decisions/undo`, { change }), onSettled: settle });
  return {
    error: send.error ?? undo.error,
    isPending: send.isPending,
    decide: (about: Order['about'], decision: Decision) => send.mutate({ about, decision }),
    mark: (keywords: string[], mark: Mark | null) => send.mutate({ about: { keywords }, decision: { mark } }),
    undo: () => {
      const change = history.current.pop();
      if (change !== undefined) {
        undo.mutate(change);
      }
    },
    undoChange: (change: number) => undo.mutate(change),
  };
}
