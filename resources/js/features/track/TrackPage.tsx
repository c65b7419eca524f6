import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { trackQuery } from './queries';
import type { TrackItem } from '../../api/schema';
import { decimal, estimate, percent, position } from '../../shared/format';
import { Empty, Failed, Waiting } from '../../shared/Notice';
import { chanceWords, shortChance } from '../keyword/chance';
import { OtherSides } from '../keyword/OtherSides';
import { PlainTable } from '../../shared/PlainTable';
import { useStudy } from '../study';
import { MeasuredClicks } from './MeasuredClicks';
import { OutcomeBand } from './OutcomeBand';
import { PositionLine } from './PositionLine';
import { ShareChart } from './ShareChart';
import { SincePart } from './SincePart';

/** What came of it: every finished item against what was said, and how the share of clicks moved. */
export function TrackPage() {
  const study = useStudy();
  const track = useQuery(trackQuery(study.slug));
  if (track.isPending) {
    return <Waiting what="Reading what came of it" />;
  }
  if (track.isError) {
    return <Failed error={track.error} onRetry={() => void track.refetch()} />;
  }
  const { items, calibration, shares, published, newest, since } = track.data;
  return (
    <Box sx={{ flex: 1, overflowY: 'auto', px: 2, pb: 4 }}>
      <OtherSides items={track.data.elsewhere} domain={study.domain} />
      <SincePart study={study} since={since} />
      {study.comparison !== null && shares.length > 1 && (
        <>
          <Typography variant="h2" sx={{ mt: 1.5 }}>
            Share of clicks
          </Typography>
          <ShareChart shares={shares} domains={study.comparison.domains.map((domain) => domain.entry)} published={published} />
        </>
      )}
      <Typography variant="h2" sx={{ mt: 1.5 }}>
        Said and happened
      </Typography>
      {items.length === 0 ? (
        <Empty title="Nothing is done yet">
          Set an item of the roadmap to done in Plan when its page is out. What it promised is then held fast, and the next rankings show
          what came of it.
        </Empty>
      ) : (
        <>
          <Typography sx={{ mb: 1 }}>
            {calibration === null
              ? `Measured against the rankings of ${newest ?? 'no day yet'}. Nothing has had its full time yet.`
              : `Of ${calibration.items} items that had their full time, ${percent(calibration.happened)} are at their target; ` +
                `${percent(calibration.said)} was said. ${percent(calibration.inside)} lie inside their band; eight of ten should, if ` +
                `the model is right.`}
          </Typography>
          <PlainTable
            label="Finished items"
            headings={['Item', 'Done', 'Position', 'Since', 'Win chance', 'Visits added', 'Measured clicks', 'Against the band', 'Outcome']}
            numbers={[4, 5, 6]}
          >
            {items.map((item) => (
              <Line key={item.id} item={item} />
            ))}
          </PlainTable>
        </>
      )}
    </Box>
  );
}

function Line({ item }: { item: TrackItem }) {
  const [isOpen, setOpen] = useState(false);
  return (
    <>
      <tr>
        <td>
          {item.keyword}
          <Box sx={{ color: 'text.secondary', fontSize: '0.76rem' }}>{item.tactic}</Box>
        </td>
        <td>{item.done_month}</td>
        <td>
          {position(item.position_then)} → {position(item.position_now)}, aim {position(item.target)}
        </td>
        <td>
          <PositionLine history={item.history} done={item.done_month} />
        </td>
        <td title={chanceWords(item.win_chance, item.target)}>{shortChance(item.win_chance, item.target)}</td>
        <td>{decimal(item.added, 1)}</td>
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
              minHeight: 24,
              color: item.outcome === 'below' ? 'warning.main' : 'text.primary',
              '&:focus-visible': { outline: '2px solid var(--mui-palette-primary-main)' },
            }}
          >
            {item.outcome ?? 'no rankings yet'}
          </Box>
        </td>
      </tr>
      {isOpen && item.why !== null && (
        <tr>
          <td colSpan={9}>
            <Box sx={{ fontSize: '0.84rem' }}>
              {item.why.rule} {item.why.steps.join(' ')} Promised: {estimate(item.promised_gain)} visits a month if won.
            </Box>
          </td>
        </tr>
      )}
    </>
  );
}
