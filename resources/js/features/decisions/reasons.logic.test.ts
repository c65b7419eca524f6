import { describe, expect, it } from 'vitest';
import { isListKey, isReason, keysMeant, offered } from './reasons.logic';

describe('keys after a mark', () => {
  it('are those of the list where somebody marks without a pause', () => {
    expect(keysMeant('j', 's')).toEqual(['j', 's']);
    expect(keysMeant('j', 'j')).toEqual(['j', 'j']);
    expect(keysMeant('k', 'x')).toEqual(['k', 'x']);
    expect(keysMeant('u', 'u')).toEqual(['u', 'u']);
    expect(keysMeant('s', 's')).toEqual(['s', 's']);
    expect([keysMeant('', '4'), keysMeant('', 'j'), keysMeant('', 'k')]).toEqual([['4'], ['j'], ['k']]);
  });

  it('are a reason where somebody writes', () => {
    for (const reason of ['spring range', 'Just short of page one', 'used to be ours', 'xylophones', '2 of them', 'summer']) {
      const meant = Array.from(reason, (key, place) => (place === 0 ? null : keysMeant(reason.slice(0, place), key)));
      expect(
        meant.every((keys) => keys === null),
        reason,
      ).toBe(true);
    }
  });
});

describe('a reason', () => {
  it('is more than a key that was pressed too late', () => {
    expect([isReason(''), isReason(' '), isReason('j'), isReason('a'), isReason('no')]).toEqual([false, false, false, true, true]);
  });

  it('is offered again, first those for the same mark, each once', () => {
    const given = [
      { reason: 'off topic', mark: 'set aside' as const },
      { reason: 'spring range', mark: 'shortlisted' as const },
      { reason: 'off topic', mark: 'shortlisted' as const },
    ];
    expect(offered(given, 'shortlisted')).toEqual(['spring range', 'off topic']);
    expect(offered(given, 'set aside', 1)).toEqual(['off topic']);
  });
});

describe('one key or a word', () => {
  it('is told by all that is written, from its beginning to its end', () => {
    expect([keysMeant('a', '4'), keysMeant('', '42'), keysMeant('', 'a4'), keysMeant('', '4a')]).toEqual([null, null, null, null]);
    expect([keysMeant('as', 's'), keysMeant('ss', 's'), keysMeant('', '?')]).toEqual([null, null, ['?']]);
    expect([isListKey('j'), isListKey('jk'), isListKey(''), isListKey('z')]).toEqual([true, false, false, false]);
  });

  it('offers those for other marks last, and no more than asked for', () => {
    const given = ['a', 'b', 'c'].map((reason, place) => ({
      reason,
      mark: place === 1 ? ('set aside' as const) : ('shortlisted' as const),
    }));
    expect(offered(given, 'set aside')).toEqual(['b', 'a', 'c']);
    expect(offered(given, 'shortlisted')).toEqual(['a', 'c', 'b']);
    expect(offered(given, 'shortlisted', 2)).toEqual(['a', 'c']);
  });
});
