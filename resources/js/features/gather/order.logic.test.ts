import { describe, expect, it } from 'vitest';
import { orderOf, outcomeWords } from './order.logic';

const outcome = {
  import: null,
  kept: 1200,
  dropped: 3,
  bad_rows: { total: 0, rows: [] },
  numbers: 'decimal point',
  numbers_ambiguous: false,
  same_file: false,
  notes: [],
  changes: { new: 5, updated: 2, gone: 1 },
};

describe('an import order', () => {
  it('begins with what the file seems to be', () => {
    expect(
      orderOf({
        id: 'u',
        file: 'a.csv',
        bytes: 3,
        notes: [],
        proposal: { kind: 'rankings', domain: 'a.example', date: '', channel: 'paid', leave_out: false, skip_bad_rows: false },
      }),
    ).toEqual({
      upload: 'u',
      kind: 'rankings',
      domain: 'a.example',
      date: null,
      channel: 'paid',
      mapping: {},
      allow_errors: 0,
      header_line: 1,
    });
  });

  it('tells what would change before anything is kept', () => {
    expect(outcomeWords('XLSX, sheet "A"', outcome)).toBe(
      'XLSX, sheet "A": 1,200 rows to keep, 3 to drop (position over 100, or URL outside the domain). Keywords: 5 new, 2 ' +
        'changed, 1 gone. Numbers are read with a decimal point.',
    );
    expect(outcomeWords('CSV', { ...outcome, numbers_ambiguous: true, same_file: true, changes: null })).toContain(
      '1,234 is read as 1234. You imported this file before',
    );
    expect(outcomeWords('CSV', null)).toBe('');
  });
});
