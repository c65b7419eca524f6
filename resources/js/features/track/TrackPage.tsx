import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useQuery } from '@tanstack/react-query';
import { effectQuery } from '../study/effect';
import { trackQuery } from './queries';
import { dayWords } from '../../shared/format';
import { Empty, Failed, Waiting } from '../../shared/Notice';
import { OtherSides } from '../keyword/OtherSides';
import { useStudy } from '../study';
import { useAnnotations } from '../study/annotations';
import { FinishedItems } from './FinishedItems';
import { Notes } from './Notes';
import { ShareChart } from './ShareChart';
import { SincePart } from './SincePart';
import { TotalsChart } from './TotalsChart';
import { calibrationWords, effectWords } from './track.logic';
import { commonWording } from '../../shared/wording';

/** What came of it: every finished item against what was said, and how the share of clicks moved. */
export function TrackPage() {
  const study = useStudy();
  const track = useQuery(trackQuery(study.slug));
  const effect = useQuery(effectQuery(study.slug)).data;
  const notes = useAnnotations(study.slug);
  if (track.isPending) {
    return <Waiting what="Loading results" />;
  }
  if (track.isError) {
    return <Failed error={track.error} onRetry={() => void track.refetch()} />;
  }
  const { items, months, calibration, shares, published, newest, since } = track.data;
  return (
    <Box sx={{ flex: 1, overflowY: 'auto', px: 2, pb: 4 }}>
      <OtherSides items={track.data.elsewhere} domain={study.domain} />
      <SincePart study={study} since={since} />
      {study.comparison !== null && shares.length > 1 && (
        <>
          <Typography variant="h2" sx={{ mt: 1.5 }}>
            {commonWording.shareOfClicks}
          </Typography>
          <ShareChart
            shares={shares}
            domains={study.comparison.domains.map((domain) => domain.entry)}
            published={published}
            notes={notes}
          />
          <Notes study={study} />
        </>
      )}
      <Typography variant="h2" sx={{ mt: 1.5 }}>
        Forecast vs actual
      </Typography>
      {items.length === 0 ? (
        <Empty title="No finished items yet">
          Set an item to done in Plan when its page is live. We keep its forecast, and the next rankings show what it achieved.
        </Empty>
      ) : (
        <>
          <Typography sx={{ mb: 1 }}>
            {calibration.length === 0
              ? `Rankings of ${newest === null ? 'no day yet' : dayWords(newest)}. No finished item has had its full ramp yet.`
              : calibration.map(calibrationWords).join(' ')}
          </Typography>
          <Typography sx={{ mb: 1 }}>{effectWords(effect)}</Typography>
          <TotalsChart months={months} notes={notes} />
          <FinishedItems study={study} items={items} />
        </>
      )}
    </Box>
  );
}
