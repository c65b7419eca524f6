import type { Track, TrackItem } from '../../api/schema';
import { counted, estimate, percent } from '../../shared/format';

/** What came of an item, in a word or two; what did nothing is told so, however wide its band. */
export function outcomeWords(item: Pick<TrackItem, 'outcome' | 'is_moved'>): string {
  if (item.outcome === null) {
    return 'no rankings yet';
  }
  return item.outcome === 'too early' || item.is_moved ? item.outcome : `${item.outcome}, nothing came of it`;
}

/** Whether the target was reached. */
export function targetWords(isReached: boolean | null): string {
  return isReached === null ? 'no target was said' : isReached ? 'target reached' : 'target not reached';
}

/** The share of pages that move when worked on, and where it comes from. */
export function effectWords({ share, items, is_learnt }: Track['effect']): string {
  const counted = `${items} finished ${items === 1 ? 'item' : 'items'}`;
  return is_learnt
    ? `Effect: ${percent(share)} of pages that are worked on move, learnt from ${counted}; the chances use it.`
    : `Effect: ${percent(share)} of pages that are worked on are assumed to move; ${counted} count so far, from 5 on they teach it.`;
}

/** All that was said against all that was achieved, in the newest month. */
export function totalWords(months: Track['months']): string | null {
  const last = months.at(-1);
  return last === undefined
    ? null
    : `${last.day.slice(0, 7)}: ${counted(last.items, 'done item')} ` +
        `${last.items === 1 ? 'has' : 'have'} added ${estimate(last.achieved)} visits a month; ` +
        `${estimate(last.p10)} to ${estimate(last.p90)} were said, on average ${estimate(last.mean)}.`;
}
