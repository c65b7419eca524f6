import { describe, expect, it } from 'vitest';
import { browserName } from './browser.logic';

describe('what a browser is called', () => {
  it('is the product of its own, with its first number', () => {
    expect(browserName('Mozilla/5.0 (X11; Linux x86_64; rv:140.0) Gecko/20100101 Firefox/140.0')).toBe('Firefox 140');
    expect(browserName('Mozilla/5.0 (X11) AppleWebKit/537.36 (KHTML, like Gecko) Chrome/141.0.0.0 Safari/537.36')).toBe('Chrome 141');
    expect(browserName('Mozilla/5.0 (Macintosh) AppleWebKit/605.1.15 (KHTML, like Gecko) Version/18.1 Safari/605.1.15')).toBe('Safari 605');
  });

  it('is told as it is where it names no product', () => {
    expect(browserName('a script')).toBe('a script');
    expect(browserName('')).toBe('');
  });
});
