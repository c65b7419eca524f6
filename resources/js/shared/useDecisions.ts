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

/** Lists whose rows bear what was decided about them. */
const listed = ['bench', 'opportunities'];

const touched = [...listed, 'keyword', 'itself', 'summary', 'tags', 'page-one', 'groups', 'map', 'steadiness', 'comparison'];

/**
 * Decides about keywords and takes decisions back. What is on the screen changes at once; requests follow one after the other
 * in the order in which they were made, and the lists are read anew after the last of them.
 */
export function useDecisions(study: string) {
  const client = useQueryClient();
  const history = useRef<number[]>([]);
  const key = ['decisions', study];
  const settle = () => {
    if (client.isMutating({ mutationKey: key }) > 1) {
      return;
    }
    return Promise.all(touched.map((list) => client.invalidateQueries({ queryKey: [...studyKey(study), list] })));
  };
  const patch = async ({ about, decision }: Order) => {
    const { mark } = decision;
    if (!('keywords' in about) || mark === undefined) {
      return;
    }
    const wanted = new Set(about.keywords);
    const update = (data: InfiniteData<Page<KeywordRow>> | undefined) =>
      data && {
        ...data,
        pages: data.pages.map((page) => ({ ...page, rows: page.rows.map((row) => (wanted.has(row.keyword) ? { ...row, mark } : row)) })),
      };
    const keys = listed.map((list) => [...studyKey(study), list]);
    keys.forEach((queryKey) => client.setQueriesData<InfiniteData<Page<KeywordRow>>>({ queryKey }, update));
    // What is being read was written before this decision and must not come over it.
    await Promise.all(keys.map((queryKey) => client.cancelQueries({ queryKey })));
    keys.forEach((queryKey) => client.setQueriesData<InfiniteData<Page<KeywordRow>>>({ queryKey }, update));
  };
  const order = { mutationKey: key, scope: { id: key.join(' ') }, onSettled: settle };
  const send = useMutation({
    ...order,
    mutationFn: ({ about, decision }: Order) =>
      api.post<{ change: number; keywords: number }>(`studies/${study}/decisions`, { ...about, ...decision }),
    onMutate: patch,
    onSuccess: (answer) => history.current.push(answer.change),
  });
  const undo = useMutation({
    ...order,
    // Which change is the last is known when its turn comes.
    mutationFn: async (named: number | null) => {
      const change = named ?? history.current.pop();
      return change === undefined ? null : await api.post<{ keywords: number }>(`studies/${study}/decisions/undo`, { change });
    },
  });
  return {
    error: send.error ?? undo.error,
    isPending: send.isPending,
    decide: (about: Order['about'], decision: Decision) => send.mutate({ about, decision }),
    mark: (keywords: string[], mark: Mark | null) => send.mutate({ about: { keywords }, decision: { mark } }),
    undo: () => undo.mutate(null),
    undoChange: (change: number) => undo.mutate(change),
  };
}
