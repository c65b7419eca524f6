import { describe, expect, it } from 'vitest';
import type { MapPoint } from '../../api/schema';
import { layPlot, mapIn, namedPlaces, stepFrom, wholeMap as size, within, type Place } from './plot.logic';

const point = (name: string, difficulty: number, expected: number, volume: number): MapPoint => ({
  name,
  keywords: 1,
  difficulty,
  expected_gain: expected,
  volume,
  win_chance: 0.5,
  links_to_earn: 9,
  priority: 2.5,
  own_position: null,
});
const map = {
  points: [point('near', 20, 99, 400), point('far <1>', 80, 9, 100)],
  left_out: 0,
  comfort: 40,
  contours: [{ chance: 0.5, difficulty: 55 }],
};

describe('the map of opportunities', () => {
  it('puts difficulty from left to right and sizes areas by volume', () => {
    const { places } = layPlot(map, 'difficulty');
    const inner = size.width - size.left - size.right;
    places.forEach((place, index) => expect(place.x).toBeCloseTo(size.left + inner * (index === 0 ? 0.2 : 0.8)));
    expect((places[0]?.radius ?? 0) / (places[1]?.radius ?? 1)).toBeCloseTo(2);
    expect(places[0]?.y).toBeLessThan(places[1]?.y ?? 0);
  });

  it('draws comfort and win chances as upright lines', () => {
    expect(layPlot(map, 'difficulty').lines.map((line) => line.name)).toEqual(['our page-one rankings average 40.0', 'new page: 50%']);
    expect(layPlot(map, 'links').lines).toEqual([]);
  });

  it('lays volume out against difficulty, and sizes areas by expected gain', () => {
    const [near, far] = layPlot(map, 'volume').places;
    expect((near?.radius ?? 0) / (far?.radius ?? 1)).toBeCloseTo(Math.sqrt(11));
    expect(near?.y).toBeLessThan(far?.y ?? 0);
  });

  it('leaves out what has no place on an axis', () => {
    const unknown = { ...point('nameless', 1, 1, 1), links_to_earn: null };
    expect(layPlot({ ...map, points: [unknown] }, 'links').places).toEqual([]);
    expect(layPlot({ ...map, points: [unknown] }, 'volume').places).toHaveLength(1);
  });

  it('tells by shape and colour where we rank', () => {
    const points = [null, 1, 20, 21].map((own, index) => ({ ...point(`p${index}`, 9, 9, 9), own_position: own }));
    expect(layPlot({ ...map, points }, 'difficulty').places.map(({ standing }) => standing)).toEqual(['absent', 'near', 'near', 'far']);
  });

  it('finds what a line drawn by hand encloses', () => {
    const { places } = layPlot(map, 'difficulty');
    const near = places[0] ?? { x: 0, y: 0 };
    const around = [
      [-9, -9],
      [9, -9],
      [9, 9],
      [-9, 9],
    ].map(([dx, dy]) => ({ x: near.x + (dx ?? 0), y: near.y + (dy ?? 0) }));
    expect(within(places, around)).toEqual(['near']);
    expect(within(places, [])).toEqual([]);
  });

  it('writes no name over another', () => {
    const crowd = { ...map, points: [point('a', 50, 50, 10), point('b', 50, 50, 10), point('far <1>', 90, 5, 1)] };
    const plot = layPlot(crowd, 'difficulty');
    expect(namedPlaces(plot).map(({ place }) => place.point.name)).toEqual(['a', 'b', 'far <1>']);
  });

  it('writes no name on an area or on another name', () => {
    const crowd = Array.from({ length: 120 }, (_, number) =>
      point(`keyword number ${number}`, (number * 37) % 100, 1 + ((number * 53) % 97), 1 + ((number * 71) % 400)),
    );
    const { places } = layPlot({ ...map, points: crowd }, 'difficulty');
    const boxes = namedPlaces({ places: places, frame: size }).map(({ place, x, y, anchor }) => {
      const width = place.point.name.length * 6.1;
      const left = anchor === 'start' ? x : anchor === 'end' ? x - width : x - width / 2;
      return { left, right: left + width, top: y - 10, bottom: y + 2 };
    });
    expect(boxes.length).toBeGreaterThan(3);
    boxes.forEach((box, number) => {
      const lying = places.filter(
        ({ x, y, radius }) =>
          Math.hypot(x - Math.min(box.right, Math.max(box.left, x)), y - Math.min(box.bottom, Math.max(box.top, y))) < radius,
      );
      expect(lying).toEqual([]);
      const others = boxes.slice(0, number);
      expect(
        others.every((other) => other.left >= box.right || box.left >= other.right || other.top >= box.bottom || box.top >= other.bottom),
      ).toBe(true);
    });
  });

  it('rises as the logarithm of one more, and names round figures on the way', () => {
    const plot = layPlot({ ...map, points: [point('low', 0, 9, 1), point('middle', 50, 99, 1), point('high', 100, 999, 1)] }, 'difficulty');
    const [low, middle, high] = plot.places.map((place) => place.y);
    const [bottom, top] = [size.height - size.bottom, size.top];
    expect([low, high]).toEqual([bottom, top]);
    expect(middle).toBeCloseTo((bottom + top) / 2);
    expect(plot.yTicks.map((tick) => tick.name)).toEqual(['10', '30', '100', '300']);
    expect(plot.yTicks[2]?.at).toBeCloseTo(bottom - ((bottom - top) * Math.log(101 / 10)) / Math.log(100));
    expect(plot.xTicks.map((tick) => tick.name)).toEqual(['0', '20', '40', '60', '80', '100']);
    expect([plot.xTicks[0]?.at, plot.xTicks[5]?.at]).toEqual([size.left, size.width - size.right]);
    expect([plot.xName, plot.yName]).toEqual(['Difficulty, 0–100', 'Expected gain, visits a month']);
  });

  it('puts its lines where their difficulty is', () => {
    const inner = size.width - size.left - size.right;
    const [comfort, win] = layPlot(map, 'difficulty').lines;
    expect(comfort?.x).toBeCloseTo(size.left + inner * 0.4);
    expect(win?.x).toBeCloseTo(size.left + inner * 0.55);
    expect([comfort?.isStrong, win?.isStrong]).toEqual([true, false]);
    expect(layPlot({ ...map, comfort: null }, 'difficulty').lines).toHaveLength(1);
  });

  it('draws links against priority, and leaves out where either is unknown', () => {
    const links = (name: string, toEarn: number | null, priority: number | null) => ({
      ...point(name, 50, 9, 9),
      links_to_earn: toEarn,
      priority,
    });
    const plot = layPlot(
      { ...map, points: [links('none', 0, 5), links('many', 99, 0), links('a', null, 3), links('b', 4, null)] },
      'links',
    );
    expect(plot.places.map(({ point: { name } }) => name)).toEqual(['none', 'many']);
    expect(plot.places.map(({ x, y }) => [x, y])).toEqual([
      [size.left, size.top],
      [size.width - size.right, size.height - size.bottom],
    ]);
    expect(plot.xTicks.map((tick) => tick.name)).toEqual(['0', '1', '3', '10', '30']);
    expect(plot.yTicks.map((tick) => tick.name)).toEqual(['0', '1', '2', '3', '4', '5']);
    expect([plot.xName, plot.yName]).toEqual(['Links to earn, referring domains', 'Priority, 0–5']);
  });

  it('gives no area less than can be seen', () => {
    const { places } = layPlot({ ...map, points: [point('large', 10, 9, 100000), point('small', 90, 9, 1)] }, 'difficulty');
    expect(places.map((place) => place.radius)).toEqual([26, 3]);
  });

  it('writes a name at the right, else at the left, above, below, else not at all', () => {
    const at = (name: string, x: number, y: number, radius: number): Place => ({
      point: point(name, 1, 1, 1),
      x,
      y,
      radius,
      standing: 'absent',
    });
    const own = at('name', 500, 250, 10);
    const labels = (...others: Place[]) =>
      namedPlaces({ places: [own, ...others], frame: size })
        .filter(({ place }) => place === own)
        .map(({ x, y, anchor }) => [x, y, anchor]);
    const right = at('r', 530, 250, 12);
    const left = at('l', 470, 250, 12);
    const above = at('u', 500, 227, 8);
    const below = at('d', 500, 271, 8);
    expect(labels()).toEqual([[514, 254, 'start']]);
    expect(labels(right)).toEqual([[486, 254, 'end']]);
    expect(labels(right, left)).toEqual([[500, 234, 'middle']]);
    expect(labels(right, left, above)).toEqual([[500, 274, 'middle']]);
    expect(labels(right, left, above, below)).toEqual([]);
  });

  it('is as wide as there is room, lower where that is narrow, and as legible', () => {
    const narrow = mapIn(600);
    expect([narrow.width, narrow.height, narrow.left]).toEqual([600, 320, size.left]);
    expect(mapIn(size.width)).toEqual(size);
    const plot = layPlot(map, 'difficulty', narrow);
    expect(plot.frame).toBe(narrow);
    expect(plot.xTicks.at(-1)?.at).toBe(600 - size.right);
    expect(namedPlaces({ ...plot, frame: { ...narrow, left: 600 } })).toEqual([]);
  });

  it('names fourteen at most, the highest first, and none beyond the frame', () => {
    const many: Place[] = Array.from({ length: 30 }, (_, number) => ({
      point: point(`n${number}`, 1, 1, 1),
      x: 100 + 30 * number,
      y: 60 + number * 13,
      radius: 3,
      standing: 'absent',
    }));
    const named = namedPlaces({ places: many, frame: size }).map(({ place }) => place.point.name);
    expect(named).toEqual(many.slice(0, 14).map((place) => place.point.name));
    const edge: Place = { point: point('at the very edge', 1, 1, 1), x: size.width - 5, y: 250, radius: 4, standing: 'absent' };
    expect(namedPlaces({ places: [edge], frame: size })[0]?.anchor).toBe('end');
    const low: Place = { point: point('low', 1, 1, 1), x: 500, y: size.height - size.bottom, radius: 4, standing: 'absent' };
    expect(namedPlaces({ places: [low], frame: size })[0]?.anchor).toBe('middle');
  });

  it('is gone through by expected gain, the most first', () => {
    const { places } = layPlot(
      { ...map, points: [point('less', 10, 5, 9), point('most', 50, 90, 9), point('some', 70, 30, 9)] },
      'difficulty',
    );
    expect(stepFrom(places, null, 1)?.point.name).toBe('most');
    expect(stepFrom(places, 'most', 1)?.point.name).toBe('some');
    expect(stepFrom(places, 'less', 1)?.point.name).toBe('less');
    expect(stepFrom(places, 'some', -1)?.point.name).toBe('most');
    expect(stepFrom(places, 'some', Infinity)?.point.name).toBe('less');
    expect(stepFrom([], null, 1)).toBeUndefined();
  });
});
