import type { OpportunityGroup } from '../../api/schema';
import type { Trait } from '../decisions/useSelection';

export const groupings: Trait[] = ['topic', 'intent', 'stage', 'tactic', 'horizon', 'page'];
export type Figure = Exclude<keyof OpportunityGroup, 'name' | 'clause'>;

/** The stage with the fewest opportunities among those that have one. */
export function thinStage(groups: OpportunityGroup[]): { name: string; keywords: number; of: number } | null {
  const staged = groups.filter((group) => group.name !== null);
  const [thin] = [...staged].sort((one, other) => one.keywords - other.keywords);
  return thin === undefined
    ? null
    : { name: thin.name ?? '', keywords: thin.keywords, of: staged.reduce((sum, group) => sum + group.keywords, 0) };
}

/** Keywords that one page serves, in the order of the best of each; what has no topic is a page by itself. */
export function byPage<Row extends { keyword: string; topic: string | null }>(rows: Row[]): { page: string; rows: [Row, ...Row[]] }[] {
  const pages = new Map<string, [Row, ...Row[]]>();
  for (const row of rows) {
    const page = row.topic ?? row.keyword;
    const own = pages.get(page);
    if (own === undefined) {
      pages.set(page, [row]);
    } else {
      own.push(row);
    }
  }
  return [...pages].map(([page, own]) => ({ page, rows: own }));
}

/** One reason for a page: that of its best keyword, and how many others there are. */
export function reasonOf(rows: { reason: string | null }[]): string | null {
  const [first, ...more] = new Set(rows.flatMap(({ reason }) => (reason === null ? [] : [reason])));
  return first === undefined ? null : more.length === 0 ? first : `${first} (and ${more.length} more)`;
}
