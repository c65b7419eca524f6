import Box from '@mui/material/Box';
import { gutterOf, placeOf } from './lane.logic';

/** The scale above a column of rank lanes. */
export function LaneScale({ width }: { width: number }) {
  return (
    <Box component="span" sx={{ position: 'relative', display: 'block', height: 18, width, fontWeight: 400 }}>
      {[1, 3, 10, 20, 50, 100].map((tick) => (
        <Box
          key={tick}
          component="span"
          sx={{ position: 'absolute', transform: 'translateX(-50%)' }}
          style={{ left: placeOf(tick, width) }}
        >
          {tick}
        </Box>
      ))}
      <Box component="span" sx={{ position: 'absolute' }} style={{ left: gutterOf(0, width) + 10 }}>
        absent
      </Box>
    </Box>
  );
}
