import Box from '@mui/material/Box';
import { useInfiniteQuery, useQuery } from '@tanstack/react-query';
import { useCallback, useMemo } from 'react';
import { vocabularyQuery } from '../study/queries';
import { benchQuery } from './queries';
import type { BenchSummary, Comparison, Row, Mark, Study } from '../../api/schema';
import { Bench } from '../../shared/Bench';
import { SelectionBar } from '../decisions/SelectionBar';
import { staysWith } from '../decisions/marks.logic';
import { Failed, Waiting } from '../../shared/Notice';
import type { useDecisions } from '../decisions/useDecisions';
import { useListKeys } from '../decisions/useListKeys';
import { useReasonLine } from '../decisions/useReasonLine';
import { ofKeywords, useSelection } from '../decisions/useSelection';
import { useStored } from '../../shared/useStored';
import { useUrlState } from '../sentence/useUrlState';
import { denseRowHeight, rowHeight } from '../../theme/theme';
import { ColumnMenu } from './ColumnMenu';
import { allColumns, choices, shownColumns, usualColumns } from './columns';
import { NothingFits } from './NothingFits';

interface Props {
  study: Study;
  comparison: Comparison;
  show: string;
  summary: BenchSummary | undefined;
  domains: string[];
  decisions: ReturnType<typeof useDecisions>;
  isOpen: boolean;
}

const isTexts = (value: unknown): value is string[] => Array.isArray(value) && value.every((item) => typeof item === 'string');
const isFlag = (value: unknown): value is boolean => typeof value === 'boolean';

/** The list of keywords with its own columns, order and density, and everything that can be decided by key. */
export function KeywordList({ study, comparison, show, summary, domains, decisions, isOpen }: Props) {
  const [params, change] = useUrlState();
  const [chosenColumns, setColumns] = useStored('reach-columns', usualColumns, isTexts);
  const [pinned, setPinned] = useStored<string[]>('reach-pinned', [], isTexts);
  const [isDense, setDense] = useStored('reach-dense', false, isFlag);
  const sort = params.get('sort') ?? 'volume';
  const dir = params.get('dir') === 'asc' ? 'asc' : 'desc';
  const keyword = params.get('keyword');
  const bench = useInfiniteQuery(benchQuery(study.slug, comparison.id, { show, sort, dir }));
  const rows = useMemo(() => bench.data?.pages.flatMap((page) => page.rows) ?? [], [bench.data]);
  const selection = useSelection(show, rows, ofKeywords);
  const reason = useReasonLine(study, decisions);
  const mark = (keywords: string[], to: Mark | null) => {
    decisions.mark(keywords, to);
    reason.ask(to, keywords.join(', '));
    if (selection.isAny && !staysWith(to, show)) {
      selection.drop(keywords);
    }
  };
  const { fetchNextPage, hasNextPage, isFetchingNextPage } = bench;
  const more = useCallback(() => {
    if (hasNextPage && !isFetchingNextPage) {
      void fetchNextPage();
    }
  }, [fetchNextPage, hasNextPage, isFetchingNextPage]);
  useListKeys({
    current: rows.find((row) => row.keyword === keyword),
    onMark: mark,
    onUndo: decisions.undo,
    onClose: () => change({ dossier: null }, true),
    onChoose: selection.flip,
  });
  const vocabulary = useQuery(vocabularyQuery());
  const spoken = vocabulary.data?.columns;
  const columns = useMemo(() => allColumns(domains, spoken ?? []), [domains, spoken]);
  const shown = useMemo(() => shownColumns(columns, chosenColumns, pinned), [columns, chosenColumns, pinned]);
  if (bench.isPending || vocabulary.isPending) {
    return <Waiting what="Loading the keywords" />;
  }
  if (bench.isError) {
    return <Failed error={bench.error} onRetry={() => void bench.refetch()} />;
  }
  if (rows.length === 0) {
    return (
      <>
        <NothingFits steps={summary?.steps ?? []} />
        {reason.line}
      </>
    );
  }
  return (
    <>
      <SelectionBar
        selection={selection}
        show={show}
        total={summary?.keywords ?? rows.length}
        sums={{ volume: summary?.volume ?? null, visits_now: summary?.visits_now ?? null, gain: summary?.gain ?? null }}
        mayEdit={study.may_edit}
        decisions={decisions}
      />
      <Box sx={{ position: 'relative', display: 'flex', flexDirection: 'column', flex: 1, minHeight: 0 }}>
        {!isOpen && (
          <Box sx={{ position: 'absolute', left: 0, top: 0, zIndex: 4 }}>
            <ColumnMenu
              columns={choices(columns)}
              chosen={chosenColumns}
              onChange={setColumns}
              pinned={pinned}
              onPin={setPinned}
              isDense={isDense}
              onDense={setDense}
            />
          </Box>
        )}
        <Bench<Row>
          key={isDense ? 'dense' : 'usual'}
          label="Keywords"
          columns={shown}
          rows={rows}
          total={summary?.keywords ?? rows.length}
          rowKey={(row) => row.keyword}
          selected={keyword}
          onSelect={(row) => change({ keyword: row.keyword }, true)}
          onOpen={(row) => change({ keyword: row.keyword, dossier: 'open' }, isOpen)}
          onEnd={more}
          onChoose={(row) => selection.flip(row.keyword)}
          sort={{ by: sort, dir, onChange: (by, direction) => change({ sort: by, dir: direction }) }}
          isMuted={(row) => row.mark === 'set aside'}
          isChosen={(row) => selection.has(row.keyword)}
          scrollsSideways={!isOpen && chosenColumns.length > usualColumns.length}
          height={isDense ? denseRowHeight : rowHeight}
        />
      </Box>
      {reason.line}
    </>
  );
}
