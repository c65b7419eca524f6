import type { ReactNode } from 'react';
import type { Row, Vocabulary } from '../../api/schema';
import type { Column } from '../../shared/Bench';
import type { About } from '../../shared/Heading';
import { decimal, estimate, pathOf, percent, position, unknown, whole } from '../../shared/format';
import { shortChance } from '../keyword/chance';
import { ChooseBox } from '../decisions/ChooseBox';
import { markColumn } from '../decisions/markColumn';
import { domainLetter } from '../keyword/DomainShape';
import { LaneScale } from '../keyword/LaneScale';
import { RankLane } from '../keyword/RankLane';
import { StandingWord } from '../keyword/StandingWord';
import { TroubleSign } from '../keyword/TroubleSign';
import { commonWording } from '../../shared/wording';

/** A column as the catalogue of the server has it. */
export type SpokenColumn = Vocabulary['columns'][number];

const laneWidth = 264;
const decided = 'decisions in this study';
const months = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'];

/** Columns that stand in the list until a person chooses others. */
export const usualColumns = ['standing', 'lane', 'own', 'volume', 'difficulty', 'gain', 'chance'];

/** What stays longest where there is little room; what is not named goes before, the last one first. */
const dearest = ['lane', 'own', 'volume', 'gain'];

/** Columns that always stand, first of all. */
const fixed = ['choose', 'mark', 'keyword'];

interface Drawn {
  /** Under which name people have it in their choice of columns, where that is not what orders call it. */
  key?: string;
  track?: string;
  isAscending?: boolean;
  cell?: (row: Row, domains: string[]) => ReactNode;
}

/** How a column of the catalogue is drawn where its type does not say enough. */
const drawn: Record<string, Drawn> = {
  keyword: {
    track: 'minmax(150px, 1fr)',
    isAscending: true,
    cell: (row) => <span title={row.reason === null ? row.keyword : `${row.keyword} — ${row.reason}`}>{row.keyword}</span>,
  },
  standing: { track: '100px', cell: (row) => <StandingWord standing={row.standing} /> },
  own_position: { track: '48px', isAscending: true, cell: (row) => position(row.positions[0]) },
  own_url: { key: 'page', track: '150px', cell: ownPage },
  page_is_meant: {
    key: 'meant',
    track: '90px',
    cell: (row) => (row.page_is_meant === null ? unknown : row.page_is_meant ? 'yes' : 'no'),
  },
  best_position: { track: '52px', isAscending: true, cell: (row) => position(best(row)) },
  competitors_ranking: { cell: (row, domains) => `${row.competitors_ranking} of ${domains.length - 1}` },
  volume: { track: '74px', cell: volume },
  difficulty: { track: '80px', isAscending: true },
  cpc: { cell: (row) => decimal(row.cpc, 2) },
  advertiser_competition: { key: 'competition', track: '76px', cell: (row) => decimal(row.advertiser_competition, 2) },
  season: { key: 'season', cell: (row) => row.season ?? unknown },
  peak: { cell: (row) => (row.peak === null ? unknown : (months[row.peak - 1] ?? unknown)) },
  topic: { track: '140px', cell: (row) => <span title={row.topic ?? ''}>{row.topic ?? unknown}</span> },
  visits_now: { track: '78px' },
  win_chance: { key: 'chance', track: '96px', cell: (row) => shortChance(row.win_chance, row.target) },
};

/** Every column the list of keywords can have, mark and keyword first: those of the catalogue, and what people or pictures add to them. */
export function allColumns(domains: string[], spoken: SpokenColumn[]): Column<Row>[] {
  return [
    { key: 'choose', heading: '', track: '28px', cell: (row, isChosen) => <ChooseBox name={row.keyword} isChosen={isChosen} /> },
    markColumn(),
    {
      key: 'lane',
      sort: 'best',
      startsAscending: true,
      heading: <LaneScale width={laneWidth} />,
      name: 'Rank lane',
      about: about('Our position and the competitors’. Sorted by the best competitor.', 'position', 'rankings of the compared days'),
      track: `${laneWidth + 16}px`,
      cell: (row) => <RankLane positions={row.positions} previous={row.previous} width={laneWidth} domains={domains} />,
    },
    ...spoken.map((column) => catalogueColumn(column, domains)),
    ...domains.slice(1).map(positionColumn),
    {
      key: 'share',
      sort: 'share',
      heading: 'Our share',
      track: '74px',
      isNumber: true,
      about: about(commonWording.itsShareOfAllOurVisits, 'share', 'calculated with the CTR curve'),
      cell: (row) => percent(row.visits_share),
    },
    {
      key: 'fit',
      sort: 'fit',
      heading: 'Fit',
      track: '44px',
      isNumber: true,
      about: about('Fit with our business, 0 to 5.', '0–5', decided),
      cell: (row) => position(row.fit),
    },
    {
      key: 'tags',
      sort: 'tags',
      startsAscending: true,
      heading: 'Tags',
      track: '110px',
      about: about('Tags added by people.', '', decided),
      cell: (row) => row.tags.join(', '),
    },
    {
      key: 'reason',
      sort: 'reason',
      startsAscending: true,
      heading: 'Reason',
      track: '150px',
      about: about('Why it was shortlisted or set aside.', '', decided),
      cell: (row) => <span title={row.reason ?? ''}>{row.reason ?? ''}</span>,
    },
    {
      key: 'note',
      sort: 'note',
      startsAscending: true,
      heading: 'Note',
      track: '150px',
      about: about('Notes on the keyword.', '', decided),
      cell: (row) => <span title={row.note ?? ''}>{row.note ?? ''}</span>,
    },
  ];
}

function about(meaning: string, unit: string, source: string): About {
  return { meaning, unit, source };
}

/** The position of one competitor as a number, beside its lane. */
function positionColumn(domain: string, place: number): Column<Row> {
  return {
    key: `p${place + 1}`,
    sort: `p${place + 1}`,
    startsAscending: true,
    heading: `${domainLetter(place + 1)} ${domain.split('.')[0] ?? domain}`,
    name: `Position of ${domain}`,
    track: '112px',
    isNumber: true,
    about: about(`Best position of ${domain}.`, 'position', 'rankings of the compared days'),
    cell: (row) => position(row.positions[place + 1]),
  };
}

function catalogueColumn(column: SpokenColumn, domains: string[]): Column<Row> {
  const { key = column.order ?? column.name, track, isAscending, cell } = drawn[column.name] ?? {};
  const isNumber = (column.type === 'whole' || column.type === 'measure') && column.name !== 'peak';
  return {
    key,
    heading: column.heading,
    track: track ?? `${Math.max(44, 22 + 7 * column.heading.length)}px`,
    isNumber,
    cell: cell === undefined ? (row) => told(column, row) : (row) => cell(row, domains),
    about: about(column.meaning, column.unit, column.source),
    ...(column.order === null ? {} : { sort: column.order }),
    ...((isAscending ?? column.type === 'text') ? { startsAscending: true } : {}),
  };
}

/** A figure as its type and unit say. */
function told({ name, type, unit }: SpokenColumn, row: Row): string {
  const value = (row as Partial<Record<string, unknown>>)[name];
  if (typeof value === 'boolean') {
    return value ? 'yes' : 'no';
  }
  if (typeof value !== 'number') {
    return typeof value === 'string' ? value : unknown;
  }
  if (type === 'whole') {
    return whole(value);
  }
  return unit === 'share' ? percent(value) : unit.startsWith('visits') ? estimate(value) : decimal(value);
}

/** What a person can choose from, with its name. */
export function choices(all: Column<Row>[]): { key: string; name: string }[] {
  return all
    .filter(({ key }) => !fixed.includes(key))
    .map(({ key, heading, name }) => ({ key, name: name ?? (typeof heading === 'string' ? heading : key) }));
}

/** The columns that stand, the pinned ones first, in their chosen order, each with how early it goes where there is little room. */
export function shownColumns(all: Column<Row>[], chosen: string[], pinned: string[]): Column<Row>[] {
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

function best(row: Row): number | null {
  const others = row.positions.slice(1).filter((place) => place !== null);
  return others.length === 0 ? null : Math.min(...others);
}

function ownPage(row: Row): ReactNode {
  return (
    <span title={row.own_url ?? ''}>
      {row.own_url === null ? unknown : pathOf(row.own_url)}
      {row.page_conflict ? ' (conflict)' : ''}
      <TroubleSign url={row.own_url} />
    </span>
  );
}

function volume(row: Row): ReactNode {
  return (
    <span title={row.volume_derived ? 'mean of twelve monthly volumes' : undefined}>
      {whole(row.volume)}
      {row.volume_derived ? '*' : ''}
    </span>
  );
}
