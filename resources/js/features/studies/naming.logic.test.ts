import { describe, expect, it } from 'vitest';
import type { Study } from '../../api/schema';
import { grouped, isGroup } from './groups.logic';
import { nameOf, slugOf } from './naming.logic';

describe('names that are proposed', () => {
  it('makes a short name that addresses and commands can bear', () => {
    expect(slugOf('Thornfield Apiary, Écosse & Übersee 2026')).toBe('thornfield-apiary-ecosse-ubersee-2026');
    expect(slugOf('  -- hives --  ')).toBe('hives');
    expect(slugOf('bee '.repeat(30))).toMatch(/^[a-z0-9][a-z0-9-]{0,62}$/);
    expect(slugOf('bee '.repeat(30)).endsWith('-')).toBe(false);
    expect(slugOf('蜂')).toBe('');
  });

  it('reads a name from a domain, a host or an address', () => {
    expect(nameOf('thornfield-apiary.example')).toBe('Thornfield apiary');
    expect(nameOf(' https://www.first-swarm.example/shop?a=1 ')).toBe('First swarm');
    expect(nameOf('')).toBe('');
  });
});

describe('groups of studies', () => {
  const study = (name: string, domain: string | null, country: string) => ({ name, domain, country }) as Study;
  const all = [study('A', 'a.example', 'GB'), study('B', 'a.example', 'IE'), study('C', null, 'IE')];

  it('puts neighbours of one group together', () => {
    expect(grouped(all, 'domain').map((group) => [group.name, group.studies.length])).toEqual([
      ['a.example', 2],
      ['', 1],
    ]);
    expect(grouped(all, null)).toEqual([{ name: null, studies: all }]);
    expect(grouped([], 'country')).toEqual([]);
  });

  it('knows its groups', () => {
    expect([isGroup('domain'), isGroup('country'), isGroup('name'), isGroup(null)]).toEqual([true, true, false, false]);
  });
});
