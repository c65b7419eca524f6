import { describe, expect, it } from 'vitest';
import { fitting, usedWith, type Command } from './commands.logic';

const command = (id: string, title: string, group = 'Stage'): Command => ({ id, title, group, to: `/${id}` });
const all = [
  command('compare', 'Compare'),
  command('weigh', 'Weigh'),
  command('map', 'Weigh: Map', 'View'),
  command('keys', 'bee hive', 'Keyword'),
];

describe('the command box', () => {
  it('finds what has every word that was typed, what begins with it first', () => {
    expect(fitting(all, 'weigh', []).map(({ id }) => id)).toEqual(['weigh', 'map']);
    expect(fitting(all, 'MAP weigh', []).map(({ id }) => id)).toEqual(['map']);
    expect(fitting(all, 'nothing', [])).toEqual([]);
    expect(fitting(all, 'view', []).map(({ id }) => id)).toEqual(['map']);
  });

  it('has what was used last first', () => {
    expect(fitting(all, '', ['map', 'gone', 'keys']).map(({ id }) => id)).toEqual(['map', 'keys', 'compare', 'weigh']);
    expect(fitting(all, 'weigh', ['map'])[0]?.id).toBe('map');
  });

  it('remembers each once and not for ever', () => {
    expect(usedWith(['a', 'b'], 'b')).toEqual(['b', 'a']);
    expect(usedWith(['a', 'b', 'c'], 'd', 3)).toEqual(['d', 'a', 'b']);
  });
});
