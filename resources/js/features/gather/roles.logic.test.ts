import { describe, expect, it } from 'vitest';
import type { LedgerRow } from '../../api/schema';
import { rowActions } from './roles.logic';

const row = (entry: string, role: LedgerRow['role']): LedgerRow => ({
  id: 1,
  role,
  entry,
  scope: 'registrable',
  authority: null,
  peer: null,
  referring_domains: null,
  said: [],
  brand_terms: [],
  keywords: null,
  first_page: null,
  visits: null,
  value: null,
  share_of_clicks: null,
  why: null,
  snapshots: [],
});
const draftOf = (title: string, entry: string, role: LedgerRow['role']) =>
  rowActions(row(entry, role), 'us', ['a', 'b', 'c']).find((action) => action.title === title)?.draft;

describe('what can be done with a domain', () => {
  it('moves a competitor among the others', () => {
    expect(draftOf('Move up', 'b', 'competitor')?.competitors).toEqual(['b', 'a', 'c']);
    expect(draftOf('Move down', 'b', 'competitor')?.competitors).toEqual(['a', 'c', 'b']);
    expect(draftOf('Move up', 'a', 'competitor')).toBeUndefined();
  });

  it('turns the study round and keeps the order of the others', () => {
    expect(draftOf('Compare from its side', 'b', 'competitor')).toEqual({ domain: 'b', competitors: ['a', 'us', 'c'] });
  });

  it('drops, adds and throws away', () => {
    expect(draftOf('Remove from comparison', 'a', 'competitor')?.competitors).toEqual(['b', 'c']);
    expect(draftOf('Add as competitor', 'd', 'candidate')?.competitors).toEqual(['a', 'b', 'c', 'd']);
    expect(draftOf('Delete candidate', 'd', 'candidate')).toBeNull();
    expect(rowActions(row('us', 'own'), 'us', [])).toEqual([]);
  });
});
