import type { EditorContext } from './ClauseEditor';
import { alternatives, find, parseSentence, put, valuesOf, type Clause } from './sentence.logic';

/** Every clause that the sentence can have: how it reads, how it starts, and with what it is edited. */

export type Editor =
  | { type: 'choices'; choices: string[]; isSingle?: boolean }
  | { type: 'number'; from: boolean; to: boolean; distribution: string | null; steps: number[] }
  | { type: 'competitors' }
  | { type: 'own' }
  | { type: 'text' }
  | { type: 'plain'; label: string; help: string }
  | { type: 'tag' }
  | { type: 'fixed' };

export interface ClauseKind {
  name: string;
  title: string;
  lead: string;
  editor: Editor;
  isAlways?: boolean;
  /** Another way to write a clause that is offered already: read and edited, not offered. */
  isSpelling?: boolean;
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
  const most = find(clauses, 'competitors', '<=');
  if (clause.operator === '>=' && most !== undefined) {
    return `${count ?? ''} to ${most.value.split('@')[0] ?? ''} of ${context.domains.length - 1} competitors ${top}`;
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
  choice('tactic', 'Tactic', 'tactic', ['new page', 'extend page', 'improve page', 'refresh page', 'merge pages', 'test title'], 'improve page'),
  choice('movement', 'Our movement', 'where we', ['entered', 'left', 'climbed', 'slipped', 'steady'], 'slipped'),
  { ...choice('brands', 'Competitors’ brands', 'competitors’ brands', ['hide', 'only'], 'hide', false, true), phrase: (clauses) => (find(clauses, 'brands')?.value === 'only' ? 'only' : 'hidden') },
  { ...choice('mark', 'Our marks', '', ['shortlisted', 'set aside', 'open', 'kept'], 'shortlisted', false, true), phrase: (clauses) => markPhrases[find(clauses, 'mark')?.value ?? ''] ?? 'any mark' },
  range('visits', 'Visits now', '', { operator: '>=', value: '10' }, [1, 5, 10, 50, 200], null),
  range('potential', 'Potential', '', { operator: '>=', value: '50' }, [20, 50, 200, 1000], null),
  range('expected', 'Expected gain', '', { operator: '>=', value: '10' }, [1, 5, 10, 50, 200], null),
  { ...range('chance', 'Win chance', '', { operator: '>=', value: '0.5' }, [0.1, 0.25, 0.5, 0.75], null), phrase: chancePhrase },
  range('competition', 'Advertiser competition', '', { operator: '<=', value: '0.5' }, [0.25, 0.5, 0.75], null),
  range('links', 'Links to earn', '', { operator: '<=', value: '5' }, [0, 2, 5, 10, 25], null),
  range('above', 'Competitors above us', '', { operator: '>=', value: '1' }, [1, 2, 3, 4], null),
  range('best', 'Best competitor’s position', '', { operator: '<=', value: '10' }, [1, 3, 10, 20], null),
  range('fit', 'Business fit', '', { operator: '>=', value: '3' }, [1, 2, 3, 4, 5], null),
  range('peak', 'Month of the peak', '', { operator: '>=', value: '3' }, [1, 3, 6, 9, 12], null),
  choice('stage', 'Funnel stage', 'funnel stage', ['top', 'middle', 'bottom', 'unset'], 'bottom'),
  choice('season', 'Season', '', ['steady', 'seasonal'], 'seasonal', false, true),
  choice('gaps', 'Our gaps since last time', 'gaps', ['opened', 'closed'], 'opened'),
  { ...choice('paid', 'Who advertises', 'advertised by', ['we', 'they', 'only they', 'nobody'], 'only they', false, true) },
  { ...choice('conflict', 'Page conflict', 'two pages of ours:', ['yes', 'no'], 'yes', false, true) },
  { ...choice('codes', 'Codes and model numbers', 'codes', ['hide', 'only'], 'hide', false, true), phrase: hideOrOnly('codes') },
  { ...choice('navigational', 'Searches for a site or desk', 'searches for a site', ['hide', 'only'], 'hide', false, true), phrase: hideOrOnly('navigational') },
  { ...choice('negatives', 'Our list of negatives', 'our negatives', ['hide', 'only'], 'hide', false, true), phrase: hideOrOnly('negatives') },
  { name: 'regex', title: 'Pattern', lead: 'fitting the pattern', editor: { type: 'plain', label: 'Pattern', help: 'A regular expression, such as ^how (do|to)' }, isSet: isNamed('regex'), start: (clauses) => put(clauses, 'regex', '=', '^how'), phrase: (clauses) => find(clauses, 'regex')?.value ?? '' },
  { name: 'tag', title: 'Tags', lead: 'tagged', editor: { type: 'tag' }, isSet: isNamed('tag'), start: (clauses) => clauses, phrase: (clauses) => valuesOf(clauses, 'tag').join(' or ') || 'anything' },
  { name: 'features', title: 'Features of the results page', lead: 'with', editor: { type: 'plain', label: 'Feature', help: 'As the rankings name it, such as questions, map or pictures' }, isSet: isNamed('features'), start: (clauses) => put(clauses, 'features', '=', 'questions'), phrase: (clauses) => `${find(clauses, 'features')?.value ?? ''} on the results page` },
  { name: 'dated', title: 'Day of a source', lead: 'told by a source since', editor: { type: 'plain', label: 'Day', help: 'YYYY-MM-DD' }, isSet: isNamed('dated'), start: (clauses) => put(clauses, 'dated', '>=', new Date().toISOString().slice(0, 10)), phrase: (clauses) => find(clauses, 'dated')?.value ?? '' },
  { name: 'page', title: 'Page', lead: 'on the page', editor: { type: 'fixed' }, isSet: isNamed('page'), start: (clauses) => clauses, phrase: (clauses) => find(clauses, 'page')?.value.replace(/^https?:\/\//, '') ?? '' },
  { name: 'holds', title: 'Held by', lead: 'held by', editor: { type: 'fixed' }, isSet: isNamed('holds'), start: (clauses) => clauses, phrase: (clauses, context) => names(valuesOf(clauses, 'holds'), context.domains) },
  { name: 'lacks', title: 'Not held by', lead: 'not held by', editor: { type: 'fixed' }, isSet: isNamed('lacks'), start: (clauses) => clauses, phrase: (clauses, context) => names(valuesOf(clauses, 'lacks'), context.domains) },
  { name: alternatives, title: 'One of these', lead: '', editor: { type: 'fixed' }, isSet: isNamed(alternatives), start: (clauses) => clauses, phrase: (clauses, context) => anyPhrase(clauses, context) },
  { name: 'combination', title: 'Exact combination', lead: 'held by exactly', editor: { type: 'fixed' }, isSet: isNamed('combination'), start: (clauses) => clauses, phrase: (clauses, context) => combinationPhrase(Number(find(clauses, 'combination')?.value ?? 0), context.domains) },
  { name: 'topic', title: 'Topic', lead: 'about', editor: { type: 'fixed' }, isSet: isNamed('topic'), start: (clauses) => clauses, phrase: (clauses) => find(clauses, 'topic')?.value ?? '' },
];

/** Position and movement of each competitor, by its name; and our own movement as it may be written beside theirs. */
export function rivalKinds(domains: string[]): ClauseKind[] {
  const ours = domains.slice(0, 1).map((domain) => ({ ...movementOf(0, domain), isSpelling: true }));
  return [...ours, ...domains.slice(1).flatMap((domain, index) => [
    { ...range(`p${index + 1}`, `Position of ${domain}`, `${domain} at`, { operator: '<=', value: '10' }, [1, 3, 10, 20, 50], null), phrase: (clauses: Clause[]) => positionPhrase(clauses, `p${index + 1}`) },
    movementOf(index + 1, domain),
  ])];
}

function movementOf(number: number, domain: string): ClauseKind {
  return choice(`m${number}`, `Movement of ${domain}`, `where ${domain}`, ['entered', 'left', 'climbed', 'slipped', 'steady'], 'slipped');
}

/** Chances are asked for as shares and read as percentages. */
function chancePhrase(clauses: Clause[]): string {
  const share = (operator: '>=' | '<=') => {
    const value = find(clauses, 'chance', operator)?.value;
    return value === undefined ? undefined : `${String(Number((100 * Number(value)).toFixed(4)))} %`;
  };
  return `win chance ${rangePhrase(share('>='), share('<='))}`;
}

function positionPhrase(clauses: Clause[], name: string): string {
  return find(clauses, name, '=')?.value ?? rangePhrase(find(clauses, name, '>=')?.value, find(clauses, name, '<=')?.value);
}

function hideOrOnly(name: string) {
  return (clauses: Clause[]) => (find(clauses, name)?.value === 'only' ? 'only' : 'hidden');
}

function names(numbers: string[], domains: string[]): string {
  return numbers.map((number) => domains[Number(number)] ?? number).join(' and ');
}

/** A bracket in words: each of its clauses as it would read alone. */
function anyPhrase(clauses: Clause[], context: EditorContext): string {
  const inner = find(clauses, alternatives)?.value.slice(1, -1) ?? '';
  const kinds = [...clauseKinds, ...rivalKinds(context.domains)];
  const parts = inner.split('|').map((part) => {
    const one = parseSentence(part);
    const kind = kinds.find((candidate) => candidate.name === one[0]?.name);
    return kind === undefined ? part : `${kind.lead.replace(/^and /, '')} ${kind.phrase(one, context)}`.trim();
  });
  return `either ${parts.join(' or ')}`;
}

export const optionalKinds = clauseKinds.filter((kind) => kind.isAlways !== true && kind.editor.type !== 'fixed');

export function combinationPhrase(mask: number, domains: string[]): string {
  return domains.filter((_, number) => Math.floor(mask / 2 ** number) % 2 === 1).join(' + ');
}

export function phraseOf(kind: ClauseKind, clauses: Clause[], context: EditorContext): string {
  return kind.phrase(clauses, context);
}
