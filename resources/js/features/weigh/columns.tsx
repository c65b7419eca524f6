import type { Opportunity, Steadiness, Task } from '../../api/schema';
import type { Column } from '../../shared/Bench';
import { decimal, estimate, percent, position, whole } from '../../shared/format';
import { chanceWords, shortChance } from '../keyword/chance';
import { ChooseBox } from '../decisions/ChooseBox';
import { markColumn } from '../decisions/markColumn';
import { tacticWords } from './pages.logic';
import { PriorityBar } from './PriorityBar';
import { SteadySign } from './SteadySign';
import type { Weights } from './weights.logic';
import { commonWording } from '../../shared/wording';

/** What stays longest where there is little room. */
const dearest = ['priority', 'expected', 'gain', 'chance', 'volume', 'move', 'difficulty', 'tactic', 'horizon', 'steady', 'share'];

/** Columns of the ranked list, each with how early it goes where there is little room. */
export function opportunityColumns(weights: Weights, steadiness: Steadiness | Task | undefined): Column<Opportunity>[] {
  const all: Column<Opportunity>[] = [
    {
      key: 'rank',
      heading: '',
      track: '44px',
      isNumber: true,
      cell: (row) => (row.pinned ? <strong title={commonWording.pinnedToTheTop}>pin</strong> : whole(row.rank)),
    },
    { key: 'choose', heading: '', track: '28px', cell: (row, isChosen) => <ChooseBox name={row.keyword} isChosen={isChosen} /> },
    markColumn(),
    {
      key: 'keyword',
      sort: 'keyword',
      startsAscending: true,
      heading: 'Keyword',
      track: 'minmax(140px, 1fr)',
      cell: (row) => <span title={row.keyword}>{row.keyword}</span>,
    },
    {
      key: 'priority',
      sort: 'priority',
      heading: 'Priority, 0–5',
      track: '132px',
      cell: (row) => <PriorityBar priority={row.priority} scores={row.scores} weights={weights} />,
    },
    { key: 'steady', heading: 'Steady', track: '58px', cell: (row) => <SteadySign steadiness={steadiness} keyword={row.keyword} /> },
    {
      key: 'move',
      sort: 'own',
      startsAscending: true,
      heading: 'We → target',
      track: '80px',
      isNumber: true,
      cell: (row) => `${position(row.positions[0])} → ${position(row.target)}`,
    },
    { key: 'volume', sort: 'volume', heading: 'Volume', track: '66px', isNumber: true, cell: (row) => whole(row.volume) },
    {
      key: 'difficulty',
      sort: 'difficulty',
      startsAscending: true,
      heading: 'Difficulty',
      track: '72px',
      isNumber: true,
      cell: (row) => decimal(row.difficulty),
    },
    { key: 'gain', sort: 'gain', heading: 'Gain', track: '60px', isNumber: true, cell: (row) => estimate(row.gain) },
    {
      key: 'chance',
      sort: 'chance',
      heading: 'Chance',
      track: '92px',
      isNumber: true,
      cell: (row) => <span title={chanceWords(row.win_chance, row.target)}>{shortChance(row.win_chance, row.target)}</span>,
    },
    {
      key: 'expected',
      sort: 'expected',
      heading: 'Expected',
      track: '74px',
      isNumber: true,
      cell: (row) => <span title="Expected visits a month, over all positions it may reach">{estimate(row.expected_gain)}</span>,
    },
    {
      key: 'share',
      sort: 'visits',
      heading: 'Our share',
      track: '72px',
      isNumber: true,
      cell: (row) => <span title="Share of all our visits that it brings now">{percent(row.visits_share)}</span>,
    },
    { key: 'horizon', sort: 'horizon', startsAscending: true, heading: 'Horizon', track: '84px', cell: (row) => row.horizon ?? '·' },
    { key: 'tactic', sort: 'tactic', startsAscending: true, heading: 'Tactic', track: '148px', cell: tacticWords },
  ];
  return all.map((column) => (dearest.includes(column.key) ? { ...column, rank: dearest.indexOf(column.key) } : column));
}
