import { describe, expect, it } from 'vitest';
import { bounce, pressMark, staysWith } from './marks.logic';

const press = (at: number, keyword = 'smoker') => ({ keyword, mark: 'shortlisted' as const, at });

describe('pressMark', () => {
  it('marks, and takes the mark off when it stands there', () => {
    expect(pressMark(press(0), null, null)).toBe('shortlisted');
    expect(pressMark(press(0), 'set aside', null)).toBe('shortlisted');
    expect(pressMark(press(0), 'shortlisted', null)).toBeNull();
  });

  it('takes nothing back within a second', () => {
    expect(pressMark(press(bounce - 1), 'shortlisted', press(0))).toBeUndefined();
    expect(pressMark(press(bounce), 'shortlisted', press(0))).toBeNull();
  });

  it('lets another keyword or another mark through at once', () => {
    expect(pressMark(press(10), null, press(0, 'hive tool'))).toBe('shortlisted');
    expect(pressMark(press(10), null, { ...press(0), mark: 'set aside' })).toBe('shortlisted');
  });
});

describe('staysWith', () => {
  it.each([
    ['mark=kept', [true, true, false]],
    ['volume>=10;mark=open', [true, false, false]],
    ['mark=shortlisted', [false, true, false]],
    ['mark=set aside', [false, false, true]],
    ['volume>=10', [true, true, true]],
  ])('knows who stays under %s', (show, stays) => {
    expect([null, 'shortlisted' as const, 'set aside' as const].map((mark) => staysWith(mark, show))).toEqual(stays);
  });
});
