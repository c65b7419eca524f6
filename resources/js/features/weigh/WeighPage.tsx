import Box from '@mui/material/Box';
import { useInfiniteQuery, useQuery, type InfiniteData, type UseInfiniteQueryResult } from '@tanstack/react-query';
import { useCallback, useMemo } from 'react';
import { address } from '../../api/client';
import { hiddenQuery, opportunitiesQuery, steadinessQuery, topicsQuery } from './queries';
import type { Comparison, Opportunity, OpportunityPage, Steadiness, Study, Task } from '../../api/schema';
import { Bench } from '../../shared/Bench';
import { sideBySide } from '../../shared/layout';
import { DownloadButton, ViewBar } from '../../shared/ViewBar';
import { Done, Empty, Failed, Waiting } from '../../shared/Notice';
import { useCarried } from '../sentence/carried';
import { NoiseMenu } from '../sentence/NoiseMenu';
import { SentenceBar } from '../sentence/SentenceBar';
import { add, spell } from '../sentence/sentence.logic';
import { useListKeys } from '../decisions/useListKeys';
import { ExportMenu } from '../sentence/ExportMenu';
import { titleOf } from '../sentence/exports.logic';
import { useKinds } from '../sentence/useKinds';
import { LensMenu } from '../sentence/LensMenu';
import { PageOneTable } from '../keyword/PageOneTable';
import { useDecisions } from '../decisions/useDecisions';
import { SelectionBar } from '../decisions/SelectionBar';
import { ofRanked, useSelection, type Selection } from '../decisions/useSelection';
import { useReasonLine } from '../decisions/useReasonLine';
import { useUrlState } from '../sentence/useUrlState';
import { Dossier } from '../dossier';
import { CurveOffer } from '../keyword/CurveOffer';
import { Missing, useStudy } from '../study';
import { vocabularyQuery } from '../study/queries';
import { explained, noColumns } from './abouts';
import { Balance } from './Balance';
import { opportunityColumns } from './columns';
import { GroupsView } from './GroupsView';
import { hiddenWords } from './hidden.logic';
import { MapView } from './MapView';
import { ModelView } from './ModelView';
import { OurPagesView } from './OurPagesView';
import { PagesView } from './PagesView';
import { ShortlistView } from './ShortlistView';
import { viewOf, views } from './views';
import { spellWeights, type Weights } from './weights.logic';
import { commonWording } from '../../shared/wording';
import { wording } from './wording';

const startSentence = 'mark=kept;roadmap=hide';
const none: Weights = {};

/** Views whose rows the server writes whole; the map shows those of the list. */
const longLists = ['pages', 'list', 'map'];

/** The others show the same whatever the sentence says. */
const hasSentence = (view: string) => view !== 'model' && view !== 'shortlist';

export function WeighPage() {
  const study = useStudy();
  if (study.comparison === null) {
    return <Empty title="Nothing to weigh yet">Opportunities need a comparison. Import rankings in Gather first.</Empty>;
  }
  return <RankedList study={study} comparison={study.comparison} />;
}

function RankedList({ study, comparison }: { study: Study; comparison: Comparison }) {
  const [params, change] = useUrlState();
  const show = params.get('show') ?? startSentence;
  const asked = params.get('weights') ?? '';
  const view = viewOf(params.get('view'));
  const keyword = params.get('keyword');
  const isOpen = params.get('dossier') === 'open';
  const sort = params.get('sort') ?? 'priority';
  const dir = params.get('dir') === 'asc' ? 'asc' : 'desc';
  const isByPage = view === 'pages';
  const { list, rows, first, total } = useLists(study, comparison, { show, asked, sort, dir, isByPage });
  // The list of pages acts on its own lines.
  const current = isByPage ? undefined : rows.find((row) => row.keyword === keyword);
  // Each list has orders of its own.
  const turnTo = (next: string) => change({ view: next === 'pages' ? null : next, sort: null, dir: null, keyword: null, dossier: null });
  const steadiness = useQuery(steadinessQuery(study.slug, comparison.id, show, asked, isByPage ? 'topic' : 'keyword')).data;
  const decisions = useDecisions(study.slug);
  const reason = useReasonLine(study, decisions);
  const selection = useSelection(show, rows, ofRanked);
  const hidden = useQuery(hiddenQuery(study.slug, comparison.id, show));
  useCarried(study.slug, params.get('show'));
  const weights = first?.weights ?? none;
  const domains = useMemo(() => comparison.domains.map((domain) => domain.entry), [comparison]);
  const kinds = useKinds(domains);
  const subject = isByPage ? 'Pages with keywords' : 'Opportunities';
  const of = isByPage ? comparison.summary.topics : comparison.summary.keywords;
  const setWeights = (next: Weights) => change({ weights: spellWeights(next) });
  useListKeys({
    current,
    onMark: (keywords, mark) => {
      decisions.mark(keywords, mark);
      reason.ask(mark, keywords.join(', '));
    },
    onUndo: decisions.undo,
    onClose: () => change({ dossier: null }, true),
    onChoose: selection.flip,
    more: {
      p: () => current !== undefined && decisions.decide({ keywords: [current.keyword] }, { pinned: !current.pinned }),
      g: () => turnTo(isByPage ? 'list' : 'pages'),
      d: () => setWeights({ ...weights, ease: (weights.ease ?? 0) > 0 ? 0 : 1 }),
    },
  });
  return (
    <>
      <Missing study={study} />
      <ViewBar views={views} view={view} onChange={turnTo}>
        {hasSentence(view) && (
          <>
            <LensMenu study={study} show={show} onChoose={(next) => change({ show: next })} />
            <NoiseMenu study={study} comparison={comparison} show={show} onClause={(clause) => change({ show: add(show, clause) })} />
            <DownloadButton
              href={address(`studies/${study.slug}/exports/weigh.csv`, { show, weights: asked, ...(isByPage ? { by: 'topic' } : {}) })}
            >
              Export CSV
            </DownloadButton>
          </>
        )}
        <ExportMenu
          study={study.slug}
          title={titleOf(subject, show, kinds, domains, total, of)}
          view={view}
          long={longLists.includes(view) ? { list: isByPage ? 'pages' : 'weigh', show, sort, dir, weights: asked, rows: total ?? 0 } : null}
        />
      </ViewBar>
      {hasSentence(view) && (
        <SentenceBar
          subject={subject}
          show={show}
          onChange={(next, isStep) => change({ show: next }, !isStep)}
          count={total}
          of={of}
          hidden={hiddenWords(hidden.data)}
          context={{ study: study.slug, list: isByPage ? 'pages' : 'weigh', comparison: comparison.id, domains }}
        />
      )}
      {decisions.error !== null && <Failed error={decisions.error} />}
      <Done words={decisions.told} />
      {reason.line}
      <Box sx={sideBySide}>
        {!isOpen && (view === 'list' || isByPage) && (
          <Balance study={study} weights={weights} presets={first?.presets ?? {}} onChange={setWeights} />
        )}
        <Box sx={{ flex: 1, minWidth: 0, display: 'flex', flexDirection: 'column' }}>
          {isByPage && (
            <PagesView
              study={study}
              comparison={comparison}
              show={show}
              asked={asked}
              weights={weights}
              steadiness={steadiness}
              sort={sort}
              dir={dir}
              decisions={decisions}
              isOpen={isOpen}
              onMarked={reason.ask}
              onSort={(by, direction) => change({ sort: by === 'priority' ? null : by, dir: direction })}
              onKeyword={(chosen) => change({ keyword: chosen, dossier: 'open' }, isOpen)}
            />
          )}
          {!isByPage && view !== 'list' && (
            <OtherView
              view={view}
              study={study}
              comparison={comparison}
              show={show}
              weights={asked}
              selected={keyword}
              isOpen={isOpen}
              decisions={decisions}
              onChange={change}
            />
          )}
          {list.isError && <Failed error={list.error} onRetry={() => void list.refetch()} />}
          {view === 'list' && (
            <KeywordsView
              study={study}
              list={list}
              rows={rows}
              weights={weights}
              steadiness={steadiness}
              selected={keyword}
              sort={sort}
              dir={dir}
              onChange={change}
              isOpen={isOpen}
              selection={selection}
              show={show}
              decisions={decisions}
            />
          )}
        </Box>
        {isOpen && keyword !== null && (
          <Dossier
            study={study}
            comparison={comparison}
            keyword={keyword}
            weights={asked}
            onClose={() => change({ dossier: null }, true)}
            decisions={decisions}
            onTopic={(topic) => change({ show: spell([{ name: 'topic', operator: '=', value: topic }]) })}
          />
        )}
      </Box>
    </>
  );
}

interface OtherProps {
  view: string;
  study: Study;
  comparison: Comparison;
  show: string;
  weights: string;
  selected: string | null;
  isOpen: boolean;
  decisions: ReturnType<typeof useDecisions>;
  onChange: ReturnType<typeof useUrlState>[1];
}

/** The views beside the two ranked lists. */
function OtherView({ view, study, comparison, show, weights, selected, isOpen, decisions, onChange }: OtherProps) {
  return (
    <>
      {view === 'map' && (
        <MapView
          study={study}
          comparison={comparison}
          show={show}
          weights={weights}
          selected={selected}
          onKeyword={(chosen) => onChange({ keyword: chosen, dossier: 'open' }, isOpen)}
          onTopic={(topic) => onChange({ show: spell([{ name: 'topic', operator: '=', value: topic }]), view: 'list' })}
          onShortlist={(names, by) =>
            by === 'topic' ? decisions.decide({ topics: names }, { mark: 'shortlisted' }) : decisions.mark(names, 'shortlisted')
          }
        />
      )}
      {view === 'groups' && (
        <GroupsView
          study={study}
          comparison={comparison}
          show={show}
          onOpen={(clause) => onChange({ show: add(show, clause), view: 'list' })}
          onTopic={(topic, into) => decisions.decide({ show: `topic=${topic}` }, { topic: into })}
          decisions={decisions}
        />
      )}
      {view === 'ours' && (
        <OurPagesView
          study={study}
          comparison={comparison}
          show={show}
          onPage={(url) => onChange({ show: spell([{ name: 'page', operator: '=', value: url }]), view: 'list' })}
        />
      )}
      {view === 'shortlist' && (
        <ShortlistView
          study={study}
          comparison={comparison}
          weights={weights}
          onKeyword={(chosen) => onChange({ keyword: chosen, dossier: 'open' }, isOpen)}
          decisions={decisions}
          onPageOne={(chosen) => onChange({ show: chosen, view: 'page-one' })}
        />
      )}
      {view === 'page-one' && (
        <PageOneTable
          study={study}
          comparison={comparison}
          show={show}
          onKeyword={(chosen) => onChange({ keyword: chosen, dossier: 'open' }, isOpen)}
        />
      )}
      {view === 'model' && <ModelView study={study} comparison={comparison} />}
    </>
  );
}

interface Asked {
  show: string;
  asked: string;
  sort: string;
  dir: string;
  isByPage: boolean;
}

/** The ranked list of keywords, or what is said of that of pages, which reads its lines itself. Each list has orders of its own. */
function useLists(study: Study, comparison: Comparison, { show, asked, sort, dir, isByPage }: Asked) {
  const list = useInfiniteQuery({ ...opportunitiesQuery(study.slug, comparison.id, show, asked, sort, dir), enabled: !isByPage });
  const topics = useInfiniteQuery({ ...topicsQuery(study.slug, comparison.id, show, asked, sort, dir), enabled: isByPage });
  const rows = useMemo(() => list.data?.pages.flatMap((page) => page.rows) ?? [], [list.data]);
  const first = isByPage ? topics.data?.pages[0] : list.data?.pages[0];
  return { list, rows, first, total: first?.total };
}

interface KeywordsProps {
  study: Study;
  list: UseInfiniteQueryResult<InfiniteData<OpportunityPage>>;
  rows: Opportunity[];
  weights: Weights;
  steadiness: Steadiness | Task | undefined;
  selected: string | null;
  sort: string;
  dir: string;
  isOpen: boolean;
  selection: Selection<Opportunity>;
  show: string;
  decisions: ReturnType<typeof useDecisions>;
  onChange: ReturnType<typeof useUrlState>[1];
}

/** The ranked list, keyword by keyword. */
function KeywordsView(props: KeywordsProps) {
  const { study, list, rows, weights, steadiness, selected, sort, dir, isOpen, selection, show, decisions, onChange } = props;
  const spoken = useQuery(vocabularyQuery()).data?.columns ?? noColumns;
  const columns = useMemo(() => explained(opportunityColumns(weights, steadiness), spoken), [weights, steadiness, spoken]);
  const { fetchNextPage, hasNextPage, isFetchingNextPage } = list;
  const more = useCallback(() => {
    if (hasNextPage && !isFetchingNextPage) {
      void fetchNextPage();
    }
  }, [fetchNextPage, hasNextPage, isFetchingNextPage]);
  return (
    <>
      <CurveOffer study={study} />
      {list.isPending && <Waiting what="Ranking the opportunities" />}
      {list.isSuccess && rows.length === 0 && (
        <Empty title={wording.noOpportunityMatchesThisSentence}>{commonWording.removeAClauseFromTheSentenceAboveOr}</Empty>
      )}
      <SelectionBar
        selection={selection}
        show={show}
        total={list.data?.pages[0]?.total ?? rows.length}
        sums={null}
        mayEdit={study.may_edit}
        decisions={decisions}
      />
      {rows.length > 0 && (
        <Bench
          label="Opportunities"
          columns={columns}
          rows={rows}
          total={list.data?.pages[0]?.total ?? rows.length}
          rowKey={(row) => row.keyword}
          selected={selected}
          onSelect={(row) => onChange({ keyword: row.keyword }, true)}
          onOpen={(row) => onChange({ keyword: row.keyword, dossier: 'open' }, isOpen)}
          onEnd={more}
          sort={{ by: sort, dir, onChange: (by, direction) => onChange({ sort: by === 'priority' ? null : by, dir: direction }) }}
          isMuted={(row) => row.mark === 'set aside'}
          isChosen={(row) => selection.has(row.keyword)}
          onChoose={(row) => selection.flip(row.keyword)}
        />
      )}
    </>
  );
}
