import Box from '@mui/material/Box';
import type { TrackItem } from '../../api/schema';
import { whole } from '../../shared/format';

/** What our own performance data measured: the last figure from before it was done, and the newest since. */
export function MeasuredClicks({ item }: { item: TrackItem }) {
  if (item.clicks.length === 0) {
    return <span title="No performance data names the page or its keywords.">·</span>;
  }
  const spelt = item.clicks
    .map(
      (one) =>
        `${one.day}: ${whole(one.clicks)} clicks of ${whole(one.impressions)} impressions, and ${whole(one.brand_clicks)} on our brand`,
    )
    .join('\n');
  return (
    <Box component="span" title={spelt} sx={{ whiteSpace: 'nowrap' }}>
      {whole(item.clicks_before)} → {whole(item.clicks_since)}
      {((item.brand_clicks_before ?? 0) > 0 || (item.brand_clicks_since ?? 0) > 0) && (
        <Box sx={{ typography: 'small', color: 'text.secondary' }}>
          brand {whole(item.brand_clicks_before)} → {whole(item.brand_clicks_since)}
        </Box>
      )}
    </Box>
  );
}
