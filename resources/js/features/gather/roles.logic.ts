import type { LedgerRow } from '../../api/schema';

export interface RowAction {
  title: string;
  /** The study's domains afterwards; null throws the candidate away. */
  draft: { domain: string; competitors: string[] } | null;
}

const mostCompetitors = 10;

/** What can be done with a domain of the ledger: add, drop, move, see the study from its side, throw away. */
export function rowActions(row: LedgerRow, own: string, competitors: string[]): RowAction[] {
  const place = competitors.indexOf(row.entry);
  const others = competitors.filter((entry) => entry !== row.entry);
  if (row.role === 'own') {
    return [];
  }
  if (row.role === 'candidate') {
    const add: RowAction[] =
      competitors.length < mostCompetitors
        ? [{ title: 'Add as competitor', draft: { domain: own, competitors: [...competitors, row.entry] } }]
        : [];
    return [...add, { title: 'Delete candidate', draft: null }];
  }
  const moved = (to: number) => [...others.slice(0, to), row.entry, ...others.slice(to)];
  return [
    ...(place > 0 ? [{ title: 'Move up', draft: { domain: own, competitors: moved(place - 1) } }] : []),
    ...(place < competitors.length - 1 ? [{ title: 'Move down', draft: { domain: own, competitors: moved(place + 1) } }] : []),
    {
      title: 'Compare from its side',
      draft: { domain: row.entry, competitors: competitors.map((entry) => (entry === row.entry ? own : entry)) },
    },
    { title: 'Remove from comparison', draft: { domain: own, competitors: others } },
  ];
}
