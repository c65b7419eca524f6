import type { Finding } from '../../api/schema';

/** Where a finding is followed up: on its stage, with just the rows that it counts. */
export function leadsTo(slug: string, { stage, show }: Pick<Finding, 'stage' | 'show'>): string {
  const query = new URLSearchParams({
    ...(show === null ? {} : { show }),
    // It counts keywords, and so the list of these is opened.
    ...(stage === 'weigh' ? { view: 'list' } : {}),
  }).toString();
  return `/studies/${slug}/${stage}${query === '' ? '' : `?${query}`}`;
}
