/** Geometry of the rank lane, on the scale of positions that all drawings share. */
import { positionScale, worstPosition } from '../../shared/chart';

const inset = 10;
const gutter = 64;

const scales = new Map<number, ReturnType<typeof positionScale>>();

/** One for each width, as a list draws thousands of lanes. */
function scaleOf(width: number) {
  const known = scales.get(width) ?? positionScale([inset, width - gutter - inset]);
  scales.set(width, known);
  return known;
}

/** Horizontal place of a position on a lane of some width, in pixels. */
export function placeOf(position: number, width: number): number {
  return scaleOf(width)(position);
}

/** Horizontal place of the nth absent domain, in the gutter. */
export function gutterOf(place: number, width: number): number {
  return width - gutter + 8 + (place * (gutter - 12)) / 6;
}

/** The position that lies at a place of the lane, 1…100. */
export function positionAt(place: number, width: number): number {
  return Math.max(1, Math.min(worstPosition, Math.round(scaleOf(width).invert(place))));
}
