import type { MapPoint, OpportunityMap } from '../../api/schema';
import { across, amountScale, growingScale, radiusScale, upwards, type Frame } from '../../shared/chart';
import { commonWording } from '../../shared/wording';

export type Picture = 'difficulty' | 'links';

export interface Place {
  point: MapPoint;
  x: number;
  y: number;
  radius: number;
}

export interface Plot {
  frame: Frame;
  places: Place[];
  /** Upright lines with a name: comfort difficulty and win chances. */
  lines: { x: number; name: string; isStrong: boolean }[];
  xTicks: { at: number; name: string }[];
  yTicks: { at: number; name: string }[];
  xName: string;
  yName: string;
}

/** The map as it is taken along; on the screen it is as wide as there is room. */
export const wholeMap: Frame = { width: 1180, height: 500, left: 52, right: 130, top: 34, bottom: 40 };

const flattest = 320;
const steepness = wholeMap.height / wholeMap.width;

/** The map in that width: lower where it is narrower, but never so low that its areas lie on each other. */
export function mapIn(width: number): Frame {
  return { ...wholeMap, width, height: Math.max(flattest, Math.round(width * steepness)) };
}

const largest = 26;
const smallest = 3;
const named = 14;

/** Lays points out: difficulty against expected gain, or links to earn against priority; areas go with the volume. */
export function layPlot(map: OpportunityMap, picture: Picture, frame: Frame = wholeMap): Plot {
  const points =
    picture === 'difficulty' ? map.points : map.points.filter((point) => point.links_to_earn !== null && point.priority !== null);
  const most = Math.max(1, ...points.map((point) => point.volume));
  const xMost = picture === 'difficulty' ? 100 : Math.max(10, ...points.map((point) => point.links_to_earn ?? 0));
  const yMost = picture === 'difficulty' ? Math.max(10, ...points.map((point) => point.expected_gain)) : 5;
  const yLeast = picture === 'difficulty' ? Math.min(...points.map((point) => point.expected_gain), yMost / 10) : 0;
  const x = picture === 'links' ? growingScale(xMost, across(frame)) : amountScale(xMost, across(frame));
  const y = picture === 'difficulty' ? growingScale(yMost, upwards(frame), yLeast) : amountScale(yMost, upwards(frame));
  const radius = radiusScale(most, largest, smallest);
  const ticks = (end: number) => [0, 1, 3, 10, 30, 100, 300, 1000, 3000, 10000, 30000].filter((tick) => tick <= end);
  return {
    frame,
    places: points.map((point) => ({
      point,
      x: x(picture === 'difficulty' ? point.difficulty : (point.links_to_earn ?? 0)),
      y: y(picture === 'difficulty' ? point.expected_gain : (point.priority ?? 0)),
      radius: radius(point.volume),
    })),
    lines:
      picture === 'difficulty'
        ? [
            ...(map.comfort === null ? [] : [{ x: x(map.comfort), name: `comfort ${map.comfort.toFixed(1)}`, isStrong: true }]),
            ...map.contours.map((contour) => ({
              x: x(contour.difficulty),
              name: `win ${Math.round(contour.chance * 100)}%`,
              isStrong: false,
            })),
          ]
        : [],
    xTicks: (picture === 'difficulty' ? [0, 20, 40, 60, 80, 100] : ticks(xMost)).map((tick) => ({ at: x(tick), name: String(tick) })),
    yTicks: (picture === 'difficulty' ? ticks(yMost).filter((tick) => tick >= yLeast) : [0, 1, 2, 3, 4, 5]).map((tick) => ({
      at: y(tick),
      name: String(tick),
    })),
    xName: picture === 'difficulty' ? 'Difficulty' : commonWording.linksToEarn,
    yName: picture === 'difficulty' ? 'Expected gain, visits a month' : 'Priority',
  };
}

/** A name beside its place. */
export interface Label {
  place: Place;
  x: number;
  y: number;
  anchor: 'start' | 'middle' | 'end';
}

interface Box {
  left: number;
  right: number;
  top: number;
  bottom: number;
}

const letterWidth = 6.1;
const letterHeight = 12;
const gap = 4;

/** The names of the highest places: each beside its area, where it lies on no other area and on no other name. */
export function namedPlaces({ places, frame }: Pick<Plot, 'places' | 'frame'>): Label[] {
  const written: { label: Label; box: Box }[] = [];
  for (const place of [...places].sort((one, other) => one.y - other.y)) {
    if (written.length === named) {
      break;
    }
    const free = aroundOf(place).find(
      ({ box }) =>
        isInFrame(box, frame) && places.every((other) => !covers(other, box)) && written.every((other) => !overlap(other.box, box)),
    );
    if (free !== undefined) {
      written.push(free);
    }
  }
  return written.map(({ label }) => label);
}

/** Where a name can stand: at the right, at the left, above, below. */
function aroundOf(place: Place): { label: Label; box: Box }[] {
  const width = place.point.name.length * letterWidth;
  const away = place.radius + gap;
  const at = (x: number, y: number, anchor: Label['anchor']) => {
    const left = anchor === 'start' ? x : anchor === 'end' ? x - width : x - width / 2;
    return { label: { place, x, y, anchor }, box: { left, right: left + width, top: y - letterHeight + 2, bottom: y + 2 } };
  };
  return [
    at(place.x + away, place.y + 4, 'start'),
    at(place.x - away, place.y + 4, 'end'),
    at(place.x, place.y - away - 2, 'middle'),
    at(place.x, place.y + away + letterHeight - 2, 'middle'),
  ];
}

function isInFrame(box: Box, frame: Frame): boolean {
  const { left, width, top, height, bottom } = frame;
  return box.left >= left && box.right <= width && box.top >= top - letterHeight && box.bottom <= height - bottom;
}

function overlap(one: Box, other: Box): boolean {
  return one.left < other.right && other.left < one.right && one.top < other.bottom && other.top < one.bottom;
}

/** Whether an area reaches into a box. */
function covers(place: Place, box: Box): boolean {
  const x = Math.max(box.left, Math.min(place.x, box.right));
  const y = Math.max(box.top, Math.min(place.y, box.bottom));
  return (x - place.x) ** 2 + (y - place.y) ** 2 < place.radius ** 2;
}

/** The place that a key leads to: by expected gain, the most first; from none to the first. */
export function stepFrom(places: Place[], name: string | null, step: number): Place | undefined {
  const ordered = [...places].sort((one, other) => other.point.expected_gain - one.point.expected_gain);
  const at = ordered.findIndex((place) => place.point.name === name);
  return ordered[Math.max(0, Math.min(ordered.length - 1, at < 0 ? 0 : at + step))];
}

export interface Spot {
  x: number;
  y: number;
}

/** Names of the points whose middle lies within a line drawn by hand (even-odd rule). */
export function within(places: Place[], outline: Spot[]): string[] {
  return places.filter((place) => isInside(place, outline)).map((place) => place.point.name);
}

function isInside(spot: Spot, outline: Spot[]): boolean {
  let inside = false;
  outline.forEach((one, index) => {
    const other = outline[(index + 1) % outline.length] ?? one;
    if (one.y > spot.y !== other.y > spot.y && spot.x < one.x + ((other.x - one.x) * (spot.y - one.y)) / (other.y - one.y)) {
      inside = !inside;
    }
  });
  return inside;
}
