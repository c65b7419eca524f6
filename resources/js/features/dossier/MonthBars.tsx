import Box from '@mui/material/Box';
import { whole } from '../../shared/format';

const names = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'];

/** Volume by calendar month. */
export function MonthBars({ months }: { months: (number | null)[] }) {
  const highest = Math.max(1, ...months.map((volume) => volume ?? 0));
  return (
    <Box role="img" aria-label="Volume by month" sx={{ display: 'flex', gap: '3px', alignItems: 'flex-end', height: 52, mt: 1 }}>
      {months.map((volume, month) => (
        <Box
          key={names[month]}
          sx={{ flex: 1, textAlign: 'center', fontSize: '0.62rem', color: 'text.secondary' }}
          title={`${names[month] ?? ''}: ${whole(volume)}`}
        >
          <Box
            sx={{ bgcolor: volume === highest ? 'primary.main' : 'ink.standing.level' }}
            style={{ height: `${(36 * (volume ?? 0)) / highest}px` }}
          />
          {names[month]?.slice(0, 1)}
        </Box>
      ))}
    </Box>
  );
}
