import { describe, expect, it } from 'vitest';
import type { MapPoint } from '../../api/schema';
import { layPlot, namedPlaces, size, stepFrom, within } from './plot.logic';

const point = (name: string, difficulty: number, expected: number, volume: number): MapPoint => ({
  name,
  keywords: 1,
  difficulty,
  expected_gain: expected,
  volume,
  win_chance: 0.5,
  links_to_earn: 9,
  priority: 2.5,
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
    expect(layPlot(map, 'difficulty').lines.map((line) => line.name)).toEqual(['comfort 40.0', 'win 50 %']);
    expect(layPlot(map, 'links').lines).toEqual([]);
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
    expect(namedPlaces(plot.places).map(({ place }) => place.point.name)).toEqual(['a', 'b', 'far <1>']);
  });

  it('writes no name on an area or on another name', () => {
    const crowd = Array.from({ length: 120 }, (_, number) =>
      point(`keyword number ${number}`, (number * 37) % 100, 1 + ((number * 53) % 97), 1 + ((number * 71) % 400)),
    );
    const { places } = layPlot({ ...map, points: crowd }, 'difficulty');
    const boxes = namedPlaces(places).map(({ place, x, y, anchor }) => {
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
