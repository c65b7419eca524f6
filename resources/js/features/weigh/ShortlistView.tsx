import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useInfiniteQuery } from '@tanstack/react-query';
import { useMemo, useState, type ReactNode } from 'react';
import { address } from '../../api/client';
import { opportunitiesQuery } from './queries';
import type { Comparison, Opportunity, Study } from '../../api/schema';
import { counted, decimal, estimate, position, whole } from '../../shared/format';
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
import { byPage, reasonOf } from './groups.logic';
import { tacticWords } from './pages.logic';
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
    { name: 'Page, keyword', sort: 'keyword', startsAscending: true, about: told('keyword') },
    { name: 'Why', sort: 'reason', startsAscending: true, about: about('Reason for shortlisting.', '', sources.people) },
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

/** All that was chosen, best first, page by page; the keywords of a page unfold, and each page has one reason. */
export function ShortlistView({ study, comparison, weights, onKeyword, decisions, onPageOne }: Props) {
  const told = useAbouts();
  const sorting = useSorting('priority');
  const list = useInfiniteQuery(opportunitiesQuery(study.slug, comparison.id, chosen, weights, sorting.by, sorting.dir));
  const rows = useMemo(() => list.data?.pages.flatMap((page) => page.rows) ?? [], [list.data]);
  const pages = useMemo(() => byPage(rows), [rows]);
  const selection = useSelection(chosen, rows, ofRanked);
  const [unfolded, setUnfolded] = useState<string[]>([]);
  if (list.isPending) {
    return <Waiting what="Loading the shortlist" />;
  }
  if (list.isError) {
    return <Failed error={list.error} onRetry={() => void list.refetch()} />;
  }
  const total = list.data.pages[0]?.total ?? rows.length;
  if (rows.length === 0) {
    return <Empty title="Nothing is shortlisted yet">Press s on a keyword in Compare or Weigh to add it.</Empty>;
  }
  const flip = (page: string) => setUnfolded((open) => (open.includes(page) ? open.filter((other) => other !== page) : [...open, page]));
  const line = (row: Opportunity, name: ReactNode) => (
    <ShortlistedLine
      key={row.keyword}
      row={row}
      name={name}
      choose={
        study.may_edit && <ChooseLine name={row.keyword} isChosen={selection.has(row.keyword)} onFlip={() => selection.flip(row.keyword)} />
      }
      onRemove={study.may_edit ? () => decisions.mark([row.keyword], null) : undefined}
    />
  );
  return (
    <Box sx={{ flex: 1, minHeight: 0, overflow: 'auto', px: 2, pb: 3 }}>
      <Box sx={{ display: 'flex', gap: 1, alignItems: 'center', flexWrap: 'wrap', my: 0.5, typography: 'plain' }}>
        <Box component="span" sx={{ flex: 1 }}>
          <strong>{counted(total, 'keyword')} shortlisted</strong>
          {list.hasNextPage ? '' : ` for ${counted(pages.length, 'page')}`}: gain {estimate(sum(rows, 'gain'))}, links to earn{' '}
          {whole(sum(rows, 'links_to_earn'))}.
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
      <PlainTable label="Shortlist" headings={headingsOf(told)} sorting={sorting} numbers={[1, 4, 5, 6, 7, 8]}>
        {pages.flatMap(({ page, rows: own }) => {
          if (own.length === 1) {
            return [line(own[0], <KeywordButton keyword={own[0].keyword} onOpen={onKeyword} />)];
          }
          const isOpen = unfolded.includes(page);
          return [
            <PageOfShortlist key={`page ${page}`} page={page} rows={own} isOpen={isOpen} onFlip={() => flip(page)} />,
            ...(isOpen
              ? own.map((row) =>
                  line(
                    row,
                    <Box component="span" sx={{ pl: 2 }}>
                      <KeywordButton keyword={row.keyword} onOpen={onKeyword} />
                    </Box>,
                  ),
                )
              : []),
          ];
        })}
      </PlainTable>
      {list.hasNextPage && (
        <Button onClick={() => void list.fetchNextPage()} loading={list.isFetchingNextPage}>
          Show more of {whole(total)}
        </Button>
      )}
    </Box>
  );
}

/** Known figures only. */
const sum = (rows: Opportunity[], figure: 'gain' | 'links_to_earn' | 'volume') => rows.reduce((all, row) => all + (row[figure] ?? 0), 0);

function Reason({ words }: { words: string | null }) {
  return (
    words ?? (
      <Box component="span" sx={{ color: 'text.secondary' }}>
        no reason given
      </Box>
    )
  );
}

interface PageProps {
  page: string;
  /** Those that are shortlisted, best first. */
  rows: [Opportunity, ...Opportunity[]];
  isOpen: boolean;
  onFlip: () => void;
}

/** A page with several keywords on the shortlist. */
function PageOfShortlist({ page, rows, isOpen, onFlip }: PageProps) {
  return (
    <tr>
      <td />
      <td>{rows[0].rank}</td>
      <td>
        <Button aria-expanded={isOpen} onClick={onFlip} sx={{ py: 0, px: 0, minWidth: 0, justifyContent: 'flex-start', textAlign: 'left' }}>
          {isOpen ? '–' : '+'} {page}, {counted(rows.length, 'keyword')}
        </Button>
      </td>
      <td>
        <Reason words={reasonOf(rows)} />
      </td>
      <td />
      <td>{whole(sum(rows, 'volume'))}</td>
      <td />
      <td>{estimate(sum(rows, 'gain'))}</td>
      <td />
      <td>{tacticWords(rows[0])}</td>
      <td />
    </tr>
  );
}

interface LineProps {
  row: Opportunity;
  name: ReactNode;
  choose: ReactNode;
  onRemove: (() => void) | undefined;
}

function ShortlistedLine({ row, name, choose, onRemove }: LineProps) {
  return (
    <tr>
      <td>{choose}</td>
      <td>{row.rank}</td>
      <td>{name}</td>
      <td>
        <Reason words={row.reason} />
      </td>
      <td>
        {position(row.positions[0])} → {position(row.target)}
      </td>
      <td>{whole(row.volume)}</td>
      <td>{decimal(row.difficulty)}</td>
      <td>{estimate(row.gain)}</td>
      <td title={chanceWords(row.win_chance, row.target)}>{shortChance(row.win_chance, row.target)}</td>
      <td>{tacticWords(row)}</td>
      <td>
        {onRemove !== undefined && (
          <Button
            aria-label={`Remove ${row.keyword} from the shortlist`}
            onClick={onRemove}
            sx={{ py: 0, px: 0.5, minWidth: 0, whiteSpace: 'nowrap' }}
          >
            remove
          </Button>
        )}
      </td>
    </tr>
  );
}
