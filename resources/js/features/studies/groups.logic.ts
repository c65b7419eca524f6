import type { Study } from '../../api/schema';

/** What the list of studies can be grouped by. */
export const groups = { domain: 'our domain', country: 'country' } as const;
export type Group = keyof typeof groups;

export function isGroup(text: string | null): text is Group {
  return text !== null && text in groups;
}

/** Studies that stand one after another in a list that is ordered by group, put together under the name of it. */
export function grouped(studies: Study[], group: Group | null): { name: string | null; studies: Study[] }[] {
  const found: { name: string | null; studies: Study[] }[] = [];
  for (const study of studies) {
    const name = group === null ? null : (study[group] ?? '');
    const last = found.at(-1);
    if (last?.name === name) {
      last.studies.push(study);
    } else {
      found.push({ name, studies: [study] });
    }
  }
  return found;
}
