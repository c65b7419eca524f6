interface Track {
  key: string;
  track: string;
  rank?: number;
  isPinned?: boolean;
}

/** Narrower columns than this, such as boxes and flags, never grow. */
const smallest = 50;

/** On a wide screen a column may grow to this share of the widest, so that figures do not stand far from their keyword. */
const share = 0.3;

/** Pixels that the bar beside a scrolling list takes. */
const scrollBar = 12;

/** The columns that stand side by side in a width; those of the highest rank are left out first. */
export function fitting<Column extends Track>(columns: Column[], width: number): Column[] {
  let shown = columns;
  while (sum(shown) > width - scrollBar) {
    const ranks = shown.map((column) => column.rank ?? -1);
    const last = Math.max(-1, ...ranks);
    if (last < 0) {
      break;
    }
    shown = shown.filter((_, place) => ranks[place] !== last);
  }
  return shown;
}

function sum(columns: Track[]): number {
  return columns.reduce((width, column) => width + pixels(column.track), 0);
}

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
  return {
    tracks: columns
      .map(({ track }) => (track.includes('fr') || pixels(track) < smallest ? track : `minmax(${track}, ${share}fr)`))
      .join(' '),
    width,
    leftOf,
  };
}

/**
 * How many places rows take turns in, so that what scrolls out of sight leaves its elements to what comes into it: as many
 * as are ever drawn at a time in a list of some height, and never fewer than are drawn now.
 */
export function placesFor(drawn: number, listHeight: number, rowHeight: number, overscan: number): number {
  return Math.max(drawn, Math.ceil(listHeight / rowHeight) + 1 + 2 * overscan);
}

/** In the order of their places, so that none of their elements must move while they scroll; at rest they stand as they are read. */
export function inPlaceOrder<Item extends { index: number }>(items: Item[], places: number): Item[] {
  return [...items].sort((one, other) => (one.index % places) - (other.index % places));
}

/**
 * Where a step leads in a list of some length. Without a selected row (-1) it goes on from where the last one stood, whose
 * place the one after it has taken.
 */
export function nextPlace(current: number, lastPlace: number, step: number, length: number): number {
  const from = current >= 0 ? current + step : lastPlace >= 0 ? lastPlace + (step > 0 ? step - 1 : step) : 0;
  return Math.max(0, Math.min(length - 1, from));
}

function pixels(track: string): number {
  return Number(/(\d+)px/.exec(track)?.[1] ?? 0);
}
