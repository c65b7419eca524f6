import Box from '@mui/material/Box';
import type { TrackItem } from '../../api/schema';
import { whole } from '../../shared/format';

/** What our own performance data measured: the last figure from before it was done, and the newest since. */
export function MeasuredClicks({ item }: { item: TrackItem }) {
  if (item.clicks.length === 0) {
    return <span title="No performance data names this keyword.">·</span>;
  }
  const spelt = item.clicks.map((one) => `${one.day}: ${whole(one.clicks)} clicks of ${whole(one.impressions)} impressions`).join('\n');
  return (
    <Box component="span" title={spelt} sx={{ whiteSpace: 'nowrap' }}>
      {whole(item.clicks_before)} → {whole(item.clicks_since)}
    </Box>
  );
}
