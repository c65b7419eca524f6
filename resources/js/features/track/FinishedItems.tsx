import Box from '@mui/material/Box';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, told } from '../../api/client';
import { keys } from '../../api/keys';
import type { Study, TrackItem } from '../../api/schema';
import { decimal, estimate, position } from '../../shared/format';
import { KeptText } from '../../shared/KeptText';
import { Failed } from '../../shared/Notice';
import { PlainTable } from '../../shared/PlainTable';
import { useSortedRows } from '../../shared/useSorting';
import { about, sources } from '../../shared/abouts';
import { chanceWords, shortChance } from '../keyword/chance';
import { MeasuredClicks } from './MeasuredClicks';
import { OutcomeBand } from './OutcomeBand';
import { PositionLine } from './PositionLine';
import { driftWords, outcomeWords, targetWords } from './track.logic';
import { fields, focusRing, measures } from '../../theme/measures';
import { commonWording } from '../../shared/wording';

const outcomes = ['above', 'inside', 'below', 'too early'];

/** What a column goes by. */
const values: Record<string, (item: TrackItem) => string | number | null> = {
  page: (item) => item.name,
  done: (item) => item.done_month,
  lead: (item) => item.position_now,
  chance: (item) => item.win_chance,
  net: (item) => item.net,
  clicks: (item) => item.clicks_since,
  band: (item) => (item.net === null || item.p50 === null ? null : item.net - item.p50),
  outcome: (item) => (item.outcome === null ? null : -outcomes.indexOf(item.outcome)),
};

const forecast = 'calculated with the forecast at planning';

const headings = [
  { name: 'Page', sort: 'page', startsAscending: true, about: about('Page and type of work.', '', sources.people) },
  { name: 'Done', sort: 'done', about: about(commonWording.monthItWasFinished, '', sources.people) },
  {
    name: 'Lead',
    sort: 'lead',
    startsAscending: true,
    about: about('Lead keyword’s position then and now.', 'position', sources.rankings),
  },
  { name: 'Since', about: about('Lead keyword’s position in each snapshot.', 'position', sources.rankings) },
  {
    name: 'Win chance',
    sort: 'chance',
    about: about(commonWording.theWinChanceWhenItWasPlanned, 'chance of its target', 'calculated with the position model'),
  },
  {
    name: 'Net visits',
    sort: 'net',
    about: about(
      'Visits now minus what the keywords would bring without the work.',
      'visits a month',
      'calculated with the curve and volumes at planning, less the drift of pages without work',
    ),
  },
  { name: 'Measured clicks', sort: 'clicks', about: about('Before and after it was finished.', 'clicks', 'our measured clicks') },
  {
    name: 'Versus forecast',
    sort: 'band',
    about: about('Net visits against the forecast range. Sorted by distance to the middle of the range.', 'visits a month', forecast),
  },
  { name: 'Outcome', sort: 'outcome', about: about('Whether net visits are above, inside or below the forecast range.', '', forecast) },
];

/** Every finished item against what was said of it; a line opens into its keywords. */
export function FinishedItems({ study, items }: { study: Study; items: TrackItem[] }) {
  const client = useQueryClient();
  const [rows, sorting] = useSortedRows(items, values);
  const redate = useMutation({
    mutationFn: ({ item, month }: { item: TrackItem; month: string }) =>
      told(
        api.PATCH('/studies/{slug}/plan/items/{item}', {
          params: { path: { slug: study.slug, item: item.id } },
          body: { version: item.version, done_month: month },
        }),
      ),
    onSettled: () => client.invalidateQueries({ queryKey: keys.study(study.slug) }),
  });
  return (
    <>
      {redate.isError && <Failed error={redate.error} />}
      <PlainTable label={commonWording.finishedItems} headings={headings} sorting={sorting} numbers={[4, 5, 6]}>
        {rows.map((item) => (
          <Line
            key={`${item.id} ${item.done_month}`}
            item={item}
            mayEdit={study.may_edit}
            onRedate={(month) => redate.mutate({ item, month })}
          />
        ))}
      </PlainTable>
    </>
  );
}

interface LineProps {
  item: TrackItem;
  mayEdit: boolean;
  onRedate: (month: string) => void;
}

function Line({ item, mayEdit, onRedate }: LineProps) {
  const [isOpen, setOpen] = useState(false);
  return (
    <>
      <tr>
        <td>
          {item.name}
          <Box sx={{ color: 'text.secondary', typography: 'small' }}>
            {item.tactic}
            {item.keywords.length > 1 && `, ${item.keywords.length} keywords`}
          </Box>
        </td>
        <td>
          <KeptText
            type="month"
            aria-label={`${item.name} was done in`}
            disabled={!mayEdit}
            value={item.done_month}
            onKeep={(month) => month !== '' && onRedate(month)}
            slotProps={{ htmlInput: { 'aria-label': `${item.name} was done in` } }}
            sx={{ width: fields.m, '& input': { py: 0.25, px: 0.5, typography: 'dense' } }}
          />
        </td>
        <td>
          {position(item.position_then)} → {position(item.position_now)}, target {position(item.target)}
          <Box sx={{ typography: 'small', fontWeight: item.is_reached === true ? 700 : 400 }}>{targetWords(item.is_reached)}</Box>
        </td>
        <td>
          <PositionLine history={item.history} done={item.done_month} />
        </td>
        <td title={chanceWords(item.win_chance, item.target)}>{shortChance(item.win_chance, item.target)}</td>
        <td title={driftWords(item.drift)}>{decimal(item.net, 1)}</td>
        <td>
          <MeasuredClicks item={item} />
        </td>
        <td>
          <OutcomeBand item={item} />
        </td>
        <td>
          <Box
            component="button"
            type="button"
            aria-expanded={isOpen}
            onClick={() => setOpen(!isOpen)}
            sx={{
              all: 'unset',
              cursor: 'pointer',
              fontWeight: 700,
              textDecoration: 'underline',
              minHeight: measures.target,
              color: item.outcome === 'below' || (item.outcome === 'inside' && !item.is_moved) ? 'warning.main' : 'text.primary',
              '&:focus-visible': focusRing,
            }}
          >
            {outcomeWords(item)}
          </Box>
        </td>
      </tr>
      {isOpen && <Details item={item} />}
    </>
  );
}

/** Why, and where each keyword of the page stood then and stands now. */
function Details({ item }: { item: TrackItem }) {
  return (
    <tr>
      <td colSpan={headings.length}>
        <Box sx={{ typography: 'dense' }}>
          {item.why !== null && `${item.why.rule} ${item.why.steps.join(' ')} `}
          Said{item.planned_month === null ? '' : ` in ${item.planned_month}`}: {estimate(item.promised_gain)} visits a month at the
          targets. Volumes and curve are those at planning, so only positions count.
        </Box>
        <Box sx={{ display: 'flex', flexWrap: 'wrap', columnGap: 3, typography: 'dense', mt: 0.5 }}>
          {item.keywords.map((keyword) => (
            <span key={keyword.keyword}>
              {keyword.keyword} {position(keyword.position_then)} → {position(keyword.position_now)}
            </span>
          ))}
        </Box>
      </td>
    </tr>
  );
}
