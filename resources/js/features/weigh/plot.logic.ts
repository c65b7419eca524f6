import type { MapPoint, OpportunityMap } from '../../api/schema';
import { across, amountScale, growingScale, radiusScale, upwards, type Frame } from '../../shared/chart';
import { decimal, percent, whole } from '../../shared/format';

export type Picture = 'difficulty' | 'volume' | 'links';

/** Where we rank for it, as its shape and colour tell. */
export type Standing = 'absent' | 'far' | 'near';

export const standings: Record<Standing, string> = {
  absent: 'we don’t rank',
  far: 'we rank beyond 20',
  near: 'we rank in the top 20',
};

export interface Place {
  point: MapPoint;
  x: number;
  y: number;
  radius: number;
  standing: Standing;
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

interface Axis {
  name: string;
  of: (point: MapPoint) => number | null;
  /** Where it ends, whatever the points; their largest figure otherwise. */
  end?: number;
  ticks: number[];
  /** Grows by factors, not by steps. */
  isGrowing: boolean;
}

interface Axes {
  x: Axis;
  y: Axis;
  /** What the size of an area tells. */
  area: (point: MapPoint) => number;
  areaName: string;
}

const magnitudes = [0, 1, 3, 10, 30, 100, 300, 1000, 3000, 10_000, 30_000, 100_000];
const difficulty: Axis = {
  name: 'Difficulty, 0–100',
  of: (point) => point.difficulty,
  end: 100,
  ticks: [0, 20, 40, 60, 80, 100],
  isGrowing: false,
};

export const pictures: Record<Picture, Axes & { title: string }> = {
  difficulty: {
    title: 'Difficulty and gain',
    x: difficulty,
    y: { name: 'Expected gain, visits a month', of: (point) => point.expected_gain, ticks: magnitudes, isGrowing: true },
    area: (point) => point.volume,
    areaName: 'volume',
  },
  volume: {
    title: 'Difficulty and volume',
    x: difficulty,
    y: { name: 'Volume, searches a month', of: (point) => point.volume, ticks: magnitudes, isGrowing: true },
    area: (point) => point.expected_gain,
    areaName: 'expected gain',
  },
  links: {
    title: 'Links and priority',
    x: { name: 'Links to earn, referring domains', of: (point) => point.links_to_earn, ticks: magnitudes, isGrowing: true },
    y: { name: 'Priority, 0–5', of: (point) => point.priority, end: 5, ticks: [0, 1, 2, 3, 4, 5], isGrowing: false },
    area: (point) => point.volume,
    areaName: 'volume',
  },
};

const leastEnd = 10;

/** A scale over the figures of an axis, with its ticks. */
function scaleOf(axis: Axis, figures: number[], room: [number, number], isUpright: boolean) {
  const most = axis.end ?? Math.max(leastEnd, ...figures);
  const least = axis.isGrowing && isUpright ? Math.min(...figures, most / 10) : 0;
  const at = axis.isGrowing ? growingScale(most, room, least) : amountScale(most, room);
  const ticks = axis.ticks.filter((tick) => tick <= most && tick >= least).map((tick) => ({ at: at(tick), name: whole(tick) }));
  return { at, ticks };
}

/** Lays points out by the axes of a picture. */
export function layPlot(map: OpportunityMap, picture: Picture, frame: Frame = wholeMap): Plot {
  const { x, y, area } = pictures[picture];
  const points = map.points.flatMap((point) => {
    const [across, up] = [x.of(point), y.of(point)];
    return across === null || up === null ? [] : [{ point, across, up }];
  });
  const radius = radiusScale(Math.max(1, ...points.map(({ point }) => area(point))), largest, smallest);
  const level = scaleOf(
    x,
    points.map(({ across }) => across),
    across(frame),
    false,
  );
  const upright = scaleOf(
    y,
    points.map(({ up }) => up),
    upwards(frame),
    true,
  );
  return {
    frame,
    places: points.map(({ point, across, up }) => ({
      point,
      x: level.at(across),
      y: upright.at(up),
      radius: radius(area(point)),
      standing: standingOf(point.own_position),
    })),
    lines: x === difficulty ? linesOf(map, level.at) : [],
    xTicks: level.ticks,
    yTicks: upright.ticks,
    xName: x.name,
    yName: y.name,
  };
}

function standingOf(position: number | null): Standing {
  return position === null ? 'absent' : position > 20 ? 'far' : 'near';
}

/** How hard it may be: up to where we usually reach page one, and where a new page wins how often. */
function linesOf(map: OpportunityMap, at: (difficulty: number) => number): Plot['lines'] {
  const comfort =
    map.comfort === null ? [] : [{ x: at(map.comfort), name: `our page-one rankings average ${decimal(map.comfort)}`, isStrong: true }];
  return [
    ...comfort,
    ...map.contours.map((contour) => ({ x: at(contour.difficulty), name: `new page: ${percent(contour.chance)}`, isStrong: false })),
  ];
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
