import type { ImportOptions as ImportWish, ImportOutcome, Upload } from '../../api/schema';
import { whole } from '../../shared/format';

/** What is to be done with an upload, with nothing left open. */
export type ImportOptions = Required<ImportWish>;

/** The most bad rows that an import may be told to skip. */
const anyBadRows = 999_999_999;

/** A kind of import in words: `page_links` is "page links". */
export function kindWords(kind: string): string {
  return kind.replaceAll('_', ' ');
}

export function orderOf(upload: Upload): ImportOptions {
  const { kind, domain, date, channel, skip_bad_rows: skips } = upload.proposal;
  return {
    upload: upload.id,
    kind,
    domain,
    date: date === '' ? null : date,
    channel,
    mapping: {},
    allow_errors: skips ? anyBadRows : 0,
    header_line: 1,
  };
}

/** What would be kept and what would change, in words. */
export function outcomeWords(format: string, outcome: ImportOutcome | null): string {
  if (outcome === null) {
    return '';
  }
  const { changes } = outcome;
  return [
    `${format}: ${whole(outcome.kept)} rows to keep, ${whole(outcome.dropped)} to drop (position over 100, or URL outside the domain).`,
    changes === null ? '' : `Keywords: ${whole(changes.new)} new, ${whole(changes.updated)} changed, ${whole(changes.gone)} gone.`,
    outcome.numbers_ambiguous
      ? 'The file doesn’t show how it writes numbers, so 1,234 is read as 1234.'
      : outcome.numbers === 'undecided'
        ? ''
        : `Numbers are read with a ${outcome.numbers}.`,
    outcome.same_file ? 'You imported this file before. This import replaces it.' : '',
  ]
    .filter((part) => part !== '')
    .join(' ');
}
