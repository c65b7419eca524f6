import type { Account } from '../../api/schema';

/** What a person may beyond single studies. */
export function mayWords(person: Account): string {
  return person.is_administrator ? 'everything' : person.may_make_studies ? 'create studies' : 'study roles only';
}

/** Whether a person can sign in. */
export function stateWords(person: Account): string {
  if (person.is_disabled) {
    return 'disabled';
  }
  return person.link_until === null
    ? 'can sign in'
    : `has a link until ${person.link_until.slice(0, 10)}, ${person.link_until.slice(11, 16)} UTC`;
}
