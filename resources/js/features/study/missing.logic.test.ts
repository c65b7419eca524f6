import { describe, expect, it } from 'vitest';
import type { Finding } from '../../api/schema';
import { missingIn } from './missing.logic';

const finding = (code: string, numbers: Finding['numbers']): Finding => ({
  code,
  numbers,
  worth: null,
  words: '',
  next: '',
  stage: 'gather',
  show: null,
});

describe('what a whole study lacks', () => {
  it('is told, and not what some keywords lack', () => {
    const all = [
      finding('no_competitors', {}),
      finding('no_volumes', { unknown: 3, keywords: 3 }),
      finding('no_difficulties', { unknown: 2, keywords: 3 }),
      finding('no_clicks', {}),
    ];
    expect(missingIn(all).map(({ code }) => code)).toEqual(['no_competitors', 'no_volumes']);
    expect(missingIn([])).toEqual([]);
  });
});
