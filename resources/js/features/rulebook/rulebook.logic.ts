import type { Setting } from '../../api/types';

const titles: [string, RegExp][] = [
  ['What is compared', /^(within|striking_|topic_|negatives|metric_|volume_sources|difficulty_sources|cpc_sources|authority_sources)/],
  ['Visits and value', /^(curve|target|conversion|value_per)/],
  ['What can be won', /^(comfort|peer|win_|head_|short_term|title_)/],
  ['Intent', /^intent_/],
  ['Priority', /_bands$|^(weights|min_fit|steadiness)/],
  ['Effort and time to pay', /^(effort_|ramp_)/],
  ['Forecast', /^(forecast|seed)/],
];

/** The settings under the heading they belong to, in the order of the work. */
export function groups(settings: Setting[]): { title: string; settings: Setting[] }[] {
  const named = titles.map(([title, sign]) => ({ title, settings: settings.filter((setting) => titles.find(([, other]) => other.test(setting.key))?.[1] === sign) }));
  const rest = settings.filter((setting) => !titles.some(([, sign]) => sign.test(setting.key)));
  return [...named, ...(rest.length === 0 ? [] : [{ title: 'Other', settings: rest }])];
}

/** A value as the rulebook takes it. */
export function spelt(value: unknown): string {
  if (value === null || value === undefined) {
    return '';
  }
  if (Array.isArray(value)) {
    return value.map(String).join(',');
  }
  if (typeof value === 'object') {
    return Object.entries(value)
      .map(([name, weight]) => `${name}:${String(weight)}`)
      .join(',');
  }
  return typeof value === 'string' || typeof value === 'number' || typeof value === 'boolean' ? String(value) : '';
}

export interface PlaceMoved {
  place: number;
  now: string;
  then: string;
  /** What stands here now is not among the first any more. */
  leaves: boolean;
  /** What stands here then was not among the first. */
  isNew: boolean;
  /** How far what stands here then has come. */
  moved: string;
}

/** Two orders side by side, place by place. */
export function placesMoved(before: string[], after: string[]): PlaceMoved[] {
  return Array.from({ length: Math.max(before.length, after.length) }, (_, index) => {
    const [now, then] = [before[index] ?? '', after[index] ?? ''];
    const from = before.indexOf(then);
    const by = from - index;
    return { place: index + 1, now, then, leaves: now !== '' && !after.includes(now), isNew: then !== '' && from < 0, moved: then === '' ? '' : from < 0 ? 'new' : by === 0 ? '' : by > 0 ? `up ${by}` : `down ${-by}` };
  });
}
