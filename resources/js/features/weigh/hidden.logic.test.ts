import { describe, expect, it } from 'vitest';
import { hiddenWords } from './hidden.logic';

describe('what a list leaves out', () => {
  it('is told with its reasons, and not where it leaves out nothing', () => {
    const hidden = [
      { why: 'brands', keywords: 12 },
      { why: 'already first', keywords: 8 },
    ];
    expect(hiddenWords({ of: 308, hidden })).toBe('20 hidden: 12 brands, 8 already first');
    expect([hiddenWords({ of: 9, hidden: [] }), hiddenWords(undefined)]).toEqual(['', '']);
  });
});
