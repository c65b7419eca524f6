import { describe, expect, it } from 'vitest';
import { toldWords } from './others.logic';

describe('what others did meanwhile', () => {
  it('is told by name, with what an undo leaves', () => {
    expect(toldWords([{ who: 'Avis Thorne', keywords: 1, example: 'bee veil', mark: 'set aside' }], 0)).toBe(
      'Avis Thorne had set aside “bee veil” while you worked. Your decision now applies.',
    );
    expect(toldWords([{ who: 'Avis Thorne', keywords: 3, example: 'a', mark: null }], 2)).toBe(
      'Avis Thorne had changed 3 of them while you worked. Your decision now applies. ' +
        '2 keywords have changed since and were left as they are.',
    );
    expect(toldWords([], 0)).toBe('');
  });
});
