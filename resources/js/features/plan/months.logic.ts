import type { Roadmap, RoadmapItem } from '../../api/schema';

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
  const others = plan.items.flatMap((item) => [...(item.month === null ? [] : [item.month]), ...Object.keys(item.spread)]);
  return [null, ...[...new Set([...others, ...planned])].sort()];
}

/** Items that go on in a month after the one they began in, with the days they take there. */
export function continuedIn(items: RoadmapItem[], month: string | null): { item: RoadmapItem; days: number }[] {
  return items.flatMap((item) =>
    month !== null && month !== item.month && item.spread[month] !== undefined ? [{ item, days: item.spread[month] }] : [],
  );
}

/** The month in which the work on an item ends. */
export function endOf(item: RoadmapItem): string | null {
  return Object.keys(item.spread).sort().at(-1) ?? item.month;
}

/** The column to the left or right of where an item stands. */
export function neighbour(columns: (string | null)[], month: string | null, step: 1 | -1): string | null | undefined {
  return columns[columns.indexOf(month) + step];
}

/** What a card stands for: a page with its keywords, single keyword, or links for a page; and what became of its topic. */
export function servesWords(item: Pick<RoadmapItem, 'unit' | 'name' | 'topic' | 'keywords' | 'links_to_earn'>): string {
  if (item.unit === 'links') {
    return item.links_to_earn === 1 ? '1 link for this page' : `${item.links_to_earn ?? 0} links for this page`;
  }
  if (item.unit === 'keyword') {
    return 'single keyword';
  }
  const count = `${item.keywords.length} ${item.keywords.length === 1 ? 'keyword' : 'keywords'}`;
  if (item.topic === null) {
    return 'no longer a topic of the comparison';
  }
  return item.topic === item.name ? count : `${count}; now called “${item.topic}”`;
}

export function setAsideWords({ reason }: { reason: string }): string {
  return reason === '' ? 'set aside' : `set aside: ${reason}`;
}

/** The card after or before the chosen one, column by column; the first or the last where none is chosen. */
export function cardBeside<Card extends Pick<RoadmapItem, 'id' | 'month'>>(
  items: Card[],
  columns: (string | null)[],
  chosen: number | undefined,
  step: 1 | -1,
): Card | undefined {
  const inOrder = columns.flatMap((month) => items.filter((item) => item.month === month));
  const place = inOrder.findIndex((item) => item.id === chosen);
  return inOrder[place < 0 ? (step > 0 ? 0 : inOrder.length - 1) : Math.min(inOrder.length - 1, Math.max(0, place + step))];
}

/** Whether pages of ours are to become one, so that the others need redirects. */
export function mergesPages(item: RoadmapItem): boolean {
  return item.tactic.startsWith('merge pages') && item.status !== 'dropped';
}
