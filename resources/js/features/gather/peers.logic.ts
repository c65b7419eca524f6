/** Authority within this many points of ours counts as comparable; far above it, the gap is every keyword there is. */
const band = 5;
const giant = 25;

export function peerRemark(authority: number | null, own: number | null): string {
  if (authority === null || own === null) {
    return 'authority unknown; bring in figures about domains';
  }
  const distance = authority - own;
  if (Math.abs(distance) <= band) {
    return 'comparable to us';
  }
  if (distance >= giant) {
    return 'far above us: its gap is every keyword there is';
  }
  return distance > 0 ? 'somewhat stronger' : 'weaker than us: what it holds can be taken quickly';
}
