import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { useNavigate } from 'react-router';
import { address } from '../../api/client';
import { summaryQuery } from '../keyword/queries';
import type { Comparison, Study } from '../../api/schema';
import { whole } from '../../shared/format';
import { sideBySide } from '../../shared/layout';
import { ExportMenu } from '../sentence/ExportMenu';
import { titleOf } from '../sentence/exports.logic';
import { useKinds } from '../sentence/useKinds';
import { LensMenu } from '../sentence/LensMenu';
import { DownloadButton, ViewBar } from '../../shared/ViewBar';
import { Done, Empty, Failed } from '../../shared/Notice';
import { PageOneTable } from '../keyword/PageOneTable';
import { NoiseMenu } from '../sentence/NoiseMenu';
import { SentenceBar } from '../sentence/SentenceBar';
import { add, find, parseSentence, put, spell, toggle } from '../sentence/sentence.logic';
import { useDecisions } from '../decisions/useDecisions';
import { useCarried } from '../sentence/carried';
import { useUrlState } from '../sentence/useUrlState';
import { Dossier } from '../dossier';
import { useStudy } from '../study';
import { AdvertisingView } from './AdvertisingView';
import { KeywordList } from './KeywordList';
import { MovementView } from './MovementView';
import { OverlapTable } from './OverlapTable';
import { PagesView } from './PagesView';
import { StandingBar } from './StandingBar';
import { views } from './views';

const startSentence = 'brands=hide;mark=kept';

function hiddenBrands(count: number): string {
  return count === 0 ? '' : `${whole(count)} hidden as competitors’ brands`;
}

export function ComparePage() {
  const study = useStudy();
  const navigate = useNavigate();
  if (study.comparison === null) {
    return (
      <Empty title="Nothing to compare yet">
        Import your own rankings and those of at least one competitor. The comparison then starts by itself.
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
  const view = params.get('view') ?? 'keywords';
  const keyword = params.get('keyword');
  const isOpen = params.get('dossier') === 'open' && keyword !== null;
  const summary = useQuery(summaryQuery(study.slug, comparison.id, show));
  const decisions = useDecisions(study.slug);
  const domains = useMemo(() => comparison.domains.map((domain) => domain.entry), [comparison]);
  const kinds = useKinds(domains);
  useCarried(study.slug, params.get('show'));
  const setShow = (next: string, isStep = true) => change({ show: next }, !isStep);
  const clauses = parseSentence(show);
  const open = (chosen: string) => change({ keyword: chosen, dossier: 'open' }, isOpen);
  const narrow = (clause: string) => change({ show: add(show, clause), view: null });
  return (
    <>
      <ViewBar views={views} view={view} onChange={(next) => change({ view: next === 'keywords' ? null : next })}>
        <LensMenu study={study} show={show} onChoose={setShow} />
        <NoiseMenu study={study} comparison={comparison} show={show} onClause={narrow} />
        <DownloadButton href={address(`studies/${study.slug}/exports/compare.csv`, { show })}>Export CSV</DownloadButton>
        <ExportMenu
          study={study.slug}
          title={titleOf('Keywords', show, kinds, domains, summary.data?.keywords, summary.data?.of)}
          view={view}
          long={
            view === 'keywords'
              ? {
                  list: 'compare',
                  show,
                  sort: params.get('sort') ?? 'volume',
                  dir: params.get('dir') ?? 'desc',
                  rows: summary.data?.keywords ?? 0,
                }
              : null
          }
        />
      </ViewBar>
      <SentenceBar
        subject="Keywords"
        show={show}
        onChange={setShow}
        count={summary.data?.keywords}
        of={summary.data?.of}
        hidden={hiddenBrands(summary.data?.hidden_brands ?? 0)}
        context={{ study: study.slug, list: 'compare', comparison: comparison.id, domains }}
      />
      {decisions.error !== null && <Failed error={decisions.error} />}
      <Done words={decisions.told} />
      {summary.isError && <Failed error={summary.error} />}
      <Box sx={sideBySide}>
        {!isOpen && view !== 'page-one' && view !== 'advertising' && (
          <OverlapTable
            combinations={summary.data?.overlap ?? []}
            domains={domains}
            similarity={comparison.summary.similarity}
            chosen={find(clauses, 'combination')?.value ?? null}
            onChoose={(mask) => setShow(spell(put(clauses, 'combination', '=', mask)))}
          />
        )}
        <Box sx={{ flex: 1, minWidth: 0, display: 'flex', flexDirection: 'column' }}>
          {view !== 'movement' && (
            <StandingBar
              standings={summary.data?.standings ?? {}}
              chosen={clauses}
              onToggle={(standing) => setShow(spell(toggle(clauses, 'standing', standing)))}
            />
          )}
          {view === 'keywords' && (
            <KeywordList
              study={study}
              comparison={comparison}
              show={show}
              summary={summary.data}
              domains={domains}
              decisions={decisions}
              isOpen={isOpen}
            />
          )}
          {view === 'pages' && (
            <PagesView
              study={study}
              comparison={comparison}
              show={show}
              domain={params.get('domain') ?? ''}
              onDomain={(domain) => change({ domain: domain === '' ? null : domain })}
              onPage={(url) => change({ show: spell(put(clauses, 'page', '=', url)), view: null })}
              onKeyword={open}
            />
          )}
          {view === 'movement' && <MovementView study={study} comparison={comparison} onKeyword={open} onGaps={narrow} />}
          {view === 'advertising' && (
            <AdvertisingView
              study={study}
              comparison={comparison}
              show={show}
              onKeyword={open}
              onClause={(clause) => change({ show: add(show, clause) })}
            />
          )}
          {view === 'page-one' && <PageOneTable study={study} comparison={comparison} show={show} onKeyword={open} />}
        </Box>
        {isOpen && (
          <Dossier
            study={study}
            comparison={comparison}
            keyword={keyword}
            onClose={() => change({ dossier: null }, true)}
            decisions={decisions}
            onTopic={(topic) => setShow(spell([{ name: 'topic', operator: '=', value: topic }]))}
          />
        )}
      </Box>
    </>
  );
}
