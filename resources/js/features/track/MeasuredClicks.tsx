import Box from '@mui/material/Box';
import type { TrackItem } from '../../api/types';
import { whole } from '../../shared/format';

/** What our own performance data measured: the last figure from before it was done, and the newest since. */
export function MeasuredClicks({ clicks, done }: { clicks: TrackItem['clicks']; done: string }) {
  const before = clicks.filter((one) => one.day.slice(0, 7) < done).at(-1);
  const since = clicks.filter((one) => one.day.slice(0, 7) >= done).at(-1);
  const spelt = clicks.map((one) => `${one.day}: ${whole(one.clicks)} clicks of ${whole(one.impressions)} impressions`).join('\n');
  if (clicks.length === 0) {
    return <span title="No performance data names this keyword.">·</span>;
  }
  return (
    <Box component="span" title={spelt} sx={{ whiteSpace: 'nowrap' }}>
      {whole(before?.clicks ?? null)} → {whole(since?.clicks ?? null)}
    </Box>
  );
}
