import { useCallback, useState, type RefCallback } from 'react';
import type { Frame } from './frame';

/** Narrower than this a drawing is not made: names would stand on each other. */
const narrowest = 220;

/** What a drawing is put into, and how wide it may grow. */
export interface Fit {
  ref: RefCallback<HTMLElement>;
  widest: number;
}

/**
 * A frame as wide as there is room, so that letters keep their size: the one given where nothing is measured yet, and at
 * most `widest`.
 */
export function useFit(drawn: Frame, widest: number): { frame: Frame; fit: Fit } {
  const [width, setWidth] = useState(drawn.width);
  const ref = useCallback(
    (box: HTMLElement | null) => {
      if (box === null || typeof ResizeObserver === 'undefined') {
        return;
      }
      const observer = new ResizeObserver(([entry]) => setWidth(widthFor(entry?.contentRect.width ?? 0, widest)));
      observer.observe(box);
      return () => observer.disconnect();
    },
    [widest],
  );
  return { frame: { ...drawn, width }, fit: { ref, widest } };
}

/** Whole pixels, within what can be read. */
export function widthFor(room: number, widest: number): number {
  return Math.max(narrowest, Math.min(Math.floor(room), widest));
}
