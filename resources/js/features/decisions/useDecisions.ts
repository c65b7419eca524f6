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
  /** Which decision of this screen it is; a reason bears the number of the decision that it belongs to. */
  turn: number;
  /** A reason: what was decided in its turn is meant, and one undo takes both back. */
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
  'hidden',
];

/**
 * Decides about keywords and takes decisions back. What is on the screen changes at once; requests follow one after the other
 * in the order in which they were made, and the lists are read anew after the last of them. What is refused is as it was before.
 */
export function useDecisions(study: string) {
  const past = usePast();
  const send = useSend(study, past);
  const undo = useUndo(study, past);
  return {
    error: send.error ?? undo.error,
    isPending: send.isPending,
    /** What others had done meanwhile with what was decided about last, and what an undo had to leave; empty where nothing. */
    told: toldWords(send.data?.others ?? [], undo.data ?? 0),
    decide: (about: Order['about'], decision: Decision) => send.mutate({ about, decision, turn: past.nextTurn() }),
    mark: (keywords: string[], mark: Mark | null) => send.mutate({ about: { keywords }, decision: { mark }, turn: past.nextTurn() }),
    /** The number of the last decision, for its reason. */
    turn: past.turn,
    /** Why something was decided: a reason belongs to its decision, whatever was decided since. */
    giveReason: (turn: number, mark: Mark, reason: string) =>
      send.mutate({ about: { keywords: [] }, decision: { mark, reason }, turn, isAfterthought: true }),
    undo: () => undo.mutate(null),
    undoChange: (change: number) => undo.mutate(change),
  };
}

/** Sends decisions, and marks rows on the screen before they are saved. */
function useSend(study: string, past: ReturnType<typeof usePast>) {
  const client = useQueryClient();
  const seen = () => Math.max(past.newest(), client.getQueryData(studyQuery(study).queryKey)?.newest_change ?? 0);
  const order = useOrder(study);
  const lists = useMarkedLists(study);
  const params = { path: { slug: study } };
  return useMutation({
    ...order,
    mutationFn: ({ about, decision, turn, isAfterthought = false }: Order) =>
      told(
        api.POST('/studies/{slug}/decisions', {
          params,
          body: { ...(isAfterthought ? past.about(turn) : about), ...decision, seen: seen() },
        }),
      ),
    onMutate: ({ about, decision }: Order) =>
      'keywords' in about && decision.mark !== undefined ? lists.mark(about.keywords, decision.mark) : undefined,
    onSuccess: (answer, { turn, isAfterthought = false }) => past.add(answer, turn, isAfterthought),
    onError: (_error, { decision }, before) => {
      if (before !== undefined && decision.mark !== undefined) {
        lists.unmark(before, decision.mark);
      }
    },
  });
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
  const changes = useRef<{ turn: number; numbers: number[]; keywords: string[] }[]>([]);
  const turn = useRef(0);
  const newest = useRef(0);
  const ofTurn = (wanted: number) => changes.current.find((one) => one.turn === wanted);
  return {
    nextTurn: () => (turn.current += 1),
    turn: () => turn.current,
    add: ({ change, before }: DecisionOutcome, of: number, isAfterthought: boolean) => {
      newest.current = change;
      if (isAfterthought) {
        ofTurn(of)?.numbers.push(change);
      } else {
        changes.current.push({ turn: of, numbers: [change], keywords: before.map((row) => row.keyword) });
      }
    },
    /** Named keyword by keyword: what a topic or a sentence meant is open no more once it is set aside. */
    about: (of: number) => ({ keywords: ofTurn(of)?.keywords ?? [] }),
    newest: () => newest.current,
    takeLast: () => changes.current.pop()?.numbers ?? [],
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
