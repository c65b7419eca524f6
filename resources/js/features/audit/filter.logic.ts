import type { AuditLine } from '../../api/schema';

export interface AuditFilter {
  person?: string;
  study?: string;
  action?: string;
  outcome?: 'done' | 'refused';
  from?: string;
  to?: string;
}

const texts = ['person', 'study', 'action', 'from', 'to'] as const;

/** What an address asks for. */
export function filterOf(params: URLSearchParams): AuditFilter {
  const outcome = params.get('outcome');
  const asked = texts.flatMap((name): [string, string][] => {
    const value = params.get(name) ?? '';
    return value === '' ? [] : [[name, value]];
  });
  return { ...Object.fromEntries(asked), ...(outcome === 'done' || outcome === 'refused' ? { outcome } : {}) };
}

/** How it ended, in words. */
export function outcomeOf({ status }: Pick<AuditLine, 'status'>): string {
  switch (true) {
    case status === 0 || status < 400:
      return 'done';
    case status === 401:
      return 'refused: not signed in';
    case status === 403:
      return 'refused: not allowed';
    case status === 404:
      return 'refused: not found';
    case status === 409 || status === 419:
      return 'refused: out of date';
    case status === 422:
      return 'refused: invalid';
    default:
      return status >= 500 ? 'failed' : 'refused';
  }
}

/** What stood there before, as words: each thing with the fields that were changed. */
export function beforeWords({ before }: AuditLine['detail']): string {
  const things = typeof before === 'object' && before !== null ? Object.entries(before as Record<string, Record<string, unknown>>) : [];
  return things.map(([thing, fields]) => `${thing}: ${Object.entries(fields).map(said).join(', ')}`).join('; ');
}

function said([name, value]: [string, unknown]): string {
  const words = value === null || value === '' ? 'nothing' : typeof value === 'string' ? value : JSON.stringify(value);
  return `${name.replaceAll('_', ' ')} ${words}`;
}

/** What was asked, as words: each field with what stood in it, and the number under which stands what was before. */
export function askedWords(detail: AuditLine['detail']): string {
  const { asked, ...rest } = detail;
  const more = Object.entries(rest).filter(([name]) => name !== 'before');
  const fields: [string, unknown][] =
    typeof asked === 'object' && asked !== null ? Object.entries(asked) : typeof asked === 'string' ? [['asked', asked]] : [];
  return [...fields, ...more]
    .map(([name, value]) => `${name.replaceAll('_', ' ')}: ${typeof value === 'string' ? value : JSON.stringify(value)}`)
    .join('; ');
}
