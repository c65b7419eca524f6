import { describe, expect, it } from 'vitest';
import type { Setting } from '../../api/schema';
import { dayWords } from '../../shared/format';
import { groups, listsOf, others, placesMoved, spelt, ruled, withWord } from './rulebook.logic';

const setting = (key: string): Setting => ({
  key,
  title: key,
  type: 'number',
  min: 0,
  max: 1,
  choices: [],
  value: 1,
  default: 1,
  bounds: '',
  meaning: '',
});

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
    expect(
      others([target, curve, { ...setting('moving_share'), value: 0.35, default: 0.35 }], [change]).map((other) => other.settings),
    ).toEqual([
      { target: '3', curve: 'default' },
      { curve: 'default' },
      { curve: 'fitted' },
      { moving_share: '0.2', effect_learnt: 'no' },
      { moving_share: '0.5', effect_learnt: 'no' },
      { target: '3' },
    ]);
    expect(others([setting('target')], []).map((other) => other.title)).not.toContain('the default rulebook');
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

describe('what stands where', () => {
  it('has no other heading where every setting has its own', () => {
    expect(groups([setting('within'), setting('seed')]).map((group) => group.title)).not.toContain('Other');
    expect(groups([setting('within')]).find((group) => group.title === 'Comparison')?.settings).toHaveLength(1);
  });

  it('spells yes and no, and nothing for what is no value', () => {
    expect([spelt(true), spelt(false), spelt(undefined), spelt(Symbol('none'))]).toEqual(['true', 'false', '', '']);
  });

  it('names the other rulebooks', () => {
    const change = { change: 1, who: null, when: '2026-11-02T10:05:59', settings: [], restores: {} };
    const two = ['target', 'min_fit'].map((key) => ({ key, from: null, to: '5' }));
    const own = { ...setting('target'), value: 5, default: 3 };
    const titles = others([own, { ...setting('curve'), value: 'fitted', default: 'default' }], [{ ...change, settings: two }]).map(
      (other) => other.title,
    );
    expect(titles).toEqual([
      'the default rulebook',
      'this one with the default CTR curve',
      'this one with the 2006 CTR curve',
      'this one if 20% of existing pages move',
      'this one if 35% of existing pages move',
      'this one if 50% of existing pages move',
      `as it was before ${dayWords('2026-11-02')}, 10:05 (target, min fit)`,
    ]);
  });

  it('lays orders of unequal length side by side', () => {
    expect(placesMoved(['a'], ['a', 'b'])).toEqual([
      { place: 1, now: 'a', then: 'a', leaves: false, isNew: false, moved: '' },
      { place: 2, now: '', then: 'b', leaves: false, isNew: true, moved: 'new' },
    ]);
    expect(placesMoved(['a', 'b'], ['b'])).toEqual([
      { place: 1, now: 'a', then: 'b', leaves: true, isNew: false, moved: 'up 1' },
      { place: 2, now: 'b', then: '', leaves: false, isNew: false, moved: '' },
    ]);
  });

  it('takes the lists of words as they are saved, or as somebody has begun to change them', () => {
    const list = (key: string, value: string[]) => ({ ...setting(key), value }) as unknown as ReturnType<typeof setting>;
    const saved = [list('intent_compare', ['best']), list('intent_buy', ['buy', 'price'])];
    expect(listsOf(saved, { intent_compare: 'best, top' })).toEqual({
      intent_buy: 'buy,price',
      intent_compare: 'best, top',
      intent_learn: '',
    });
  });
});
