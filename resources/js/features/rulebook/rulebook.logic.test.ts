import { describe, expect, it } from 'vitest';
import { groups, others, placesMoved, spelt, ruled, withWord } from './rulebook.logic';

const setting = (key: string) => ({ key, value: 1, default: 1, bounds: '', meaning: '' });

describe('the rulebook', () => {
  it('puts every setting under one heading', () => {
    const sorted = groups(
      ['within', 'curve', 'value_per_conversion', 'value_bands', 'intent_buy', 'ramp_new', 'seed', 'something_new'].map(setting),
    );
    expect(sorted.flatMap((group) => group.settings.map((one) => one.key)).sort()).toEqual([
      'curve',
      'intent_buy',
      'ramp_new',
      'seed',
      'something_new',
      'value_bands',
      'value_per_conversion',
      'within',
    ]);
    expect(sorted.find((group) => group.title === 'Other')?.settings.length).toBe(1);
  });

  it('spells lists and weights as the rulebook takes them', () => {
    expect(spelt([10, 50])).toBe('10,50');
    expect(spelt({ volume: 1, ease: 0.5 })).toBe('volume:1,ease:0.5');
    expect(spelt(null)).toBe('');
    expect(spelt(0.02)).toBe('0.02');
  });
});

describe('other rulebooks', () => {
  it('are the one as it comes, those with another curve, and those from before each change', () => {
    const target = { ...setting('target'), value: 5, default: 3 };
    const curve = { ...setting('curve'), value: '2006', default: 'default' };
    const change = {
      change: 1,
      who: null,
      when: '2026-11-02T10:00:00',
      settings: [{ key: 'target', from: null, to: '5' }],
      restores: { target: '3' },
    };
    expect(others([target, curve, { ...setting('effect'), value: 0.5, default: 0.5 }], [change]).map((other) => other.settings)).toEqual([
      { target: '3', curve: 'default' },
      { curve: 'default' },
      { curve: 'fitted' },
      { effect: '0.25', effect_learnt: 'no' },
      { effect: '0.75', effect_learnt: 'no' },
      { target: '3' },
    ]);
    expect(others([setting('target')], []).map((other) => other.title)).not.toContain('the rulebook as it comes');
  });
});

describe('two orders side by side', () => {
  it('tell what is new, what leaves and how far the others came', () => {
    const rows = placesMoved(['a', 'b', 'c'], ['c', 'a', 'd']);
    expect(rows.map((row) => row.moved)).toEqual(['up 2', 'down 1', 'new']);
    expect(rows.map((row) => [row.leaves, row.isNew])).toEqual([
      [false, false],
      [true, false],
      [false, true],
    ]);
  });
});

describe('words that may become rules', () => {
  it('are those in none of the lists, and go to the end of one', () => {
    const lists = { intent_buy: 'buy, cheap', intent_compare: 'best', intent_learn: '' };
    expect(ruled(lists, 'cheap')).toBe(true);
    expect(ruled(lists, 'workshop')).toBe(false);
    expect(withWord(lists.intent_buy, 'workshop')).toBe('buy, cheap, workshop');
    expect(withWord(lists.intent_learn, 'workshop')).toBe('workshop');
  });
});
