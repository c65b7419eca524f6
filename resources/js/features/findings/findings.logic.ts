import type { Finding } from '../../api/schema';

/** How long the bar of a finding is beside that of most worth, 0 to 1; what we hold already is no measure for what could be won. */
export function lengthOf(finding: Finding, all: Finding[]): number {
  const most = Math.max(1, ...all.filter(({ code }) => code !== 'share').map(({ worth }) => worth ?? 0));
  return finding.worth === null || finding.code === 'share' ? 0 : Math.min(1, finding.worth / most);
}
