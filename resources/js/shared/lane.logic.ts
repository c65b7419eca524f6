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
