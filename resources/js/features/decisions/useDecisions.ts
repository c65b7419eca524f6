import { useMutation, useQueryClient, type InfiniteData } from '@tanstack/react-query';
import { useRef } from 'react';
import { api, told } from '../../api/client';
import { keys, type StudyPart } from '../../api/keys';
import type { Decision, DecisionOutcome, Mark, Row } from '../../api/schema';
import { studyQuery } from '../study/queries';
import { toldWords } from './others.logic';
import type { About } from './useSelection';
import { marksOf, unmarked, withMark, type Marks } from './rows.logic';

interface Order {
  /** Keywords by name, all that a sentence shows, or the open ones of topics. */
  about: About;
  decision: Decision;
  /** Belongs to the decision before it: what was decided then is meant, and one undo takes both back. */
  isAfterthought?: boolean;
}

type RowList = InfiniteData<{ rows: Row[] }>;

/** Lists whose rows bear what was decided about them. */
const listed: StudyPart[] = ['bench', 'opportunities'];

const touched: StudyPart[] = [
  ...listed,
  'topics',
  'keyword',
  'itself',
  'summary',
  'tags',
  'page-one',
  'groups',
  'map',
  'steadiness',
  'comparison',
  'findings',
  'reasons',
];

/**
 * Decides about keywords and takes decisions back. What is on the screen changes at once; requests follow one after the other
 * in the order in which they were made, and the lists are read anew after the last of them. What is refused is as it was before.
 */
export function useDecisions(study: string) {
  const past = usePast();
  const client = useQueryClient();
  const seen = () => Math.max(past.newest(), client.getQueryData(studyQuery(study).queryKey)?.newest_change ?? 0);
  const order = useOrder(study);
  const lists = useMarkedLists(study);
  const params = { path: { slug: study } };
  const send = useMutation({
    ...order,
    mutationFn: ({ about, decision, isAfterthought = false }: Order) =>
      told(
        api.POST('/studies/{slug}/decisions', { params, body: { ...(isAfterthought ? past.about() : about), ...decision, seen: seen() } }),
      ),
    onMutate: ({ about, decision }: Order) =>
      'keywords' in about && decision.mark !== undefined ? lists.mark(about.keywords, decision.mark) : undefined,
    onSuccess: (answer, { isAfterthought = false }) => past.add(answer, isAfterthought),
    onError: (_error, { decision }, before) => {
      if (before !== undefined && decision.mark !== undefined) {
        lists.unmark(before, decision.mark);
      }
    },
  });
  const undo = useUndo(study, past);
  return {
    error: send.error ?? undo.error,
    isPending: send.isPending,
    /** What others had done meanwhile with what was decided about last, and what an undo had to leave; empty where nothing. */
    told: toldWords(send.data?.others ?? [], undo.data ?? 0),
    decide: (about: Order['about'], decision: Decision) => send.mutate({ about, decision }),
    mark: (keywords: string[], mark: Mark | null) => send.mutate({ about: { keywords }, decision: { mark } }),
    /** Why what was decided last was decided so. */
    giveReason: (mark: Mark, reason: string) => send.mutate({ about: { keywords: [] }, decision: { mark, reason }, isAfterthought: true }),
    undo: () => undo.mutate(null),
    undoChange: (change: number) => undo.mutate(change),
  };
}

/** Takes the last decision back, or one that is named; says of how many keywords somebody has changed since. */
function useUndo(study: string, past: ReturnType<typeof usePast>) {
  const order = useOrder(study);
  const params = { path: { slug: study } };
  return useMutation({
    ...order,
    // Which change is the last is known when its turn comes.
    mutationFn: async (named: number | null) => {
      const changes = named === null ? past.takeLast() : [named];
      let left = 0;
      for (const change of changes.reverse()) {
        left += (await told(api.POST('/studies/{slug}/decisions/undo', { params, body: { change } }))).left;
      }
      return left;
    },
  });
}

/** What was decided here so far, the last change at the end: a change, and what was added to it as an afterthought. */
function usePast() {
  const changes = useRef<number[][]>([]);
  const keywords = useRef<string[]>([]);
  const newest = useRef(0);
  return {
    add: ({ change, before }: DecisionOutcome, isAfterthought: boolean) => {
      keywords.current = before.map((row) => row.keyword);
      newest.current = change;
      if (isAfterthought) {
        changes.current.at(-1)?.push(change);
      } else {
        changes.current.push([change]);
      }
    },
    /** What a topic or a sentence meant is no longer open once it is set aside, and so is named keyword by keyword. */
    about: () => ({ keywords: keywords.current }),
    newest: () => newest.current,
    takeLast: () => changes.current.pop() ?? [],
  };
}

/** One request after the other, and everything that shows decisions read anew after the last of them. */
function useOrder(study: string) {
  const client = useQueryClient();
  const mutationKey = keys.decisions(study);
  const onSettled = () => {
    if (client.isMutating({ mutationKey }) > 1) {
      return;
    }
    // Not waited for: the reason of a refusal is told at once.
    touched.forEach((part) => void client.invalidateQueries({ queryKey: keys.part(study, part) }));
  };
  return { mutationKey, scope: { id: mutationKey.join(' ') }, onSettled };
}

/** The marks in the lists that were read: set at once, and set back. */
function useMarkedLists(study: string) {
  const client = useQueryClient();
  const every = listed.map((part) => keys.part(study, part));
  const write = (change: (list: RowList) => RowList) =>
    every.forEach((queryKey) => client.setQueriesData<RowList>({ queryKey }, (data) => data && change(data)));
  return {
    /** Gives back what the marks were before. */
    mark: async (keywords: string[], mark: Mark | null): Promise<Marks> => {
      const wanted = new Set(keywords);
      const lists = every.flatMap((queryKey) => client.getQueriesData<RowList>({ queryKey }).flatMap(([, data]) => data ?? []));
      const before = marksOf(lists, wanted);
      write((pages) => withMark(pages, wanted, mark));
      // What is being read was written before this decision and must not come over it.
      await Promise.all(every.map((queryKey) => client.cancelQueries({ queryKey })));
      write((pages) => withMark(pages, wanted, mark));
      return before;
    },
    unmark: (before: Marks, refused: Mark | null) => write((pages) => unmarked(pages, before, refused)),
  };
}
