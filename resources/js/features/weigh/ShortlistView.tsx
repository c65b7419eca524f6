import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useInfiniteQuery } from '@tanstack/react-query';
import { address } from '../../api/client';
import { opportunitiesQuery } from './queries';
import type { Comparison, Study } from '../../api/schema';
import { decimal, estimate, position, whole } from '../../shared/format';
import { chanceWords, shortChance } from '../keyword/chance';
import { KeywordButton } from '../keyword/KeywordButton';
import { Empty, Failed, Waiting } from '../../shared/Notice';
import { PlainTable } from '../../shared/PlainTable';
import { sharedTopics } from './groups.logic';

const chosen = 'mark=shortlisted';

interface Props {
  study: Study;
  comparison: Comparison;
  weights: string;
  onKeyword: (keyword: string) => void;
  onTake: (keyword: string) => void;
  onPageOne: (show: string) => void;
}

/** All that was chosen, best first, with the reasons; two of one topic are pointed out, as one page can serve both. */
export function ShortlistView({ study, comparison, weights, onKeyword, onTake, onPageOne }: Props) {
  const list = useInfiniteQuery(opportunitiesQuery(study.slug, comparison.id, chosen, weights));
  if (list.isPending) {
    return <Waiting what="Reading the shortlist" />;
  }
  if (list.isError) {
    return <Failed error={list.error} onRetry={() => void list.refetch()} />;
  }
  const rows = list.data.pages.flatMap((page) => page.rows);
  const total = list.data.pages[0]?.total ?? rows.length;
  const shared = sharedTopics(rows);
  if (rows.length === 0) {
    return <Empty title="Nothing is shortlisted yet">Press s on a keyword in Compare or in the list here, and say why.</Empty>;
  }
  const sum = (pick: (row: (typeof rows)[number]) => number | null) => rows.reduce((all, row) => all + (pick(row) ?? 0), 0);
  return (
    <Box sx={{ flex: 1, minHeight: 0, overflow: 'auto', px: 2, pb: 3 }}>
      <Box sx={{ display: 'flex', gap: 1, alignItems: 'center', flexWrap: 'wrap', my: 0.5, fontSize: '0.9rem' }}>
        <Box component="span" sx={{ flex: 1 }}>
          <strong>{whole(total)} chosen</strong>: gain {estimate(sum((row) => row.gain))}, links to earn{' '}
          {whole(sum((row) => row.links_to_earn))}.{' '}
          {shared.size > 0 && 'Where a topic is there more than once, one page can serve all of its keywords.'}
        </Box>
        <Button onClick={() => onPageOne(chosen)}>Page one of all</Button>
        <Button component="a" href={address(`studies/${study.slug}/exports/weigh.xlsx`, { show: chosen, weights })} download>
          XLSX
        </Button>
        <Button component="a" href={address(`studies/${study.slug}/exports/weigh.csv`, { show: chosen, weights })} download>
          CSV
        </Button>
      </Box>
      <PlainTable
        label="Shortlist"
        headings={['', 'Keyword', 'Why', 'Topic', 'We → target', 'Volume', 'Difficulty', 'Gain', 'Chance', 'Tactic', '']}
        numbers={[0, 4, 5, 6, 7, 8]}
      >
        {rows.map((row) => (
          <tr key={row.keyword}>
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
                  aria-label={`Take ${row.keyword} off the shortlist`}
                  onClick={() => onTake(row.keyword)}
                  sx={{ py: 0, px: 0.5, minWidth: 0 }}
                >
                  take off
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
