import type { ImportKind } from '../../api/types';

interface Guess {
  kind: ImportKind;
  domain: string;
  date: string;
}

const signs: [RegExp, ImportKind][] = [
  [/page.?one|results/i, 'results'],
  [/performance|clicks/i, 'performance'],
  [/domains|authority/i, 'domains'],
  [/keyword/i, 'keywords'],
];

/** What a file's name says about it: its kind, its day, and which domain it belongs to. */
export function guess(name: string, domains: string[]): Guess {
  const domain = domains.find((entry) => entry !== '' && name.toLowerCase().includes(entry)) ?? '';
  const kind = domain !== '' ? 'rankings' : (signs.find(([sign]) => sign.test(name))?.[1] ?? 'rankings');
  return { kind, domain, date: /\d{4}-\d{2}-\d{2}/.exec(name)?.[0] ?? '' };
}
