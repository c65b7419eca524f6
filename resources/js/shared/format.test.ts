import { describe, expect, it } from 'vitest';
import { counted, dayWords, decimal, estimate, pathOf, percent, told, unknown, whole } from './format';

describe('format', () => {
  it('writes a day in words, whatever the time of day, and leaves what is none', () => {
    expect(dayWords('2026-12-03')).toMatch(/^(3 Dec 2026|Dec 3, 2026)$/);
    expect(dayWords('2026-12-03T23:59:59Z')).toBe(dayWords('2026-12-03'));
    expect(dayWords('no day')).toBe('no day');
  });

  it('tells the inputs of an explanation without needless digits', () => {
    expect([told(16205.6999), told(1234), told(0.14531), told(12.5), told(null), told('rulebook')]).toEqual([
      '16,206',
      '1,234',
      '0.1453',
      '12.5',
      'unknown',
      'rulebook',
    ]);
  });

  it('counts one as one', () => {
    expect([0, 1, 2, 1200].map((value) => counted(value, 'gap'))).toEqual(['0 gaps', '1 gap', '2 gaps', '1,200 gaps']);
  });

  it('groups thousands with a thin space', () => {
    expect(whole(1234567)).toBe('1,234,567');
    expect(whole(999)).toBe('999');
  });

  it('gives estimates at most three significant figures', () => {
    expect(estimate(117.79999)).toBe('118');
    expect(estimate(12345.6)).toBe('12,300');
    expect(estimate(7.04)).toBe('7');
    expect(estimate(0.004)).toBe('<0.1');
    expect(estimate(0)).toBe('0');
  });

  it('shows the unknown as a dot, never as 0', () => {
    expect([whole(null), estimate(null), decimal(null), percent(undefined)]).toEqual([unknown, unknown, unknown, unknown]);
  });

  it('takes the host off a page', () => {
    expect(pathOf('https://thornfield-apiary.example/hives?x=1')).toBe('/hives?x=1');
  });
});
