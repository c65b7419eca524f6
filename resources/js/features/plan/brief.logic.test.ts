import { describe, expect, it } from 'vitest';
import { intentWords, pageNow } from './brief.logic';

describe('the page that ranks now', () => {
  it('is none, the one that is worked on, or another', () => {
    expect(pageNow(null, 'https://us.example/a')).toBe('none');
    expect(pageNow('https://us.example/a', 'https://us.example/a')).toBe('this page');
    expect(pageNow('https://us.example/b', 'https://us.example/a')).toBe('/b');
    expect(pageNow('https://us.example/b', null)).toBe('/b');
  });
});

describe('what page one answers', () => {
  it('counts the titles by intent', () => {
    expect(intentWords([])).toBe('');
    expect(intentWords([{ intent: 'buy', titles: 1 }])).toBe('1 title: 1 for people who want to buy.');
    expect(
      intentWords([
        { intent: 'learn', titles: 6 },
        { intent: 'open', titles: 4 },
      ]),
    ).toBe('10 titles: 6 for people who want to learn, 4 with no clear intent.');
  });
});
