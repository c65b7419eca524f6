import { describe, expect, it } from 'vitest';
import { chanceWords, shortChance } from './chance';

describe('a chance in words', () => {
  it('says what it is a chance of', () => {
    expect(chanceWords(0.34, 3)).toBe('34% for position 3 or better');
    expect(chanceWords(0.081, 1)).toBe('8.1% for position 1');
    expect(shortChance(0.34, 3)).toBe('34% for 3');
  });

  it('says why it is unknown', () => {
    expect(chanceWords(null, 3)).toContain('unknown');
    expect(shortChance(null, 3)).toBe('·');
  });
});
