interface Track {
  key: string;
  track: string;
  isPinned?: boolean;
}

/** Narrower columns than this, such as boxes and flags, never grow. */
const smallest = 50;

/** On a wide screen a column may grow to this share of the widest, so that figures do not stand far from their keyword. */
const share = 0.3;

/** Grid tracks of a list, its smallest width in pixels, and how far from the left each pinned column stays. */
export function layOut(columns: Track[]): { tracks: string; width: number; leftOf: Record<string, number> } {
  const leftOf: Record<string, number> = {};
  let width = 0;
  for (const { key, track, isPinned } of columns) {
    if (isPinned === true) {
      leftOf[key] = width;
    }
    width += pixels(track);
  }
  return { tracks: columns.map(({ track }) => (track.includes('fr') || pixels(track) < smallest ? track : `minmax(${track}, ${share}fr)`)).join(' '), width, leftOf };
}

/** How many rows' elements are kept for so many rows in sight: always enough, and seldom another number. */
export function placesFor(inSight: number): number {
  return 2 ** Math.ceil(Math.log2(Math.max(64, inSight)));
}

function pixels(track: string): number {
  return Number(/(\d+)px/.exec(track)?.[1] ?? 0);
}
