import type { Opportunity, Steadiness } from '../../api/schema';
import type { Column } from '../../shared/Bench';
import { decimal, estimate, percent, position, whole } from '../../shared/format';
import { MarkSign } from '../decisions/MarkSign';
import { PriorityBar } from './PriorityBar';
import { SteadySign } from './SteadySign';
import type { Weights } from './weights.logic';

/** What stays longest where there is little room. */
const dearest = ['priority', 'gain', 'volume', 'move', 'difficulty', 'chance', 'tactic', 'horizon', 'steady'];

/** Columns of the ranked list, each with how early it goes where there is little room. */
export function opportunityColumns(weights: Weights, steadiness: Steadiness | undefined): Column<Opportunity>[] {
  const all: Column<Opportunity>[] = [
    {
      key: 'rank',
      heading: '',
      track: '44px',
      isNumber: true,
      cell: (row) => (row.pinned ? <strong title="Pinned above the order">pin</strong> : whole(row.rank)),
    },
    { key: 'mark', heading: '', track: '36px', cell: (row) => <MarkSign mark={row.mark} /> },
    { key: 'keyword', heading: 'Keyword', track: 'minmax(146px, 1fr)', cell: (row) => <span title={row.keyword}>{row.keyword}</span> },
    {
      key: 'priority',
      heading: 'Priority, 0–5',
      track: '150px',
      cell: (row) => <PriorityBar priority={row.priority} scores={row.scores} weights={weights} />,
    },
    { key: 'steady', heading: 'Steady', track: '58px', cell: (row) => <SteadySign steadiness={steadiness} keyword={row.keyword} /> },
    {
      key: 'move',
      heading: 'We → target',
      track: '84px',
      isNumber: true,
      cell: (row) => `${position(row.positions[0])} → ${position(row.target)}`,
    },
    { key: 'volume', heading: 'Volume', track: '66px', isNumber: true, cell: (row) => whole(row.volume) },
    { key: 'difficulty', heading: 'Difficulty', track: '72px', isNumber: true, cell: (row) => decimal(row.difficulty) },
    { key: 'gain', heading: 'Gain', track: '60px', isNumber: true, cell: (row) => estimate(row.gain) },
    { key: 'chance', heading: 'Chance', track: '58px', isNumber: true, cell: (row) => percent(row.win_chance) },
    { key: 'horizon', heading: 'Horizon', track: '84px', cell: (row) => row.horizon ?? '·' },
    { key: 'tactic', heading: 'Tactic', track: '144px', cell: (row) => row.tactic ?? '·' },
  ];
  return all.map((column) => (dearest.includes(column.key) ? { ...column, rank: dearest.indexOf(column.key) } : column));
}
