import type { Roadmap, RoadmapItem } from '../../api/types';

const names = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'];

/** The month so many after another, as YYYY-MM. */
export function monthAfter(month: string, steps: number): string {
  const number = Number(month.slice(0, 4)) * 12 + Number(month.slice(5, 7)) - 1 + steps;
  return `${String(Math.floor(number / 12)).padStart(4, '0')}-${String((number % 12) + 1).padStart(2, '0')}`;
}

export function monthName(month: string): string {
  return `${names[Number(month.slice(5, 7)) - 1] ?? month} ${month.slice(0, 4)}`;
}

/** The columns of the board: what waits, the months of the plan, and any other month that holds an item. */
export function columnsOf(plan: Roadmap): (string | null)[] {
  const planned = Array.from({ length: plan.months }, (_, step) => monthAfter(plan.start, step));
  const others = plan.items.flatMap((item) => (item.month !== null && !planned.includes(item.month) ? [item.month] : []));
  return [null, ...[...new Set([...others, ...planned])].sort()];
}

/** Published later than the month in which it should be out for its season. */
export function isLate(item: RoadmapItem): boolean {
  return item.publish_by !== null && item.month !== null && item.month > item.publish_by && item.status !== 'done';
}

/** The column to the left or right of where an item stands. */
export function neighbour(columns: (string | null)[], month: string | null, step: 1 | -1): string | null | undefined {
  return columns[columns.indexOf(month) + step];
}
