import { describe, expect, it } from 'vitest';
import { isDisputed, peerRemark } from './peers.logic';

describe('peers', () => {
  it('warns about a giant, points out the weak, and says what is not known', () => {
    expect(peerRemark('giant')).toContain('every keyword');
    expect(peerRemark('weaker')).toContain('easiest to win');
    expect(peerRemark(null)).toContain('unknown');
  });

  it('sees a dispute only between sources that know', () => {
    const said = (...authorities: (number | null)[]) =>
      authorities.map((authority) => ({ kind: 'lists' as const, day: '2026-11-01', file: null, authority, referring_domains: null }));
    expect(isDisputed(said(40, null))).toBe(false);
    expect(isDisputed(said(40, 40))).toBe(false);
    expect(isDisputed(said(40, null, 41))).toBe(true);
  });
});
