import { describe, expect, it } from 'vitest';
import { cellOf } from './shownTable';

describe('a cell of a table on show', () => {
  it('is a number where it reads as one', () => {
    expect(cellOf('12\u2009340')).toBe(12340);
    expect(cellOf('−4.5')).toBe(-4.5);
    expect(cellOf('+3')).toBe(3);
  });

  it('is a share where it reads as a percentage', () => {
    expect(cellOf('35\u2009%')).toBe(0.35);
    expect(cellOf('−7.2\u2009%')).toBe(-0.072);
  });

  it('is nothing where the figure is unknown', () => {
    expect(cellOf('·')).toBeNull();
    expect(cellOf('')).toBeNull();
  });

  it('is text where it says more', () => {
    expect(cellOf('4 → 3')).toBe('4 → 3');
    expect(cellOf('35 % for 3')).toBe('35 % for 3');
    expect(cellOf('340-020')).toBe('340-020');
    expect(cellOf('<0.1')).toBe('<0.1');
  });
});
