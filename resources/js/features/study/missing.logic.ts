import type { Finding } from '../../api/schema';

/** What leaves chances and visits unknown when it is missing altogether. */
const telling = ['no_competitors', 'no_volumes', 'no_difficulties'];

/** Of the findings those that say of a whole study that something is missing, so that figures stay unknown. */
export function missingIn(findings: Finding[]): Finding[] {
  return findings.filter(({ code, numbers }) => telling.includes(code) && numbers['unknown'] === numbers['keywords']);
}
