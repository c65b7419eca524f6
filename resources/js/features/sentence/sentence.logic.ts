/** The sentence as clauses. Its text is the URL, the API's filter and the name of what is shown. */

export interface Clause {
  name: string;
  operator: '>=' | '<=' | '=';
  value: string;
}

/** Name that stands for a bracket of clauses of which one is enough. */
export const alternatives = '()';

/** What stands between two clauses; with a backslash before it a semicolon belongs to a value. */
const between = /(?<!\\);/;

const shape = /^\s*([a-z_]+\d*)\s*(>=|<=|=)\s*(.*?)\s*$/s;

export function parseSentence(text: string): Clause[] {
  const clauses: Clause[] = [];
  for (const part of text.split(between)) {
    if (part.trim().startsWith('(')) {
      clauses.push({ name: alternatives, operator: '=', value: part.trim() });
      continue;
    }
    const match = shape.exec(part);
    if (match !== null) {
      clauses.push({ name: match[1] ?? '', operator: operatorOf(match[2]), value: (match[3] ?? '').replaceAll('\\;', ';') });
    }
  }
  return clauses;
}

function spellClause({ name, operator, value }: Clause): string {
  return name + operator + value.replaceAll(';', '\\;');
}

export function spell(clauses: Clause[]): string {
  return clauses.map((clause) => (clause.name === alternatives ? clause.value : spellClause(clause))).join(';');
}

/** Finds a clause by name and, where a name may stand twice as a range, by operator. */
export function find(clauses: Clause[], name: string, operator?: Clause['operator']): Clause | undefined {
  return clauses.find((clause) => clause.name === name && (operator === undefined || clause.operator === operator));
}

/** The sentence with one clause put in place of its like, or taken away when the value is empty. */
export function put(clauses: Clause[], name: string, operator: Clause['operator'], value: string): Clause[] {
  const index = clauses.findIndex((clause) => clause.name === name && clause.operator === operator);
  if (value === '') {
    return clauses.filter((_, place) => place !== index);
  }
  const clause: Clause = { name, operator, value };
  return index < 0 ? [...clauses, clause] : clauses.map((old, place) => (place === index ? clause : old));
}

/** A sentence with one clause more, as it is written; it takes the place of its like, so that none ever stands there twice. */
export function add(show: string, text: string): string {
  const [clause] = parseSentence(text);
  const clauses = parseSentence(show);
  if (clause === undefined) {
    return show;
  }
  return spell(
    clause.name === alternatives
      ? [...clauses.filter((other) => other.value !== clause.value), clause]
      : put(clauses, clause.name, clause.operator, clause.value),
  );
}

/** Adds a value to a list clause such as standing=gap,behind, or takes it out. */
export function toggle(clauses: Clause[], name: string, value: string): Clause[] {
  const values = valuesOf(clauses, name);
  const next = values.includes(value) ? values.filter((other) => other !== value) : [...values, value];
  return put(clauses, name, '=', next.join(','));
}

export function valuesOf(clauses: Clause[], name: string): string[] {
  const clause = find(clauses, name, '=');
  return clause === undefined ? [] : clause.value.split(',').map((value) => value.trim());
}

function operatorOf(text: string | undefined): Clause['operator'] {
  return text === '>=' || text === '<=' ? text : '=';
}

/** The clauses with one of them a place earlier or later. */
export function moved(clauses: Clause[], from: number, step: 1 | -1): Clause[] {
  const clause = clauses[from];
  const to = from + step;
  if (clause === undefined || to < 0 || to >= clauses.length) {
    return clauses;
  }
  const rest = clauses.filter((_clause, place) => place !== from);
  return [...rest.slice(0, to), clause, ...rest.slice(to)];
}
