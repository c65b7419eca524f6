import type { OurPage } from '../../api/schema';
import type { ShownTable } from '../../shared/shownTable';
import { estimate, percent, unknown, whole } from '../../shared/format';

/** What the list of our pages can go by. */
const orders: Record<string, (page: OurPage) => number | string | null> = {
  page: (page) => page.url,
  visits: (page) => page.visits,
  six: (page) => page.change_6,
  year: (page) => page.change_12,
  keywords: (page) => page.keywords,
  striking: (page) => page.striking,
  gain: (page) => page.gain,
  expected: (page) => page.expected_gain,
  conflicts: (page) => page.conflicts,
  titles: (page) => page.title_tests,
  topics: (page) => page.topics[0] ?? null,
};

/** In that order; what is unknown comes last either way, and equal ones by address. */
export function ordered(pages: OurPage[], by: string, dir: string): OurPage[] {
  const value = orders[by] ?? orders.visits;
  const sign = dir === 'asc' ? 1 : -1;
  return value === undefined
    ? pages
    : [...pages].sort((one, other) => {
        const [a, b] = [value(one), value(other)];
        if (a === null || b === null) {
          return a === b ? 0 : a === null ? 1 : -1;
        }
        return a === b ? one.url.localeCompare(other.url) : (a < b ? -1 : 1) * sign;
      });
}

/** From here on a percentage says less than how many times as much it is. */
const tenfold = 9;

/** How much it changed, with its sign. */
export function changeWords(change: number | null): string {
  if (change !== null && change >= tenfold) {
    return `× ${whole(change + 1)}`;
  }
  return change === null ? unknown : `${change > 0 ? '+' : change < 0 ? '−' : ''}${percent(Math.abs(change))}`;
}

/** How many pages fade, and what they have lost since half a year or a year ago. */
export function fadingWords(pages: OurPage[]): string | null {
  const fading = pages.filter((page) => page.is_fading);
  const lost = fading.reduce((sum, page) => sum + Math.max(page.visits_6 ?? 0, page.visits_12 ?? 0) - page.visits, 0);
  return fading.length === 0
    ? null
    : `${fading.length} ${fading.length === 1 ? 'page fades' : 'pages fade'}: ${estimate(lost)} visits a month lost.`;
}

/** The pages as a table to be saved: of each column what the list goes by. */
export function tableOf(pages: OurPage[], columns: { key: string; heading: unknown }[]): ShownTable {
  const kept = columns.flatMap(({ key, heading }) => {
    const value = orders[key];
    return value === undefined ? [] : [{ heading: String(heading), value }];
  });
  return {
    headings: kept.map(({ heading }) => heading),
    rows: pages.map((page) => kept.map(({ value }) => value(page))),
  };
}
