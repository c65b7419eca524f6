import type { DomainSaid, LedgerRow } from '../../api/schema';

const remarks = {
  comparable: 'comparable to us',
  giant: 'far above us: its gap is every keyword there is',
  stronger: 'somewhat stronger',
  weaker: 'weaker than us: what it holds can be taken quickly',
};

/** What a domain's authority against ours means, in words. */
export function peerRemark(peer: LedgerRow['peer']): string {
  return peer === null ? 'authority unknown; import figures about domains' : remarks[peer];
}

/** Whether sources that know the authority tell it differently. */
export function isDisputed(said: DomainSaid[]): boolean {
  return new Set(said.map((source) => source.authority).filter((authority) => authority !== null)).size > 1;
}
