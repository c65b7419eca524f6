import type { EditorContext } from './ClauseEditor';
import { find, put, valuesOf, type Clause } from './sentence.logic';

/** Every clause that the sentence can have: how it reads, how it starts, and with what it is edited. */

export type Editor =
  | { type: 'choices'; choices: string[]; isSingle?: boolean }
  | { type: 'number'; from: boolean; to: boolean; distribution: string | null; steps: number[] }
  | { type: 'competitors' }
  | { type: 'own' }
  | { type: 'text' }
  | { type: 'fixed' };

export interface ClauseKind {
  name: string;
  title: string;
  lead: string;
  editor: Editor;
  isAlways?: boolean;
  isSet: (clauses: Clause[]) => boolean;
  start: (clauses: Clause[]) => Clause[];
  phrase: (clauses: Clause[], context: EditorContext) => string;
}

function isNamed(name: string) {
  return (clauses: Clause[]) => find(clauses, name) !== undefined;
}

function range(name: string, title: string, lead: string, start: { operator: '>=' | '<='; value: string }, steps: number[], distribution: string | null, isAlways = false): ClauseKind {
  return {
    name,
    title,
    lead,
    isAlways,
    editor: { type: 'number', from: true, to: true, distribution, steps },
    isSet: isNamed(name),
    start: (clauses) => put(clauses, name, start.operator, start.value),
    phrase: (clauses) => {
      const noun = title === 'CPC' ? title : title.toLowerCase();
      const phrase = rangePhrase(find(clauses, name, '>=')?.value, find(clauses, name, '<=')?.value);
      return phrase === 'any' ? `any ${noun}` : `${noun} ${phrase}`;
    },
  };
}

function rangePhrase(from: string | undefined, to: string | undefined): string {
  if (from !== undefined && to !== undefined) {
    return `from ${from} to ${to}`;
  }
  return from !== undefined ? `from ${from}` : to !== undefined ? `up to ${to}` : 'any';
}

function choice(name: string, title: string, lead: string, choices: string[], start: string, isAlways = false, isSingle = false): ClauseKind {
  return {
    name,
    title,
    lead,
    isAlways,
    editor: { type: 'choices', choices, isSingle },
    isSet: isNamed(name),
    start: (clauses) => put(clauses, name, '=', start),
    phrase: (clauses) => {
      const values = valuesOf(clauses, name);
      return values.length === 0 ? 'any' : values.join(' or ');
    },
  };
}

function competitorsPhrase(clauses: Clause[], context: EditorContext): string {
  const clause = find(clauses, 'competitors');
  const [count, within] = (clause?.value ?? '0').split('@');
  const top = within === undefined ? 'ranking' : `in the top ${within}`;
  if (clause === undefined) {
    return 'any number of competitors';
  }
  return `${clause.operator === '=' ? 'exactly' : clause.operator === '<=' ? 'at most' : 'at least'} ${count ?? ''} of ${context.domains.length - 1} competitors ${top}`;
}

function ownPhrase(clauses: Clause[]): string {
  const exact = find(clauses, 'own', '=');
  if (exact !== undefined) {
    return exact.value;
  }
  const phrase = rangePhrase(find(clauses, 'own', '>=')?.value, find(clauses, 'own', '<=')?.value);
  return phrase === 'any' ? 'anywhere' : `at ${phrase.replace('from ', '')}`;
}

const markPhrases: Record<string, string> = { kept: 'without what was set aside', open: 'not decided yet', shortlisted: 'on the shortlist', 'set aside': 'set aside' };

export const clauseKinds: ClauseKind[] = [
  choice('standing', 'Standing', 'of standing', ['gap', 'behind', 'level', 'ahead', 'alone', 'unclaimed'], 'gap', true),
  { name: 'competitors', title: 'How many competitors', lead: 'with', isAlways: true, editor: { type: 'competitors' }, isSet: isNamed('competitors'), start: (clauses) => put(clauses, 'competitors', '>=', '2@20'), phrase: competitorsPhrase },
  { name: 'own', title: 'Our position', lead: 'and we are', editor: { type: 'own' }, isSet: isNamed('own'), start: (clauses) => put(put(clauses, 'own', '>=', '6'), 'own', '<=', '20'), phrase: ownPhrase },
  range('volume', 'Volume', '', { operator: '>=', value: '100' }, [10, 50, 100, 200, 500, 1000, 2000, 5000], 'volume', true),
  range('difficulty', 'Difficulty', '', { operator: '<=', value: '35' }, [10, 20, 30, 35, 40, 50, 60, 70], 'difficulty', true),
  { name: 'text', title: 'Words in and out', lead: '', isAlways: true, editor: { type: 'text' }, isSet: isNamed('text'), start: (clauses) => clauses, phrase: (clauses) => find(clauses, 'text')?.value ?? 'any words' },
  range('words', 'Words per keyword', '', { operator: '>=', value: '3' }, [1, 2, 3, 4, 5, 6], 'words'),
  range('cpc', 'CPC', '', { operator: '>=', value: '1' }, [0.25, 0.5, 0.75, 1, 1.5, 3], 'cpc'),
  range('gain', 'Gain in visits', '', { operator: '>=', value: '20' }, [5, 20, 75, 250, 1000], 'gain'),
  choice('horizon', 'Horizon', 'horizon', ['quick win', 'short term', 'long term'], 'quick win'),
  choice('intent', 'Intent', 'intent', ['buy', 'compare', 'learn', 'open'], 'buy'),
  choice('movement', 'Our movement', 'where we', ['entered', 'left', 'climbed', 'slipped', 'steady'], 'slipped'),
  { ...choice('brands', 'Competitors’ brands', 'competitors’ brands', ['hide', 'only'], 'hide', false, true), phrase: (clauses) => (find(clauses, 'brands')?.value === 'only' ? 'only' : 'hidden') },
  { ...choice('mark', 'Our marks', '', ['shortlisted', 'set aside', 'open', 'kept'], 'shortlisted', false, true), phrase: (clauses) => markPhrases[find(clauses, 'mark')?.value ?? ''] ?? 'any mark' },
  { name: 'combination', title: 'Exact combination', lead: 'held by exactly', editor: { type: 'fixed' }, isSet: isNamed('combination'), start: (clauses) => clauses, phrase: (clauses, context) => combinationPhrase(Number(find(clauses, 'combination')?.value ?? 0), context.domains) },
  { name: 'topic', title: 'Topic', lead: 'about', editor: { type: 'fixed' }, isSet: isNamed('topic'), start: (clauses) => clauses, phrase: (clauses) => find(clauses, 'topic')?.value ?? '' },
];

export const optionalKinds = clauseKinds.filter((kind) => kind.isAlways !== true && kind.editor.type !== 'fixed');

export function combinationPhrase(mask: number, domains: string[]): string {
  return domains.filter((_, number) => Math.floor(mask / 2 ** number) % 2 === 1).join(' + ');
}

export function phraseOf(kind: ClauseKind, clauses: Clause[], context: EditorContext): string {
  return kind.phrase(clauses, context);
}
