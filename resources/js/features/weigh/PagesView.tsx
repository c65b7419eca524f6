import { useInfiniteQuery, useQuery } from '@tanstack/react-query';
import { useCallback, useMemo, useRef, useState } from 'react';
import type { Comparison, Mark, Opportunity, RankedTopic, Steadiness, Study, Task } from '../../api/schema';
import Box from '@mui/material/Box';
import { Bench } from '../../shared/Bench';
import { sideBySide } from '../../shared/layout';
import { Empty, Failed, Waiting } from '../../shared/Notice';
import { useHotkeys } from '../../shared/useHotkeys';
import type { useDecisions } from '../decisions/useDecisions';
import { pressMark, type MarkPress } from '../decisions/marks.logic';
import { SelectionBar } from '../decisions/SelectionBar';
import { ofPages, useSelection } from '../decisions/useSelection';
import { usePutOnRoadmap } from '../decisions/usePutOnRoadmap';
import { PageBar } from './PageBar';
import { pageColumns } from './pageColumns';
import { PagePanel } from './PagePanel';
import { aboutPage, lineKey, linesOf, markOf, roadmapWords, type PageLine } from './pages.logic';
import { vocabularyQuery } from '../study/queries';
import { explained, noColumns } from './abouts';
import { opportunitiesQuery, topicsQuery } from './queries';
import type { Weights } from './weights.logic';
import { commonWording } from '../../shared/wording';

interface Props {
  study: Study;
  comparison: Comparison;
  show: string;
  asked: string;
  weights: Weights;
  steadiness: Steadiness | Task | undefined;
  sort: string;
  dir: string;
  decisions: ReturnType<typeof useDecisions>;
  /** Whether a dossier is open, which then follows the keyword selected. */
  isOpen: boolean;
  /** Told what was marked, and how. */
  onMarked: (mark: Mark | null, title: string) => void;
  onSort: (by: string, dir: string) => void;
  onKeyword: (keyword: string) => void;
}

const noPages: RankedTopic[] = [];
const noKeywords: Opportunity[] = [];

/** The ranked list by topic: each the page that serves it, made or to be made, opened in place into its keywords. */
export function PagesView({
  study,
  comparison,
  show,
  asked,
  weights,
  steadiness,
  sort,
  dir,
  decisions,
  isOpen,
  onMarked,
  onSort,
  onKeyword,
}: Props) {
  const [selected, setSelected] = useState<string | null>(null);
  const [opened, setOpened] = useState<string | null>(null);
  const [isJudging, setJudging] = useState(false);
  const list = useInfiniteQuery(topicsQuery(study.slug, comparison.id, show, asked, sort, dir));
  const inside = useInfiniteQuery({
    ...opportunitiesQuery(study.slug, comparison.id, aboutPage(opened ?? ''), asked),
    enabled: opened !== null,
  });
  const pages = useMemo(() => list.data?.pages.flatMap((page) => page.rows) ?? noPages, [list.data]);
  const keywords = useMemo(() => inside.data?.pages.flatMap((page) => page.rows) ?? noKeywords, [inside.data]);
  const lines = useMemo(() => linesOf(pages, opened, keywords), [pages, opened, keywords]);
  const spoken = useQuery(vocabularyQuery()).data?.columns ?? noColumns;
  const columns = useMemo(() => explained(pageColumns(weights, opened, steadiness), spoken), [weights, opened, steadiness, spoken]);
  const { fetchNextPage, hasNextPage, isFetchingNextPage } = list;
  const more = useCallback(() => {
    if (hasNextPage && !isFetchingNextPage) {
      void fetchNextPage();
    }
  }, [fetchNextPage, hasNextPage, isFetchingNextPage]);
  const current = lines.find((line) => lineKey(line) === selected);
  const flip = useFlip(current, decisions, onMarked);
  const select = (line: PageLine) => {
    setSelected(lineKey(line));
    if (isOpen && line.kind === 'keyword') {
      onKeyword(line.keyword.keyword);
    }
  };
  const open = (line: PageLine) => {
    setSelected(lineKey(line));
    if (line.kind === 'keyword') {
      onKeyword(line.keyword.keyword);
    } else {
      setOpened(line.page.topic === opened ? null : line.page.topic);
    }
  };
  const selection = useSelection(show, pages, ofPages);
  const put = usePutOnRoadmap(study.slug);
  const toRoadmap = () => {
    if (current !== undefined) {
      put.mutate(current.kind === 'page' ? { topics: [current.page.topic] } : { keywords: [current.keyword.keyword], alone: true });
    }
  };
  const stopJudging = () => {
    setJudging(false);
    // It was opened for the judgement; the next key goes on to the next page.
    setOpened(null);
  };
  const judge = () => {
    if (isJudging) {
      stopJudging();
    } else if (current?.kind === 'page') {
      setOpened(current.page.topic);
      setJudging(true);
    }
  };
  useHotkeys({
    s: (pressed) => flip('shortlisted', pressed.timeStamp),
    x: (pressed) => flip('set aside', pressed.timeStamp),
    t: toRoadmap,
    v: () => current?.kind === 'page' && selection.flip(current.page.topic),
    e: judge,
    p: () => {
      const keyword = current?.kind === 'page' ? current.page.lead : current?.keyword.keyword;
      const isPinned = current?.kind === 'page' ? current.page.pinned : current?.keyword.pinned;
      if (keyword !== undefined) {
        decisions.decide({ keywords: [keyword] }, { pinned: isPinned !== true });
      }
    },
    Escape: () => isJudging && stopJudging(),
  });
  if (list.isPending) {
    return <Waiting what="Ranking the pages" />;
  }
  if (list.isError) {
    return <Failed error={list.error} onRetry={() => void list.refetch()} />;
  }
  if (pages.length === 0) {
    return <Empty title="No page matches this sentence">{commonWording.removeAClauseFromTheSentenceAboveOr}</Empty>;
  }
  const total = list.data.pages[0]?.total ?? pages.length;
  const judged = current?.kind === 'page' ? current.page : undefined;
  return (
    <Box sx={{ ...sideBySide, flexDirection: 'row' }}>
      <Box sx={{ flex: 1, minWidth: 0, display: 'flex', flexDirection: 'column' }}>
        <PageBar
          line={current}
          mayEdit={study.may_edit}
          told={put.isError ? put.error.message : put.isSuccess ? roadmapWords(put.data.added) : null}
          onShortlist={() => flip('shortlisted')}
          onSetAside={() => flip('set aside')}
          onRoadmap={toRoadmap}
          onJudge={judge}
        />
        <SelectionBar selection={selection} show={show} total={total} sums={null} mayEdit={study.may_edit} decisions={decisions} />
        <Bench
          label="Pages to write or improve"
          columns={columns}
          rows={lines}
          total={total + lines.length - pages.length}
          rowKey={lineKey}
          selected={selected}
          onSelect={select}
          onOpen={open}
          onEnd={more}
          sort={{ by: sort, dir, onChange: onSort }}
          isMuted={(line) => line.kind === 'keyword' && line.keyword.mark === 'set aside'}
          isChosen={(line) => line.kind === 'page' && selection.has(line.page.topic)}
          onChoose={(line) => line.kind === 'page' && selection.flip(line.page.topic)}
        />
      </Box>
      {isJudging && judged !== undefined && !isOpen && (
        <PagePanel
          key={judged.topic}
          study={study}
          page={judged}
          keywords={keywords.filter((keyword) => keyword.topic === judged.topic)}
          decisions={decisions}
          onClose={stopJudging}
        />
      )}
    </Box>
  );
}

/** Marks the page or keyword on a line, or takes its mark back; a key that bounced does nothing. */
function useFlip(current: PageLine | undefined, decisions: Props['decisions'], onMarked: Props['onMarked']) {
  const lastPress = useRef<MarkPress | null>(null);
  return (mark: Mark, at = performance.now()) => {
    if (current === undefined) {
      return;
    }
    const press = { keyword: lineKey(current), mark, at };
    const next = pressMark(press, markOf(current, mark), lastPress.current);
    if (next === undefined) {
      return;
    }
    lastPress.current = press;
    if (current.kind === 'keyword') {
      decisions.mark([current.keyword.keyword], next);
      onMarked(next, current.keyword.keyword);
    } else {
      decisions.decide({ topics: [current.page.topic] }, { mark: next });
      onMarked(next, current.page.topic);
    }
  };
}
