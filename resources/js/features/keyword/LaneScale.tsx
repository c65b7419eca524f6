import Box from '@mui/material/Box';
import { positionTicks } from '../../shared/chart';
import { gutterOf, placeOf } from './lane.logic';
import { marks } from '../../theme/measures';

/** The scale above a column of rank lanes. */
export function LaneScale({ width }: { width: number }) {
  return (
    <Box component="span" sx={{ position: 'relative', display: 'block', height: marks.line, width, fontWeight: 400 }}>
      {positionTicks.map((tick) => (
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
