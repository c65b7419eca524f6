import Box from '@mui/material/Box';
import { bisectCenter } from 'd3-array';
import { useState, type KeyboardEvent, type PointerEvent, type ReactNode } from 'react';
import { ChartTable, type TableOfChart } from './ChartTable';
import type { Frame } from './frame';
import type { Fit } from './useFit';
import { inks, letters } from './inks';

/** What is told where the reader is: its place from the left, and in words all that lies there. */
export interface Reading {
  x: number;
  words: string;
}

interface Props {
  /** What is drawn, in words. */
  label: string;
  frame: Frame;
  /** What measures the room, with which the frame was made; without it the drawing is as wide as it is. */
  fit?: Fit;
  readings?: Reading[];
  table?: TableOfChart;
  children: ReactNode;
}

/**
 * A drawing: its words for who does not see it, a reader that goes along it by mouse or by arrow keys, and the same figures as a table.
 */
export function Chart({ label, frame, fit, readings = [], table, children }: Props) {
  const [at, setAt] = useState<number | null>(null);
  const reading = at === null ? undefined : readings[at];
  const lookAt = (index: number) => setAt(Math.max(0, Math.min(readings.length - 1, index)));
  const readable = readings.length === 0 ? {} : readerOf(readings, at, lookAt, () => setAt(null));
  return (
    <Box ref={fit?.ref} sx={{ minWidth: 0, flex: fit === undefined ? 'none' : 1, maxWidth: fit?.widest }}>
      <Drawing label={label} frame={frame} reader={readable}>
        {children}
        {reading !== undefined && (
          <line x1={reading.x} x2={reading.x} y1={frame.top} y2={frame.height - frame.bottom} stroke={inks.text} strokeWidth={0.8} />
        )}
      </Drawing>
      {(readings.length > 0 || table !== undefined) && (
        <Box className="no-print" sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, minHeight: 24, typography: 'caption' }}>
          <Box aria-live="polite" sx={{ flex: 1 }}>
            {reading?.words}
          </Box>
          {table !== undefined && <ChartTable label={label} table={table} />}
        </Box>
      )}
    </Box>
  );
}

interface Reader {
  tabIndex?: number;
  onKeyDown?: (event: KeyboardEvent) => void;
  onPointerMove?: (event: PointerEvent<SVGSVGElement>) => void;
  onPointerLeave?: () => void;
  onBlur?: () => void;
}

function readerOf(readings: Reading[], at: number | null, lookAt: (index: number) => void, leave: () => void): Reader {
  const places = readings.map((reading) => reading.x);
  const steps: Record<string, number> = { ArrowLeft: -1, ArrowRight: 1, Home: -Infinity, End: Infinity };
  return {
    tabIndex: 0,
    onKeyDown: (event) => {
      const step = steps[event.key];
      if (step !== undefined) {
        event.preventDefault();
        event.stopPropagation();
        // From nowhere one arrives at the newest.
        lookAt(at === null ? readings.length - 1 : at + step);
      }
    },
    onPointerMove: (event) => {
      const box = event.currentTarget.getBoundingClientRect();
      const width = event.currentTarget.viewBox.baseVal.width;
      lookAt(bisectCenter(places, ((event.clientX - box.left) / box.width) * width));
    },
    onPointerLeave: leave,
    onBlur: leave,
  };
}

/** The drawing alone, as it is taken along, too. */
export function Drawing({ label, frame, reader = {}, children }: { label: string; frame: Frame; reader?: Reader; children: ReactNode }) {
  return (
    <Box
      component="svg"
      role="img"
      aria-label={label}
      viewBox={`0 0 ${frame.width} ${frame.height}`}
      {...reader}
      sx={{
        display: 'block',
        width: frame.width,
        maxWidth: '100%',
        height: frame.height,
        '& text': { fontSize: letters, fill: inks.quiet },
      }}
    >
      {children}
    </Box>
  );
}
