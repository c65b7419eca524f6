import { describe, expect, it } from 'vitest';
import type { Setting } from '../../api/schema';
import { choicesOf, controlOf, found, stepOf } from './controls.logic';

const setting = (some: Partial<Setting>): Setting => ({
  key: 'target',
  title: 'Target position',
  type: 'integer',
  min: 1,
  max: 100,
  choices: [],
  value: 3,
  default: 3,
  bounds: '',
  meaning: 'Where we want to be.',
  ...some,
});

describe('the field of a setting', () => {
  it('fits what it takes', () => {
    expect(controlOf(setting({ type: 'choice', choices: ['yes', 'no'] }))).toBe('switch');
    expect(controlOf(setting({ type: 'choice', choices: ['10', '20'] }))).toBe('choice');
    expect(controlOf(setting({ type: 'ordering', choices: ['a', 'b'] }))).toBe('choice');
    expect(controlOf(setting({}))).toBe('slider');
    expect(controlOf(setting({ type: 'number', min: 0, max: 1 }))).toBe('slider');
    expect(controlOf(setting({ type: 'number', min: 0, max: 10 }))).toBe('number');
    expect(controlOf(setting({ max: 1e9 }))).toBe('number');
    expect(controlOf(setting({ type: 'words', min: null, max: null }))).toBe('text');
    expect([stepOf(setting({})), stepOf(setting({ type: 'number' }))]).toEqual([1, 0.01]);
  });

  it('offers every order, and keeps what a script chose', () => {
    expect(choicesOf(setting({ type: 'ordering', choices: ['a', 'b'] }), '').map(({ value }) => value)).toEqual([
      '',
      'a',
      'a,b',
      'b',
      'b,a',
    ]);
    expect(choicesOf(setting({ type: 'ordering', choices: ['a', 'b'] }), '')[2]?.name).toBe('a, then b');
    expect(choicesOf(setting({ type: 'choice', choices: ['10'] }), '7').map(({ value }) => value)).toEqual(['10', '7']);
  });

  it('is found by title, meaning or key', () => {
    const all = [setting({}), setting({ key: 'seed', title: 'Seed', meaning: 'Of all draws.' })];
    expect(found(all, ' POSITION want').map(({ key }) => key)).toEqual(['target']);
    expect(found(all, 'seed').map(({ key }) => key)).toEqual(['seed']);
    expect(found(all, '')).toHaveLength(2);
    expect(found(all, 'nothing')).toEqual([]);
  });
});
