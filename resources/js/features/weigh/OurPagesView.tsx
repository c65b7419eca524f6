import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useQuery } from '@tanstack/react-query';
import { useCallback, useMemo, useState } from 'react';
import type { Comparison, OurPage, Study } from '../../api/schema';
import { Bench, type Column } from '../../shared/Bench';
import { estimate, pathOf, percent, whole } from '../../shared/format';
import { Empty, Failed, Waiting } from '../../shared/Notice';
import { useShownTable } from '../../shared/shownTable';
import { useHotkeys } from '../../shared/useHotkeys';
import { usePutOnRoadmap } from '../decisions/usePutOnRoadmap';
import { ofOurPages } from './abouts';
import { roadmapWords } from './pages.logic';
import { changeWords, fadingWords, ordered, tableOf } from './ourPages.logic';
import { ourPagesQuery } from './queries';
import { TroubleSign } from '../keyword/TroubleSign';

interface Props {
  study: Study;
  comparison: Comparison;
  show: string;
  onPage: (url: string) => void;
}

const none: OurPage[] = [];

/** Our pages: what they bring and how that moved, what could be gained on them, and straight onto the roadmap with them. */
export function OurPagesView({ study, comparison, show, onPage }: Props) {
  const ours = useQuery(ourPagesQuery(study.slug, comparison.id, show));
  const put = usePutOnRoadmap(study.slug);
  const [selected, setSelected] = useState<string | null>(null);
  const [sort, setSort] = useState({ by: 'visits', dir: 'desc' });
  const pages = ours.data?.pages ?? none;
  const rows = useMemo(() => ordered(pages, sort.by, sort.dir), [pages, sort]);
  const current = rows.find((page) => page.url === selected);
  const plan = (page: OurPage | undefined) => {
    if (page?.topics[0] !== undefined) {
      put.mutate({ topics: [page.topics[0]] });
    }
  };
  useShownTable(useCallback(() => tableOf(rows, columns), [rows]));
  useHotkeys({ t: () => plan(current) });
  if (ours.isPending) {
    return <Waiting what="Loading our pages" />;
  }
  if (ours.isError) {
    return <Failed error={ours.error} onRetry={() => void ours.refetch()} />;
  }
  if (pages.length === 0) {
    return <Empty title="None of our pages rank">Our rankings have no URLs for the keywords shown.</Empty>;
  }
  const { six_months_ago: six, a_year_ago: year } = ours.data;
  const fading = fadingWords(pages);
  return (
    <>
      <Box
        sx={{ display: 'flex', alignItems: 'center', gap: 1, px: 2, py: 0.5, typography: 'dense', borderBottom: 1, borderColor: 'divider' }}
      >
        <Box sx={{ flex: 1 }}>
          {fading !== null && <strong>{fading} </strong>}
          {six === null
            ? 'No rankings are known from about half a year ago.'
            : `Compared with ${six}${year === null ? '' : ` and ${year}`}, at current volumes.`}
          {put.isSuccess && ` ${roadmapWords(put.data.added)}`}
        </Box>
        {study.may_edit && (
          <Button disabled={current === undefined || current.topics.length === 0} loading={put.isPending} onClick={() => plan(current)}>
            Add to roadmap (t)
          </Button>
        )}
      </Box>
      {put.isError && <Failed error={put.error} />}
      <Bench
        label="Our pages"
        columns={columns.map((column) => ({ ...column, about: ofOurPages[column.key] }))}
        rows={rows}
        total={rows.length}
        rowKey={(page) => page.url}
        selected={selected}
        onSelect={(page) => setSelected(page.url)}
        onOpen={(page) => onPage(page.url)}
        onEnd={() => undefined}
        sort={{ ...sort, onChange: (by, dir) => setSort({ by, dir }) }}
      />
    </>
  );
}

const number = (key: string, heading: string, track: string, cell: (page: OurPage) => React.ReactNode): Column<OurPage> => ({
  key,
  sort: key,
  heading,
  track,
  isNumber: true,
  cell,
});

const columns: Column<OurPage>[] = [
  {
    key: 'page',
    sort: 'page',
    startsAscending: true,
    heading: 'Our page',
    track: 'minmax(180px, 1.2fr)',
    cell: (page) => (
      <span title={`${page.url}; most visits from ${page.traffic_leader}`}>
        {pathOf(page.url)}
        <TroubleSign url={page.url} />
        {page.is_planned && ' · planned'}
      </span>
    ),
  },
  number('visits', 'Visits now', '84px', (page) => <span title={`${percent(page.share)} of all our visits`}>{estimate(page.visits)}</span>),
  number('six', '6 months', '80px', (page) => <Change page={page} change={page.change_6} before={page.visits_6} />),
  number('year', '12 months', '84px', (page) => <Change page={page} change={page.change_12} before={page.visits_12} />),
  number('keywords', 'Keywords', '76px', (page) => whole(page.keywords)),
  number('striking', 'Striking', '70px', (page) => <span title="Keywords in striking distance">{whole(page.striking)}</span>),
  number('gain', 'Gain', '66px', (page) => estimate(page.gain)),
  number('expected', 'Expected', '76px', (page) => estimate(page.expected_gain)),
  {
    key: 'topics',
    sort: 'topics',
    startsAscending: true,
    heading: 'Topics',
    track: 'minmax(110px, 1fr)',
    rank: 1,
    cell: (page) => <span title={page.topics.join(', ')}>{page.topics.join(', ') || '·'}</span>,
  },
  number('conflicts', 'Conflicts', '76px', (page) => (page.conflicts === 0 ? '·' : whole(page.conflicts))),
  number('titles', 'Titles', '60px', (page) => (
    <span title="Titles to test">{page.title_tests === 0 ? '·' : whole(page.title_tests)}</span>
  )),
];

function Change({ page, change, before }: { page: OurPage; change: number | null; before: number | null }) {
  const isLoss = page.is_fading && (change ?? 0) < 0;
  return (
    <Box
      component="span"
      title={before === null ? 'Not known' : `${estimate(before)} visits then${isLoss ? '; fading' : ''}`}
      sx={isLoss ? { color: 'warning.main', fontWeight: 700 } : {}}
    >
      {isLoss && '↓ '}
      {changeWords(change)}
    </Box>
  );
}
