import type { Mark, Opportunity, RankedTopic } from '../../api/schema';
import { pathOf } from '../../shared/format';
import { spell } from '../sentence/sentence.logic';
import { commonWording } from '../../shared/wording';

/** A line of the list of pages: a page, or one of the keywords that it opens into. */
export type PageLine = { kind: 'page'; page: RankedTopic } | { kind: 'keyword'; keyword: Opportunity };

export function lineKey(line: PageLine): string {
  return line.kind === 'page' ? `page ${line.page.topic}` : line.keyword.keyword;
}

/** The pages in their order, the keywords of the one that is open below it. */
export function linesOf(pages: RankedTopic[], opened: string | null, keywords: Opportunity[]): PageLine[] {
  return pages.flatMap((page): PageLine[] => [{ kind: 'page', page }, ...(page.topic === opened ? within(page, keywords) : [])]);
}

function within(page: RankedTopic, keywords: Opportunity[]): PageLine[] {
  // While those of another page are still on the screen, none of them belongs here.
  return keywords.filter((keyword) => keyword.topic === page.topic).map((keyword) => ({ kind: 'keyword', keyword }));
}

/** The sentence for the open keywords of a page. */
export function aboutPage(topic: string): string {
  return spell([
    { name: 'topic', operator: '=', value: topic },
    { name: 'mark', operator: '=', value: 'kept' },
  ]);
}

/** Which page of ours serves a topic, as short as it can be told. */
export function ownPageWords(page: RankedTopic): { short: string; long: string } {
  if (page.own_url === null) {
    return { short: 'new page', long: 'None of our pages ranks in the top 50 for its keywords' };
  }
  const other = page.lead_url !== null && page.lead_url !== page.own_url ? `; for ${page.lead} it is ${page.lead_url}` : '';
  return { short: pathOf(page.own_url), long: `${page.own_url} brings most of its visits now${other}` };
}

/** How many keywords are open and shortlisted, where there is little room. */
export function shortCount(page: RankedTopic): string {
  if (page.shortlisted === 0) {
    return String(page.keywords);
  }
  return page.shortlisted === page.keywords ? `all ${page.keywords}` : `${page.shortlisted} of ${page.keywords}`;
}

/** How many keywords are open, and how many of these are shortlisted. */
export function countWords(page: RankedTopic): string {
  const open = page.keywords === 1 ? '1 keyword' : `${page.keywords} keywords`;
  return page.shortlisted === 0 ? open : `${open}, ${page.shortlisted} shortlisted`;
}

/** What people said of the keywords of a page, each thing once. */
export function sharedJudgement(keywords: Pick<Opportunity, 'fit' | 'tags' | 'note' | 'reason'>[]) {
  const once = <Value>(values: (Value | null)[]): Value[] => [...new Set(values.flatMap((value) => (value === null ? [] : [value])))];
  const tags = once(keywords.flatMap(({ tags: own }) => own)).sort();
  return {
    fits: once(keywords.map(({ fit }) => fit)),
    tags: tags.map((tag) => ({ tag, count: keywords.filter(({ tags: own }) => own.includes(tag)).length })),
    notes: once(keywords.map(({ note }) => note)),
    reasons: once(keywords.map(({ reason }) => reason)),
  };
}

/** What a line is marked with, as far as a mark goes: a page counts as shortlisted when all of its keywords are. */
export function markOf(line: PageLine, mark: Mark): Mark | null {
  if (line.kind === 'keyword') {
    return line.keyword.mark;
  }
  return mark === 'shortlisted' && line.page.shortlisted === line.page.keywords ? mark : null;
}

/** What to do, and how far it is when it is on the roadmap already. */
export function tacticWords({ tactic, roadmap }: { tactic: string | null; roadmap: string | null }): string {
  return roadmap === null ? (tactic ?? '·') : `${roadmap}: ${tactic ?? 'on the roadmap'}`;
}

/** What became of putting something on the roadmap. */
export function roadmapWords(added: number): string {
  return added === 0 ? 'It’s already on the roadmap.' : commonWording.addedToTheRoadmapWithoutAMonth;
}
