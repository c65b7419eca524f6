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

/** Topics that are there more than once, with how often. */
export function sharedTopics(rows: { topic: string | null }[]): Map<string, number> {
  const counts = new Map<string, number>();
  for (const { topic } of rows) {
    if (topic !== null) {
      counts.set(topic, (counts.get(topic) ?? 0) + 1);
    }
  }
  return new Map([...counts].filter(([, count]) => count > 1));
}
