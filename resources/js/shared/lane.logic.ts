/** Geometry of the rank lane. */

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
