import type { KeywordRow } from '../../api/types';
import type { Column } from '../../shared/Bench';
import { decimal, estimate, percent, position, whole } from '../../shared/format';
import { LaneScale } from '../../shared/LaneScale';
import { MarkSign } from '../../shared/MarkSign';
import { RankLane } from '../../shared/RankLane';
import { StandingWord } from '../../shared/StandingWord';

const laneWidth = 264;

/** Columns of the bench over keywords; with the dossier open only those that fit beside it. */
export function keywordColumns(domains: string[], isNarrow: boolean): Column<KeywordRow>[] {
  const all: Column<KeywordRow>[] = [
    { key: 'mark', heading: '', track: '26px', cell: (row) => <MarkSign mark={row.mark} /> },
    { key: 'keyword', heading: 'Keyword', track: 'minmax(150px, 1fr)', sort: 'keyword', cell: (row) => <span title={row.keyword}>{row.keyword}</span> },
    { key: 'standing', heading: 'Standing', track: '86px', cell: (row) => <StandingWord standing={row.standing} /> },
    {
      key: 'lane',
      heading: <LaneScale width={laneWidth} />,
      track: `${laneWidth + 16}px`,
      cell: (row) => <RankLane positions={row.positions} previous={row.previous} width={laneWidth} domains={domains} />,
    },
    { key: 'own', heading: 'We', track: '48px', isNumber: true, sort: 'own', cell: (row) => position(row.positions[0]) },
    { key: 'volume', heading: 'Volume', track: '74px', isNumber: true, sort: 'volume', cell: (row) => <span title={row.volume_derived ? 'mean of twelve monthly volumes' : undefined}>{whole(row.volume)}{row.volume_derived ? '*' : ''}</span> },
    { key: 'difficulty', heading: 'Difficulty', track: '80px', isNumber: true, sort: 'difficulty', cell: (row) => decimal(row.difficulty) },
    { key: 'gain', heading: 'Gain', track: '62px', isNumber: true, sort: 'gain', cell: (row) => estimate(row.gain) },
    { key: 'chance', heading: 'Win chance', track: '90px', isNumber: true, sort: 'chance', cell: (row) => percent(row.win_chance) },
  ];
  return isNarrow ? all.filter((column) => !['standing', 'chance', 'difficulty'].includes(column.key)) : all;
}
