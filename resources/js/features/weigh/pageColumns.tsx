import type { Scores, Steadiness, Task } from '../../api/schema';
import type { Column } from '../../shared/Bench';
import { decimal, estimate, position, whole } from '../../shared/format';
import { ChooseBox } from '../decisions/ChooseBox';
import { MarkSign } from '../decisions/MarkSign';
import { chanceWords, shortChance } from '../keyword/chance';
import { TroubleSign } from '../keyword/TroubleSign';
import { countWords, ownPageWords, shortCount, tacticWords, type PageLine } from './pages.logic';
import { PriorityBar } from './PriorityBar';
import { SteadySign } from './SteadySign';
import type { Weights } from './weights.logic';
import { marks } from '../../theme/measures';

/** What stays longest where there is little room. */
const dearest = [
  'priority',
  'worth',
  'expected',
  'keywords',
  'page',
  'tactic',
  'chance',
  'days',
  'gain',
  'volume',
  'move',
  'horizon',
  'steady',
];

interface Figures {
  priority: number | null;
  scores: Scores;
  own: number | null;
  target: number | null;
  volume: number | null;
  difficulty: number | null;
  gain: number | null;
  chance: number | null;
  expected: number | null;
  horizon: string | null;
  tactic: string | null;
  roadmap: string | null;
}

/** What a page and a keyword both have. */
function figuresOf(line: PageLine): Figures {
  const it = line.kind === 'page' ? line.page : line.keyword;
  return {
    priority: it.priority,
    scores: it.scores,
    own: (line.kind === 'page' ? line.page.own_position : line.keyword.positions[0]) ?? null,
    target: it.target,
    volume: it.volume,
    difficulty: it.difficulty,
    gain: it.gain,
    chance: it.win_chance,
    expected: it.expected_gain,
    horizon: it.horizon,
    tactic: it.tactic,
    roadmap: it.roadmap,
  };
}

function Name({ line, opened }: { line: PageLine; opened: string | null }) {
  if (line.kind === 'keyword') {
    return (
      <span title={line.keyword.keyword} style={{ paddingLeft: 24 }}>
        {line.keyword.keyword}
      </span>
    );
  }
  const isOpen = line.page.topic === opened;
  const lead = line.page.lead === line.page.topic ? '' : `, led by ${line.page.lead}`;
  return (
    <strong title={`${line.page.topic}${lead}`}>
      <span role="img" aria-label={isOpen ? 'open' : 'closed'} style={{ display: 'inline-block', width: marks.sign }}>
        {isOpen ? '–' : '+'}
      </span>
      {line.page.topic}
    </strong>
  );
}

/** Columns of the list of pages, each with how early it goes where there is little room. */
export function pageColumns(weights: Weights, opened: string | null, steadiness: Steadiness | Task | undefined): Column<PageLine>[] {
  const ofPage = (cell: (page: Extract<PageLine, { kind: 'page' }>['page']) => React.ReactNode) => (line: PageLine) =>
    line.kind === 'page' ? cell(line.page) : '';
  const figure = (cell: (figures: Figures) => React.ReactNode) => (line: PageLine) => cell(figuresOf(line));
  const all: Column<PageLine>[] = [
    {
      key: 'choose',
      heading: '',
      track: '28px',
      cell: (line, isChosen) => line.kind === 'page' && <ChooseBox name={line.page.topic} isChosen={isChosen} />,
    },
    {
      key: 'rank',
      heading: '',
      track: '44px',
      isNumber: true,
      cell: (line) =>
        line.kind === 'page' ? (
          line.page.pinned ? (
            <strong title="One of its keywords is pinned to the top">pin</strong>
          ) : (
            whole(line.page.rank)
          )
        ) : (
          <MarkSign mark={line.keyword.mark} />
        ),
    },
    {
      key: 'topic',
      sort: 'topic',
      startsAscending: true,
      heading: 'Page for',
      track: 'minmax(196px, 2fr)',
      cell: (line) => <Name line={line} opened={opened} />,
    },
    {
      key: 'steady',
      heading: 'Steady',
      track: '58px',
      cell: ofPage((page) => <SteadySign steadiness={steadiness} keyword={page.topic} />),
    },
    {
      key: 'keywords',
      sort: 'keywords',
      heading: 'Keywords',
      track: '98px',
      isNumber: true,
      cell: ofPage((page) => (
        <span title={countWords(page)}>
          {page.shortlisted > 0 && <MarkSign mark="shortlisted" />} {shortCount(page)}
        </span>
      )),
    },
    {
      key: 'page',
      sort: 'page',
      startsAscending: true,
      heading: 'Our page',
      track: 'minmax(92px, 1fr)',
      cell: ofPage((page) => (
        <span title={ownPageWords(page).long}>
          {ownPageWords(page).short}
          <TroubleSign url={page.own_url} />
        </span>
      )),
    },
    {
      key: 'priority',
      sort: 'priority',
      heading: 'Priority, 0–5',
      track: '124px',
      cell: figure((it) => <PriorityBar priority={it.priority} scores={it.scores} weights={weights} />),
    },
    { key: 'expected', sort: 'expected', heading: 'Expected', track: '74px', isNumber: true, cell: figure((it) => estimate(it.expected)) },
    {
      key: 'worth',
      sort: 'worth',
      heading: 'Worth',
      track: '60px',
      isNumber: true,
      cell: ofPage((page) => <span title="Expected visits a month per day of work">{estimate(page.worth)}</span>),
    },
    { key: 'days', sort: 'days', heading: 'Days', track: '60px', isNumber: true, cell: ofPage((page) => decimal(page.effort_days, 2)) },
    { key: 'gain', sort: 'gain', heading: 'Gain', track: '60px', isNumber: true, cell: figure((it) => estimate(it.gain)) },
    {
      key: 'chance',
      sort: 'chance',
      heading: 'Chance',
      track: '88px',
      isNumber: true,
      cell: figure((it) => <span title={chanceWords(it.chance, it.target)}>{shortChance(it.chance, it.target)}</span>),
    },
    { key: 'volume', sort: 'volume', heading: 'Volume', track: '66px', isNumber: true, cell: figure((it) => whole(it.volume)) },
    {
      key: 'move',
      sort: 'own',
      startsAscending: true,
      heading: 'We → target',
      track: '80px',
      isNumber: true,
      cell: figure((it) => `${position(it.own)} → ${position(it.target)}`),
    },
    {
      key: 'difficulty',
      sort: 'difficulty',
      startsAscending: true,
      heading: 'Difficulty',
      track: '72px',
      isNumber: true,
      cell: figure((it) => decimal(it.difficulty)),
    },
    { key: 'horizon', sort: 'horizon', startsAscending: true, heading: 'Horizon', track: '84px', cell: figure((it) => it.horizon ?? '·') },
    { key: 'tactic', sort: 'tactic', startsAscending: true, heading: 'Tactic', track: '154px', cell: figure(tacticWords) },
    { key: 'links', sort: 'links', heading: 'Links', track: '50px', isNumber: true, cell: ofPage((page) => whole(page.links_to_earn)) },
  ];
  const rank = (key: string) => (dearest.includes(key) ? dearest.indexOf(key) : dearest.length);
  return all.map((column) => (['choose', 'rank', 'topic'].includes(column.key) ? column : { ...column, rank: rank(column.key) }));
}
