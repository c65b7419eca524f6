import { describe, expect, it } from 'vitest';
import type { Account } from '../../api/schema';
import { mayWords, stateWords } from './people.logic';

const wren: Account = {
  id: 1,
  name: 'Wren Sedge',
  email: 'wren@thornfield-apiary.example',
  is_administrator: false,
  may_make_studies: true,
  is_disabled: false,
  has_second_factor: false,
  sessions: 0,
  last_seen: null,
  tokens: 0,
  link_until: null,
  roles: [],
};

describe('what is said of a person', () => {
  it('names the most a person may', () => {
    expect(mayWords({ ...wren, is_administrator: true, may_make_studies: false })).toBe('everything');
    expect(mayWords(wren)).toBe('create studies');
    expect(mayWords({ ...wren, may_make_studies: false })).toBe('study roles only');
  });

  it('says who is disabled before who was invited', () => {
    const invited = { ...wren, link_until: '2026-11-29T10:20:00Z' };
    expect(stateWords(wren)).toBe('can sign in');
    expect(stateWords(invited)).toBe('has a link until 2026-11-29, 10:20 UTC');
    expect(stateWords({ ...invited, is_disabled: true })).toBe('disabled');
  });
});
