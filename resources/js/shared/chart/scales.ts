import { scaleLinear, scaleLog, scaleSqrt, scaleSymlog, scaleUtc, type ScaleContinuousNumeric, type ScaleTime } from 'd3-scale';

/** Scales of every drawing: where a value lies, in the units of the drawing. */
export type Scale = ScaleContinuousNumeric<number, number>;
export type DayScale = ScaleTime<number, number>;

type Range = readonly [from: number, to: number];

export const worstPosition = 100;

/** Positions that are named where there is room. */
export const positionTicks = [1, 3, 10, 20, 50, 100] as const;

/** Positions 1…100, logarithmic: from 1 to 2 is as far as from 50 to 100. */
export function positionScale(range: Range): Scale {
  return scaleLog().domain([1, worstPosition]).range(range).clamp(true);
}

/** True time: a month without a list takes as much room as one with. Days as the API gives them. */
export function dayScale(days: readonly string[], range: Range): DayScale {
  const times = days.map(timeOf).sort((one, other) => one - other);
  const [first, last] = [times[0] ?? 0, times.at(-1) ?? 0];
  // A single day lies at the end, where the newest one lies.
  return scaleUtc()
    .domain(first === last ? [first - 1, last] : [first, last])
    .range(range);
}

/** The moment a day begins; a month is its first day. */
export function timeOf(day: string): number {
  return Date.parse(day.length === 7 ? `${day}-01` : day);
}

/** Amounts and shares, from the least to the most. */
export function amountScale(most: number, range: Range, least = 0): Scale {
  return scaleLinear().domain([least, most]).range(range);
}

/** Amounts of any size: as logarithms, with 0 among them. */
export function growingScale(most: number, range: Range, least = 0): Scale {
  return scaleSymlog().constant(1).domain([least, most]).range(range);
}

/** Radius of an area that goes with an amount. */
export function radiusScale(most: number, largest: number, smallest = 0): (amount: number) => number {
  const scale = scaleSqrt().domain([0, most]).range([0, largest]);
  return (amount) => Math.max(smallest, scale(amount));
}

/** Heights pushed apart so far that labels at them do not cover each other, their order kept, none below the floor. */
export function spreadOut(heights: readonly number[], gap: number, floor = Infinity): number[] {
  const spread = [...heights];
  const order = heights.map((_, index) => index).sort((a, b) => (heights[a] ?? 0) - (heights[b] ?? 0));
  order.reduce<number>((above, index) => {
    spread[index] = Math.max(heights[index] ?? 0, above + gap);
    return spread[index];
  }, -Infinity);
  [...order].reverse().reduce<number>((below, index) => {
    spread[index] = Math.min(spread[index] ?? 0, below - gap);
    return spread[index];
  }, floor + gap);
  return spread;
}

const letterWidth = 6.5;

/** Those of the names that stand beside each other without touching; the last always stands, as it is the newest. */
export function legible<Name extends { at: number; name: string }>(names: readonly Name[]): Name[] {
  const kept: Name[] = [];
  for (const name of [...names].reverse()) {
    const next = kept.at(-1);
    const room = (name.name.length + (next?.name.length ?? 0)) / 2 + 1;
    if (next === undefined || next.at - name.at >= room * letterWidth) {
      kept.push(name);
    }
  }
  return kept.reverse();
}
