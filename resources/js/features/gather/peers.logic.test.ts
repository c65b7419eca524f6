import { describe, expect, it } from 'vitest';
import { peerRemark } from './peers.logic';

describe('peers', () => {
  it('keeps 48 to 58 as comparable to 53', () => {
    expect([47, 48, 58, 59].map((authority) => peerRemark(authority, 53) === 'comparable to us')).toEqual([false, true, true, false]);
  });

  it('warns about a giant and points out the weak', () => {
    expect(peerRemark(78, 38)).toContain('every keyword');
    expect(peerRemark(14, 38)).toContain('taken quickly');
    expect(peerRemark(null, 38)).toContain('unknown');
  });
});
