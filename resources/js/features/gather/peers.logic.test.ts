import { describe, expect, it } from 'vitest';
import { peerRemark } from './peers.logic';

describe('peers', () => {
  it('warns about a giant, points out the weak, and says what is not known', () => {
    expect(peerRemark('giant')).toContain('every keyword');
    expect(peerRemark('weaker')).toContain('taken quickly');
    expect(peerRemark(null)).toContain('unknown');
  });
});
