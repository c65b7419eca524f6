import Box from '@mui/material/Box';
import { inks } from './inks';
import { Shape } from './marks';

export interface LegendEntry {
  name: string;
  ink?: string;
  dash?: string | undefined;
  width?: number;
  /** Drawn instead of a line. */
  shape?: string;
}

/** Which line is which, by dash and shape as well as by colour. */
export function Legend({ entries }: { entries: readonly LegendEntry[] }) {
  return (
    <Box
      component="ul"
      sx={{ display: 'flex', flexWrap: 'wrap', gap: 2, mx: 0, mb: 0, mt: 0.5, p: 0, listStyle: 'none', typography: 'caption' }}
    >
      {entries.map((entry) => (
        <Box component="li" key={entry.name} sx={{ display: 'flex', alignItems: 'center', gap: 0.75 }}>
          <svg width={30} height={12} aria-hidden="true">
            {entry.shape === undefined ? (
              <line
                x1={0}
                x2={30}
                y1={6}
                y2={6}
                stroke={entry.ink ?? inks.text}
                strokeWidth={entry.width ?? 1.4}
                strokeDasharray={entry.dash}
              />
            ) : (
              <Shape path={entry.shape} x={15} y={6} ink={entry.ink ?? inks.text} />
            )}
          </svg>
          {entry.name}
        </Box>
      ))}
    </Box>
  );
}
