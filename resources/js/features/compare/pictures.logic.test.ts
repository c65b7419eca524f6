import { describe, expect, it } from 'vitest';
import { overlapPicture, standingPicture } from './pictures.logic';

describe('pictures to keep', () => {
  it('draws every combination with its count and escapes what names hold', () => {
    const picture = overlapPicture(
      [
        { combination: 3, keywords: 12 },
        { combination: 2, keywords: 5 },
      ],
      ['us.example', 'a&b.example'],
    );
    expect(picture).toMatch(/^<svg xmlns="http:\/\/www.w3.org\/2000\/svg"/);
    expect(picture.match(/<rect/g)?.length).toBe(3);
    expect(picture).toContain('a&amp;b.example');
    expect(picture).toContain('>12<');
  });

  it('draws the standings in proportion', () => {
    const picture = standingPicture({ gap: 30, ahead: 10 });
    expect(picture).toContain('width="510.0"');
    expect(picture).toContain('gap 30');
  });
});
