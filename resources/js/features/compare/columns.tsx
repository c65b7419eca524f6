import type { KeywordRow } from '../../api/types';
import type { Column } from '../../shared/Bench';
import { decimal, estimate, pathOf, percent, position, whole } from '../../shared/format';
import { LaneScale } from '../../shared/LaneScale';
import { MarkSign } from '../../shared/MarkSign';
import { RankLane } from '../../shared/RankLane';
import { StandingWord } from '../../shared/StandingWord';

const laneWidth = 264;
const months = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'];

/** Columns that stand in the list until a person chooses others. */
export const usualColumns = ['standing', 'lane', 'own', 'volume', 'difficulty', 'gain', 'chance'];

/** What stays longest where there is little room; what is not named goes before, the last one first. */
const dearest = ['lane', 'own', 'volume', 'gain'];

/** Every column the list of keywords can have, mark and keyword first. */
export function allColumns(domains: string[]): Column<KeywordRow>[] {
  return [
    { key: 'choose', heading: '', track: '28px', cell: (row, isChosen) => <ChooseBox row={row} isChosen={isChosen} /> },
    { key: 'mark', heading: '', track: '30px', cell: (row) => <MarkSign mark={row.mark} /> },
    {
      key: 'keyword',
      heading: 'Keyword',
      track: 'minmax(150px, 1fr)',
      sort: 'keyword',
      cell: (row) => <span title={row.reason === null ? row.keyword : `${row.keyword} — ${row.reason}`}>{row.keyword}</span>,
    },
    { key: 'standing', heading: 'Standing', track: '100px', cell: (row) => <StandingWord standing={row.standing} /> },
    {
      key: 'lane',
      heading: <LaneScale width={laneWidth} />,
      track: `${laneWidth + 16}px`,
      cell: (row) => <RankLane positions={row.positions} previous={row.previous} width={laneWidth} domains={domains} />,
    },
    { key: 'own', heading: 'We', track: '48px', isNumber: true, sort: 'own', cell: (row) => position(row.positions[0]) },
    { key: 'best', heading: 'Best', track: '52px', isNumber: true, sort: 'best', cell: (row) => position(best(row)) },
    {
      key: 'ranking',
      heading: 'Ranking',
      track: '66px',
      isNumber: true,
      sort: 'ranking',
      cell: (row) => `${row.competitors_ranking} of ${domains.length - 1}`,
    },
    {
      key: 'volume',
      heading: 'Volume',
      track: '74px',
      isNumber: true,
      sort: 'volume',
      cell: (row) => (
        <span title={row.volume_derived ? 'mean of twelve monthly volumes' : undefined}>
          {whole(row.volume)}
          {row.volume_derived ? '*' : ''}
        </span>
      ),
    },
    { key: 'difficulty', heading: 'Difficulty', track: '80px', isNumber: true, sort: 'difficulty', cell: (row) => decimal(row.difficulty) },
    { key: 'cpc', heading: 'CPC', track: '58px', isNumber: true, sort: 'cpc', cell: (row) => decimal(row.cpc, 2) },
    { key: 'competition', heading: 'Adv. comp.', track: '76px', isNumber: true, cell: (row) => decimal(row.advertiser_competition, 2) },
    { key: 'visits', heading: 'Visits now', track: '78px', isNumber: true, sort: 'visits', cell: (row) => estimate(row.visits_now) },
    { key: 'gain', heading: 'Gain', track: '62px', isNumber: true, sort: 'gain', cell: (row) => estimate(row.gain) },
    { key: 'chance', heading: 'Win chance', track: '90px', isNumber: true, sort: 'chance', cell: (row) => percent(row.win_chance) },
    { key: 'horizon', heading: 'Horizon', track: '84px', cell: (row) => row.horizon ?? '·' },
    { key: 'intent', heading: 'Intent', track: '72px', cell: (row) => row.intent ?? '·' },
    { key: 'topic', heading: 'Topic', track: '140px', cell: (row) => <span title={row.topic ?? ''}>{row.topic ?? '·'}</span> },
    {
      key: 'page',
      heading: 'Our page',
      track: '150px',
      cell: (row) => (
        <span title={row.own_url ?? ''}>
          {row.own_url === null ? '·' : pathOf(row.own_url)}
          {row.page_conflict ? ' (conflict)' : ''}
        </span>
      ),
    },
    {
      key: 'meant',
      heading: 'Meant for it',
      track: '90px',
      cell: (row) => (row.page_is_meant === null ? '·' : row.page_is_meant ? 'yes' : 'no'),
    },
    { key: 'movement', heading: 'Movement', track: '84px', cell: (row) => row.movement ?? '·' },
    {
      key: 'season',
      heading: 'Peak',
      track: '60px',
      cell: (row) => (row.season === null ? '·' : row.peak === null ? 'steady' : (months[row.peak - 1] ?? '·')),
    },
    { key: 'words', heading: 'Words', track: '58px', isNumber: true, sort: 'words', cell: (row) => row.words },
    { key: 'fit', heading: 'Fit', track: '44px', isNumber: true, cell: (row) => position(row.fit) },
    { key: 'tags', heading: 'Tags', track: '110px', cell: (row) => row.tags.join(', ') },
  ];
}

/** The columns that stand, the pinned ones first, in their chosen order, each with how early it goes where there is little room. */
export function shownColumns(all: Column<KeywordRow>[], chosen: string[], pinned: string[]): Column<KeywordRow>[] {
  const fixed = ['choose', 'mark', 'keyword'];
  const first = [...fixed, ...chosen.filter((key) => pinned.includes(key))];
  const wanted = [...first, ...chosen.filter((key) => !pinned.includes(key))];
  const ranked = [...fixed, ...dearest, ...wanted.filter((key) => !dearest.includes(key))];
  return wanted
    .flatMap((key) => all.filter((column) => column.key === key))
    .map((column) => ({
      ...column,
      isPinned: first.includes(column.key),
      ...(fixed.includes(column.key) ? {} : { rank: ranked.indexOf(column.key) }),
    }));
}

function best(row: KeywordRow): number | null {
  const others = row.positions.slice(1).filter((place) => place !== null);
  return others.length === 0 ? null : Math.min(...others);
}

/** The list itself hears the press, and keeps the keys: the box takes no focus, as its place goes to another row when the list scrolls. */
function ChooseBox({ row, isChosen }: { row: KeywordRow; isChosen: boolean }) {
  return (
    <input
      type="checkbox"
      data-choose
      tabIndex={-1}
      aria-label={`Choose ${row.keyword}`}
      checked={isChosen}
      readOnly
      onMouseDown={(event) => event.preventDefault()}
    />
  );
}
