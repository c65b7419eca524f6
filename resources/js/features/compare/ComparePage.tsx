import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useInfiniteQuery, useQuery } from '@tanstack/react-query';
import { useCallback, useMemo } from 'react';
import { useNavigate } from 'react-router';
import { address } from '../../api/client';
import { benchQuery, summaryQuery } from '../../api/queries';
import type { Comparison, KeywordRow, Study } from '../../api/types';
import { Bench } from '../../shared/Bench';
import { Empty, Failed, Waiting } from '../../shared/Notice';
import { SentenceBar } from '../../shared/SentenceBar';
import { find, parseSentence, put, spell, toggle } from '../../shared/sentence.logic';
import { useListKeys } from '../../shared/useListKeys';
import { useMarks } from '../../shared/useMarks';
import { useUrlState } from '../../shared/useUrlState';
import { Dossier } from '../dossier';
import { useStudy } from '../studies';
import { keywordColumns } from './columns';
import { OverlapTable } from './OverlapTable';
import { StandingBar } from './StandingBar';

const startSentence = 'brands=hide;mark=kept';

export function ComparePage() {
  const study = useStudy();
  const navigate = useNavigate();
  if (study.comparison === null) {
    return (
      <Empty title="Nothing to compare yet">
        Bring in at least your own rankings and those of one competitor; the comparison is then made by itself.
        <br />
        <Button variant="contained" sx={{ mt: 2 }} onClick={() => void navigate(`/studies/${study.slug}/gather`)}>
          Go to Gather
        </Button>
      </Empty>
    );
  }
  return <Workbench study={study} comparison={study.comparison} />;
}

function Workbench({ study, comparison }: { study: Study; comparison: Comparison }) {
  const [params, change] = useUrlState();
  const show = params.get('show') ?? startSentence;
  const sort = params.get('sort') ?? 'volume';
  const dir = params.get('dir') ?? 'desc';
  const keyword = params.get('keyword');
  const isOpen = params.get('dossier') === 'open';
  const bench = useInfiniteQuery(benchQuery(study.slug, comparison.id, { show, sort, dir }));
  const summary = useQuery(summaryQuery(study.slug, comparison.id, show));
  const marks = useMarks(study.slug);
  const rows = useMemo(() => bench.data?.pages.flatMap((page) => page.rows) ?? [], [bench.data]);
  const domains = useMemo(() => comparison.domains.map((domain) => domain.entry), [comparison]);
  const setShow = (next: string, isStep = true) => change({ show: next }, !isStep);
  const clauses = parseSentence(show);
  const current = rows.find((row) => row.keyword === keyword);
  const { fetchNextPage, hasNextPage, isFetchingNextPage } = bench;
  const more = useCallback(() => {
    if (hasNextPage && !isFetchingNextPage) {
      void fetchNextPage();
    }
  }, [fetchNextPage, hasNextPage, isFetchingNextPage]);
  useListKeys({ current, mayEdit: study.may_edit, onMark: marks.mark, onUndo: marks.undo, onClose: () => change({ dossier: null }, true) });
  const select = (row: KeywordRow) => change({ keyword: row.keyword }, true);
  return (
    <>
      <SentenceBar
        subject="Keywords"
        show={show}
        onChange={setShow}
        count={summary.data?.keywords}
        of={summary.data?.of}
        hidden={summary.data?.hidden_brands ?? 0}
        context={{ study: study.slug, comparison: comparison.id, domains }}
      >
        <Button component="a" href={address(`studies/${study.slug}/exports/compare.csv`, { show })} download sx={{ whiteSpace: 'nowrap' }}>
          Export CSV
        </Button>
      </SentenceBar>
      {marks.error !== null && <Failed error={marks.error} />}
      <Box sx={{ flex: 1, minHeight: 0, display: 'flex' }}>
        {!isOpen && (
          <OverlapTable
            combinations={summary.data?.overlap ?? []}
            domains={domains}
            chosen={find(clauses, 'combination')?.value ?? null}
            onChoose={(mask) => setShow(spell(put(clauses, 'combination', '=', mask)))}
          />
        )}
        <Box sx={{ flex: 1, minWidth: 0, display: 'flex', flexDirection: 'column' }}>
          <StandingBar standings={summary.data?.standings ?? {}} chosen={clauses} onToggle={(standing) => setShow(spell(toggle(clauses, 'standing', standing)))} />
          {bench.isPending && <Waiting what="Reading the keywords" />}
          {bench.isError && <Failed error={bench.error} onRetry={() => void bench.refetch()} />}
          {bench.isSuccess && rows.length === 0 && <Empty title="No keyword fits this sentence">Take a clause out of the sentence above, or press z to go back to what it was.</Empty>}
          {rows.length > 0 && (
            <Bench
              label="Keywords"
              columns={keywordColumns(domains, isOpen)}
              rows={rows}
              total={summary.data?.keywords ?? rows.length}
              rowKey={(row) => row.keyword}
              selected={keyword}
              onSelect={select}
              onOpen={(row) => change({ keyword: row.keyword, dossier: 'open' }, isOpen)}
              onEnd={more}
              sort={{ by: sort, dir, onChange: (by, direction) => change({ sort: by, dir: direction }) }}
              isMuted={(row) => row.mark === 'set aside'}
            />
          )}
        </Box>
        {isOpen && keyword !== null && (
          <Dossier
            study={study}
            comparison={comparison}
            keyword={keyword}
            onClose={() => change({ dossier: null }, true)}
            onMark={(mark) => marks.mark([keyword], mark)}
            onTopic={(topic) => setShow(spell([{ name: 'topic', operator: '=', value: topic }]))}
          />
        )}
      </Box>
    </>
  );
}
