import { describe, expect, it } from 'vitest';
import { toldWords } from './others.logic';

describe('what others did meanwhile', () => {
  it('is told by name, with what an undo leaves', () => {
    expect(toldWords([{ who: 'Avis Thorne', keywords: 1, example: 'bee veil', mark: 'set aside' }], 0)).toBe(
      'Avis Thorne had set aside “bee veil” meanwhile; what you said counts now.',
    );
    expect(toldWords([{ who: 'Avis Thorne', keywords: 3, example: 'a', mark: null }], 2)).toBe(
      'Avis Thorne had changed 3 of them meanwhile; what you said counts now. 2 keywords were changed since and stay as they are.',
    );
    expect(toldWords([], 0)).toBe('');
  });
});
