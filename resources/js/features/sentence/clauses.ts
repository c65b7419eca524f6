import type { ClauseSpec, Vocabulary } from '../../api/schema';
import { alternatives, find, parseSentence, put, spell, valuesOf, type Clause } from './sentence.logic';

/** The clauses of the sentence as the server's vocabulary tells them, and how each reads. */

export type ClauseKind = Omit<ClauseSpec, 'form'> & { form: ClauseSpec['form'] | 'alternatives'; isSpelling: boolean };

/** A bracket of which one clause is enough: a matter of the sentence itself, not of any figure. */
const bracket: ClauseKind = {
  name: alternatives,
  form: 'alternatives',
  title: 'One of',
  meaning: '',
  example: '',
  lead: '',
  operators: ['='],
  choices: [],
  start: '',
  steps: [],
  noun: '',
  has_distribution: false,
  is_share: false,
  label: '',
  help: '',
  tail: '',
  is_offered: false,
  isSpelling: false,
};

/** Every kind that a sentence about these domains, ours first, can have. */
export function kindsOf(vocabulary: Vocabulary, domains: string[]): ClauseKind[] {
  const { p, m } = vocabulary.domain_clauses;
  const known = vocabulary.clauses.map((spec) => ({ ...spec, isSpelling: false }));
  // Our own movement may be written like theirs; it is offered under its usual name.
  const about = domains.flatMap((domain, number) =>
    number === 0
      ? [{ ...named(m, 'm', number, domain), isSpelling: true }]
      : [named(p, 'p', number, domain), named(m, 'm', number, domain)],
  );
  return [...known, bracket, ...about];
}

function named(spec: ClauseSpec, letter: string, number: number, domain: string): ClauseKind {
  const fill = (text: string) => text.replaceAll(`${letter}N`, `${letter}${number}`).replaceAll('DOMAIN', domain);
  return {
    ...spec,
    name: fill(spec.name),
    title: fill(spec.title),
    meaning: fill(spec.meaning),
    lead: fill(spec.lead),
    start: fill(spec.start),
    example: fill(spec.example),
    isSpelling: false,
  };
}

/** Those that can be added from the list of clauses. */
export function offered(kinds: ClauseKind[]): ClauseKind[] {
  return kinds.filter((kind) => kind.is_offered && !kind.isSpelling);
}

export function isSet(kind: ClauseKind, clauses: Clause[]): boolean {
  return find(clauses, kind.name) !== undefined;
}

/** The kind of a clause; one that nobody knows reads as it is spelt. */
export function kindOf(clause: Clause, kinds: ClauseKind[]): ClauseKind {
  return kinds.find((kind) => kind.name === clause.name) ?? { ...bracket, name: clause.name, title: clause.name };
}

/** The sentence with a clause as it begins. */
export function started(kind: ClauseKind, clauses: Clause[]): Clause[] {
  return parseSentence(kind.start).reduce((all, clause) => put(all, clause.name, clause.operator, clause.value), clauses);
}

/** What the words of a clause depend on: the compared domains, ours first, and the kinds of clauses there are. */
export interface ClauseContext {
  domains: string[];
  kinds: ClauseKind[];
}

/** What is shown, before its clauses: all of it where none is set, or none but those that hide something. */
export function subjectOf(subject: string, shown: Clause[]): string {
  const isAll = shown.every(({ value }) => value === 'hide' || value === 'kept');
  return isAll ? `All ${subject.charAt(0).toLowerCase()}${subject.slice(1)}` : subject;
}

/** How a clause reads. */
export function phraseOf(kind: ClauseKind, clauses: Clause[], context: ClauseContext): string {
  const value = find(clauses, kind.name)?.value;
  switch (kind.form) {
    case 'range':
      return rangeWords(kind, clauses);
    case 'choices':
    case 'choice':
      return choiceWords(kind, valuesOf(clauses, kind.name));
    case 'competitors':
      return competitorsPhrase(clauses, context.domains.length - 1);
    case 'position':
      return positionPhrase(kind, clauses);
    case 'words':
      return value ?? 'any words';
    case 'tags':
      return valuesOf(clauses, kind.name).join(' or ') || 'anything';
    case 'domains':
      return valuesOf(clauses, kind.name)
        .map((number) => context.domains[Number(number)] ?? number)
        .join(' and ');
    case 'combination':
      return combinationPhrase(Number(value ?? 0), context.domains);
    case 'page':
      return (value ?? '').replace(/^https?:\/\//, '');
    case 'alternatives':
      return anyPhrase(clauses, context);
    case 'text':
    case 'day':
    case 'topic':
      return [value ?? '', kind.tail].filter((part) => part !== '').join(' ');
  }
}

function choiceWords(kind: ClauseKind, values: string[]): string {
  return values.length === 0
    ? 'any'
    : values.map((value) => kind.choices.find((choice) => choice.value === value)?.words ?? value).join(' or ');
}

function rangeWords(kind: ClauseKind, clauses: Clause[]): string {
  const figure = (operator: Clause['operator']) => {
    const value = find(clauses, kind.name, operator)?.value;
    // Shares are asked for as such and read as percentages.
    return value === undefined || !kind.is_share ? value : `${String(Number((100 * Number(value)).toFixed(4)))}%`;
  };
  const exact = figure('=');
  const phrase = exact ?? rangePhrase(figure('>='), figure('<='));
  return phrase === 'any' ? `any ${kind.noun}` : `${kind.noun} ${phrase}`;
}

function rangePhrase(from: string | undefined, to: string | undefined): string {
  if (from !== undefined && to !== undefined) {
    return `from ${from} to ${to}`;
  }
  return from !== undefined ? `from ${from}` : to !== undefined ? `up to ${to}` : 'any';
}

function competitorsPhrase(clauses: Clause[], competitors: number): string {
  const clause = find(clauses, 'competitors');
  if (clause === undefined) {
    return 'any number of competitors';
  }
  const [count = '', within] = clause.value.split('@');
  const top = within === undefined ? 'ranking' : `in the top ${within}`;
  const most = find(clauses, 'competitors', '<=');
  if (clause.operator === '>=' && most !== undefined) {
    return `${count} to ${most.value.split('@')[0] ?? ''} of ${competitors} competitors ${top}`;
  }
  return (
    `${clause.operator === '=' ? 'exactly' : clause.operator === '<=' ? 'at most' : 'at least'} ${count} of ${competitors} ` +
    `competitors ${top}`
  );
}

function positionPhrase(kind: ClauseKind, clauses: Clause[]): string {
  const exact = find(clauses, kind.name, '=');
  if (exact !== undefined) {
    return exact.value;
  }
  const phrase = rangePhrase(find(clauses, kind.name, '>=')?.value, find(clauses, kind.name, '<=')?.value);
  if (kind.lead.endsWith(' at')) {
    return phrase;
  }
  return phrase === 'any' ? 'anywhere' : `at ${phrase.replace('from ', '')}`;
}

/** A bracket in words: each of its clauses as it would read alone. */
function anyPhrase(clauses: Clause[], context: ClauseContext): string {
  const inner = find(clauses, alternatives)?.value.slice(1, -1) ?? '';
  const parts = inner.split('|').map((part) => {
    const one = parseSentence(part);
    const kind = context.kinds.find((candidate) => candidate.name === one[0]?.name);
    return kind === undefined ? part : `${kind.lead.replace(/^and /, '')} ${phraseOf(kind, one, context)}`.trim();
  });
  return `either ${parts.join(' or ')}`;
}

export function combinationPhrase(mask: number, domains: string[]): string {
  return domains.filter((_, number) => Math.floor(mask / 2 ** number) % 2 === 1).join(' + ');
}

/** Clauses that mean nothing here: an old address may hold some. */
export function strangeIn(clauses: Clause[], kinds: ClauseKind[]): Clause[] {
  return clauses.filter((clause) => !kinds.some((kind) => kind.name === clause.name));
}

/** The sentence as it is written, without one clause. */
export function without(clauses: Clause[], one: Clause): Clause[] {
  return parseSentence(spell(clauses.filter((other) => other !== one)));
}
