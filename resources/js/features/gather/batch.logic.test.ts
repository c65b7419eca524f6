import { describe, expect, it } from 'vitest';
import type { ImportPreview } from '../../api/schema';
import { alike, batchWords, problemsOf, stateOf, type BatchFile } from './batch.logic';

const outcome = { kept: 3, dropped: 0 } as ImportPreview['outcome'];
const preview = (more: Partial<ImportPreview> = {}): ImportPreview => ({
  format: 'CSV',
  headers: ['keyword', 'position'],
  sample: [],
  fields: [],
  mapping: {},
  nearly: [],
  problem: null,
  outcome,
  bad_rows: null,
  ...more,
});
const order = {
  upload: 'u',
  kind: 'rankings',
  domain: 'a.example',
  date: null,
  channel: 'organic',
  mapping: {},
  allow_errors: 0,
  header_line: 1,
} as const;
const file = (more: Partial<BatchFile> = {}): BatchFile => ({
  file: {} as File,
  order,
  notes: [],
  preview: preview(),
  failure: null,
  state: 'open',
  ...more,
});

describe('a file of a batch', () => {
  it('is ready when it was read, has a day and nothing stands in its way', () => {
    expect(stateOf(file({ order: null }), '')).toBe('sending');
    expect(stateOf(file({ preview: undefined }), '')).toBe('looking');
    expect(stateOf(file(), '')).toBe('needs a day');
    expect(stateOf(file(), '2026-11-01')).toBe('ready');
    expect(stateOf(file({ order: { ...order, date: '2026-10-01' } }), '')).toBe('ready');
    expect(stateOf(file({ failure: 'no table' }), '2026-11-01')).toBe('problem');
    expect(stateOf(file({ preview: preview({ outcome: null }) }), '2026-11-01')).toBe('problem');
    expect(stateOf(file({ state: 'skipped' }), '')).toBe('skipped');
  });

  it('says what stands in its way, and which header is nearly a field', () => {
    const bad = { total: 2, rows: [], kept: 0 } as unknown as ImportPreview['bad_rows'];
    const found = preview({
      problem: 'There is no column "position".',
      bad_rows: bad,
      nearly: [
        { header: 'my page', field: 'url' },
        { header: 'x', field: 'page_strength' },
      ],
    });
    expect(problemsOf(file({ preview: found }))).toEqual([
      'There is no column "position".',
      '2 bad rows',
      '“my page” is not used; is it url?',
      '“x” is not used; is it page strength?',
    ]);
    expect(problemsOf(file({ preview: preview({ bad_rows: bad }), order: { ...order, allow_errors: 2 } }))).toEqual([]);
  });

  it('shares its mapping with those of the same header and kind', () => {
    const other = file({ preview: preview({ headers: ['a'] }) });
    const keywords = file({ order: { ...order, kind: 'keywords' } });
    expect(alike([file(), other, file(), keywords, file({ preview: undefined })], 0)).toEqual([0, 2]);
    expect(alike([file({ preview: undefined }), file({ preview: undefined })], 1)).toEqual([1]);
  });

  it('is counted with the others', () => {
    expect(batchWords(['ready', 'ready', 'needs a day', 'problem', 'sending', 'sent', 'skipped'])).toBe(
      '1 imported, 2 ready, 1 being read, 1 needs a day, 1 has a problem, 1 skipped',
    );
    expect(batchWords([])).toBe('');
  });
});
