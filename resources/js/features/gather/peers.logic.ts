import type { DomainSaid, LedgerRow } from '../../api/schema';

const remarks = {
  comparable: 'similar to ours',
  giant: 'far stronger: almost every keyword would be a gap',
  stronger: 'somewhat stronger',
  weaker: 'weaker: its positions are the easiest to win',
};

/** What a domain's authority against ours means, in words. */
export function peerRemark(peer: LedgerRow['peer']): string {
  return peer === null ? 'authority unknown: import a domains file' : remarks[peer];
}

/** Whether sources that know the authority tell it differently. */
export function isDisputed(said: DomainSaid[]): boolean {
  return new Set(said.map((source) => source.authority).filter((authority) => authority !== null)).size > 1;
}
