import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useInfiniteQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { address } from '../../api/client';
import { opportunitiesQuery } from './queries';
import type { Comparison, Study } from '../../api/schema';
import { decimal, estimate, position, whole } from '../../shared/format';
import { chanceWords, shortChance } from '../keyword/chance';
import { KeywordButton } from '../keyword/KeywordButton';
import { Empty, Failed, Waiting } from '../../shared/Notice';
import type { Headings } from '../../shared/HeadingRow';
import { PlainTable } from '../../shared/PlainTable';
import { useSorting } from '../../shared/useSorting';
import { ChooseLine } from '../decisions/ChooseLine';
import { SelectionBar } from '../decisions/SelectionBar';
import type { useDecisions } from '../decisions/useDecisions';
import { ofRanked, useSelection } from '../decisions/useSelection';
import { about, sources } from '../../shared/abouts';
import { useAbouts } from '../study/useAbouts';
import { sharedTopics } from './groups.logic';
import { wording } from './wording';

const chosen = 'mark=shortlisted';

function headingsOf(told: ReturnType<typeof useAbouts>): Headings {
  return [
    '',
    {
      name: 'Rank',
      sort: 'priority',
      about: about('Rank in this list. Click to sort by priority.', '', 'calculated with the list’s weights'),
    },
    { name: 'Keyword', sort: 'keyword', startsAscending: true, about: told('keyword') },
    { name: 'Why', sort: 'reason', startsAscending: true, about: about('Reason for shortlisting.', '', sources.people) },
    { name: 'Topic', sort: 'topic', startsAscending: true, about: told('topic') },
    {
      name: 'We → target',
      sort: 'own',
      startsAscending: true,
      about: about(wording.ourPositionNowAndTheTarget, 'position', sources.rankings),
    },
    { name: 'Volume', sort: 'volume', about: told('volume') },
    { name: 'Difficulty', sort: 'difficulty', startsAscending: true, about: told('difficulty') },
    { name: 'Gain', sort: 'gain', about: told('gain') },
    { name: 'Chance', sort: 'chance', about: told('win_chance') },
    { name: 'Tactic', sort: 'tactic', startsAscending: true, about: told('tactic') },
    '',
  ];
}

interface Props {
  study: Study;
  comparison: Comparison;
  weights: string;
  onKeyword: (keyword: string) => void;
  decisions: ReturnType<typeof useDecisions>;
  onPageOne: (show: string) => void;
}

/** All that was chosen, best first, with the reasons; two of one topic are pointed out, as one page can serve both. */
export function ShortlistView({ study, comparison, weights, onKeyword, decisions, onPageOne }: Props) {
  const told = useAbouts();
  const sorting = useSorting('priority');
  const list = useInfiniteQuery(opportunitiesQuery(study.slug, comparison.id, chosen, weights, sorting.by, sorting.dir));
  const rows = useMemo(() => list.data?.pages.flatMap((page) => page.rows) ?? [], [list.data]);
  const selection = useSelection(chosen, rows, ofRanked);
  if (list.isPending) {
    return <Waiting what="Loading the shortlist" />;
  }
  if (list.isError) {
    return <Failed error={list.error} onRetry={() => void list.refetch()} />;
  }
  const total = list.data.pages[0]?.total ?? rows.length;
  const shared = sharedTopics(rows);
  if (rows.length === 0) {
    return <Empty title="Nothing is shortlisted yet">Press s on a keyword in Compare or Weigh to add it.</Empty>;
  }
  const sum = (pick: (row: (typeof rows)[number]) => number | null) => rows.reduce((all, row) => all + (pick(row) ?? 0), 0);
  return (
    <Box sx={{ flex: 1, minHeight: 0, overflow: 'auto', px: 2, pb: 3 }}>
      <Box sx={{ display: 'flex', gap: 1, alignItems: 'center', flexWrap: 'wrap', my: 0.5, typography: 'plain' }}>
        <Box component="span" sx={{ flex: 1 }}>
          <strong>{whole(total)} chosen</strong>: gain {estimate(sum((row) => row.gain))}, links to earn{' '}
          {whole(sum((row) => row.links_to_earn))}. {shared.size > 0 && 'Keywords of the same topic share one page.'}
        </Box>
        <Button onClick={() => onPageOne(chosen)}>Page one</Button>
        <Button component="a" href={address(`studies/${study.slug}/exports/weigh.xlsx`, { show: chosen, weights })} download>
          XLSX
        </Button>
        <Button component="a" href={address(`studies/${study.slug}/exports/weigh.csv`, { show: chosen, weights })} download>
          CSV
        </Button>
      </Box>
      <SelectionBar selection={selection} show={chosen} total={total} sums={null} mayEdit={study.may_edit} decisions={decisions} />
      <PlainTable label="Shortlist" headings={headingsOf(told)} sorting={sorting} numbers={[1, 5, 6, 7, 8, 9]}>
        {rows.map((row) => (
          <tr key={row.keyword}>
            <td>
              {study.may_edit && (
                <ChooseLine name={row.keyword} isChosen={selection.has(row.keyword)} onFlip={() => selection.flip(row.keyword)} />
              )}
            </td>
            <td>{row.rank}</td>
            <td>
              <KeywordButton keyword={row.keyword} onOpen={onKeyword} />
            </td>
            <td>
              {row.reason ?? (
                <Box component="span" sx={{ color: 'text.secondary' }}>
                  no reason given
                </Box>
              )}
            </td>
            <td>
              {row.topic ?? '·'}
              {row.topic !== null && shared.has(row.topic) && <strong>, {whole(shared.get(row.topic))} chosen</strong>}
            </td>
            <td>
              {position(row.positions[0])} → {position(row.target)}
            </td>
            <td>{whole(row.volume)}</td>
            <td>{decimal(row.difficulty)}</td>
            <td>{estimate(row.gain)}</td>
            <td title={chanceWords(row.win_chance, row.target)}>{shortChance(row.win_chance, row.target)}</td>
            <td>{row.tactic ?? '·'}</td>
            <td>
              {study.may_edit && (
                <Button
                  aria-label={`Remove ${row.keyword} from the shortlist`}
                  onClick={() => decisions.mark([row.keyword], null)}
                  sx={{ py: 0, px: 0.5, minWidth: 0, whiteSpace: 'nowrap' }}
                >
                  remove
                </Button>
              )}
            </td>
          </tr>
        ))}
      </PlainTable>
      {list.hasNextPage && (
        <Button onClick={() => void list.fetchNextPage()} loading={list.isFetchingNextPage}>
          Show more of {whole(total)}
        </Button>
      )}
    </Box>
  );
}
