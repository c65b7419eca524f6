import type { Track, TrackItem } from '../../api/schema';
import { counted, estimate, percent } from '../../shared/format';

type Taught = { items: number };
type EffectOf = { market_pages: number; new: Taught; existing: Taught };

/** What pages nobody worked on did meanwhile. */
export function driftWords(drift: number | null): string {
  return drift === null ? '' : `Pages without work now bring ${percent(drift)} of their visits then.`;
}

/** What came of an item, in a word or two; no clear change is named so, however wide its forecast range. */
export function outcomeWords(item: Pick<TrackItem, 'outcome' | 'is_moved' | 'is_unclear'>): string {
  if (item.outcome === null) {
    return 'no rankings yet';
  }
  return item.outcome === 'too early' || item.is_moved || !item.is_unclear ? item.outcome : `${item.outcome}, no clear change`;
}

/** Whether the target was reached. */
export function targetWords(isReached: boolean | null): string {
  return isReached === null ? 'no target' : isReached ? 'target reached' : 'target not reached';
}

type Calibration = Track['calibration'][number];

const kinds: Record<Calibration['kind'], string> = { new: 'new page', existing: 'existing page', title: 'title test' };

/** Forecast against result for finished items of one kind, past their ramp. */
export function calibrationWords({ kind, items, reached, said, inside, net, expected }: Calibration): string {
  const things = counted(items, kinds[kind]);
  const reaching =
    kind === 'title'
      ? ''
      : `${reached} of ${things} reached ${items === 1 ? 'its target' : 'their targets'}; the forecast expected ${estimate(said)}. `;
  return (
    `${reaching}${kind === 'title' ? things + ': t' : 'T'}hey brought ${estimate(net)} net visits a month ` +
    `against ${estimate(expected)} expected, ` +
    `and ${inside} of ${items} ${inside === 1 ? 'is' : 'are'} inside the forecast range; eight in ten should be.`
  );
}

/** What work brings by now, in a word for each kind of page. */
export function effectWords(effect: EffectOf | undefined): string {
  if (effect === undefined) {
    return '';
  }
  const taught = effect.new.items + effect.existing.items;
  const market = `${counted(effect.market_pages, 'new page')} in this market`;
  const rest = taught === 0 ? '. None of our finished items has had its full ramp yet.' : ` and ${counted(taught, 'finished item')}.`;
  return `Win chances are learnt from ${market}${rest}`;
}

/** All that was said against all that was achieved, in the newest month. */
export function totalWords(months: Track['months']): string | null {
  const last = months.at(-1);
  return last === undefined
    ? null
    : `${last.day.slice(0, 7)}: ${counted(last.items, 'finished item')} ` +
        `${last.items === 1 ? 'has' : 'have'} added ${estimate(last.achieved)} visits a month. ` +
        `The forecast was ${estimate(last.p10)} to ${estimate(last.p90)}, on average ${estimate(last.mean)}.`;
}
