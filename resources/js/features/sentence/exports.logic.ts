import { isSet, phraseOf, subjectOf, type ClauseKind } from './clauses';
import { whole } from '../../shared/format';
import { parseSentence } from './sentence.logic';

/** What a list can be written with, whether it is on show or not. */
export const alsoOf = [
  { key: 'reason', name: 'Reason', isOfPages: false },
  { key: 'tags', name: 'Tags', isOfPages: false },
  { key: 'note', name: 'Note', isOfPages: false },
  { key: 'stage', name: 'Funnel stage', isOfPages: true },
  { key: 'addresses', name: 'Pages of all domains', isOfPages: true },
] as const;

export type Also = (typeof alsoOf)[number]['key'];

export function isAlsos(value: unknown): value is Also[] {
  return Array.isArray(value) && value.every((one) => alsoOf.some(({ key }) => key === one));
}

/** Columns of the screen that are called otherwise in a file, or are none there. */
const written: Record<string, string[]> = {
  choose: [],
  steady: [],
  page: ['own_url'],
  move: ['own', 'target'],
};

/** Columns of a file, of those on show; what a list of pages is not asked for is left out there. */
export function columnsOf(list: string, shown: string[]): string[] {
  return shown.flatMap((key) => (list === 'pages' && key === 'mark' ? [] : (written[key] ?? [key])));
}

/** What is on show, in words and with its count: the first line of a file. */
export function titleOf(subject: string, show: string, kinds: ClauseKind[], domains: string[], count?: number, of?: number): string {
  const clauses = parseSentence(show);
  const parts = kinds
    .filter((kind) => isSet(kind, clauses))
    .map((kind) => `${kind.lead} ${phraseOf(kind, clauses, { kinds, domains })}`.trim());
  const words = `${subjectOf(subject, clauses)} ${parts.join(', ')}`.trim();
  return `${words} — ${whole(count)} of ${whole(of)}`;
}
