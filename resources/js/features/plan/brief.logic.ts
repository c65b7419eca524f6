import type { Brief } from '../../api/schema';
import { pathOf } from '../../shared/format';

/** Which of our pages ranks for a keyword now, beside the page that is worked on. */
export function pageNow(url: string | null, page: string | null): string {
  return url === null ? 'none' : url === page ? 'this page' : pathOf(url);
}

/** What the titles on page one answer, in a sentence; empty where no title is known. */
export function intentWords(counts: Brief['page_one_intents']): string {
  const all = counts.reduce((sum, { titles }) => sum + titles, 0);
  const parts = counts.map(({ intent, titles }) =>
    intent === 'open' ? `${titles} with no clear intent` : `${titles} for people who want to ${intent}`,
  );
  return all === 0 ? '' : `${all} ${all === 1 ? 'title' : 'titles'}: ${parts.join(', ')}.`;
}
