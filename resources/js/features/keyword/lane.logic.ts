/** Geometry of the rank lane. */

/** Heights pushed apart so far that labels at them do not cover each other, their order kept. */
export function spreadOut(heights: number[], gap: number): number[] {
  const spread = [...heights];
  const order = heights.map((_, index) => index).sort((a, b) => (heights[a] ?? 0) - (heights[b] ?? 0));
  order.reduce<number | null>((above, index) => {
    spread[index] = above === null ? (heights[index] ?? 0) : Math.max(heights[index] ?? 0, above + gap);
    return spread[index] ?? 0;
  }, null);
  return spread;
}

export const worstPosition = 100;
const inset = 10;
const gutter = 64;

/** Horizontal place of a position on a lane of some width, in pixels. */
export function placeOf(position: number, width: number): number {
  const span = width - gutter - 2 * inset;
  return inset + (Math.log(position) / Math.log(worstPosition)) * span;
}

/** Horizontal place of the nth absent domain, in the gutter. */
export function gutterOf(place: number, width: number): number {
  return width - gutter + 8 + (place * (gutter - 12)) / 6;
}

/** The position that lies at a place of the lane, 1…100. */
export function positionAt(place: number, width: number): number {
  const span = width - gutter - 2 * inset;
  const position = Math.round(worstPosition ** ((place - inset) / span));
  return Math.max(1, Math.min(worstPosition, position));
}
