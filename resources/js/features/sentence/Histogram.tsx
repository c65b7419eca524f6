import Box from '@mui/material/Box';
import type { Distribution } from '../../api/schema';
import { whole } from '../../shared/format';

interface Props {
  distribution: Distribution;
  from: number | null;
  to: number | null;
}

/** How the figure is spread over what the rest of the sentence lets through; what the clause keeps is drawn solid. */
export function Histogram({ distribution, from, to }: Props) {
  const highest = Math.max(1, ...distribution.bins.map((bin) => bin.keywords));
  return (
    <Box>
      <Box
        sx={{ display: 'flex', alignItems: 'flex-end', height: 64, gap: '2px' }}
        role="img"
        aria-label={`Distribution of ${distribution.field}`}
      >
        {distribution.bins.map((bin, index) => {
          const next = distribution.bins[index + 1]?.from ?? Infinity;
          const isKept = (from === null || next > from) && (to === null || bin.from <= to);
          return (
            <Box
              key={bin.from}
              title={`from ${bin.from}: ${whole(bin.keywords)}`}
              sx={{ flex: 1, bgcolor: isKept ? 'primary.main' : 'divider', minHeight: bin.keywords > 0 ? 2 : 0 }}
              style={{ height: `${(100 * bin.keywords) / highest}%` }}
            />
          );
        })}
      </Box>
      <Box sx={{ display: 'flex', gap: '2px', fontSize: '0.62rem', color: 'text.secondary' }}>
        {distribution.bins.map((bin) => (
          <Box key={bin.from} sx={{ flex: 1, textAlign: 'left' }}>
            {bin.from >= 1000 ? `${bin.from / 1000}k` : bin.from}
          </Box>
        ))}
      </Box>
      {distribution.unknown > 0 && (
        <Box sx={{ fontSize: '0.75rem', color: 'text.secondary', mt: 0.5 }}>
          {whole(distribution.unknown)} keywords where it is unknown are left out by any bound.
        </Box>
      )}
    </Box>
  );
}
