import type { RulebookChange, Setting } from '../../api/schema';
import { dayWords, percent } from '../../shared/format';

const titles: [string, RegExp][] = [
  ['Comparison', /^(within|movement_|striking_|topic_|negatives|metric_|volume_sources|difficulty_sources|cpc_sources|authority_sources)/],
  ['Visits and value', /^(curve|target|feature_clicks|conversion|value_per)/],
  ['Win chances', /^(comfort|peer|model_|effect|moving_|quick_win|short_term|title_)/],
  ['Intent', /^intent_/],
  ['Priority', /_bands$|^(scores|weights|fit_rules|min_fit|steadiness)/],
  ['Effort and time to pay', /^(effort_|ramp_)/],
  ['Forecast', /^(forecast|seed)/],
];

/** The settings under the heading they belong to, in the order of the work. */
export function groups(settings: Setting[]): { title: string; settings: Setting[] }[] {
  const named = titles.map(([title, sign]) => ({
    title,
    settings: settings.filter((setting) => titles.find(([, other]) => other.test(setting.key))?.[1] === sign),
  }));
  const rest = settings.filter((setting) => !titles.some(([, sign]) => sign.test(setting.key)));
  return [...named, ...(rest.length === 0 ? [] : [{ title: 'Other', settings: rest }])];
}

/** What people call a setting; one that is gone by now keeps its key. */
export function titleOf(settings: Setting[], key: string): string {
  return settings.find((setting) => setting.key === key)?.title ?? key.replaceAll('_', ' ');
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

export interface Other {
  title: string;
  settings: Record<string, string>;
}

/** Rulebooks that this one can be held against: as it comes, with another curve, and as it was before each change. */
export function others(settings: Setting[], history: RulebookChange[]): Other[] {
  const own = settings.filter((setting) => spelt(setting.value) !== spelt(setting.default));
  const valueOf = (key: string) => spelt(settings.find((setting) => setting.key === key)?.value);
  const curve = valueOf('curve');
  const moving = Number(valueOf('moving_share'));
  return [
    ...(own.length === 0
      ? []
      : [{ title: 'the default rulebook', settings: Object.fromEntries(own.map((setting) => [setting.key, spelt(setting.default)])) }]),
    ...['default', '2006', 'fitted']
      .filter((other) => other !== curve)
      .map((other) => ({ title: `this one with the ${other} CTR curve`, settings: { curve: other } })),
    ...[0.2, 0.35, 0.5]
      .filter((other) => other !== moving)
      .map((other) => ({
        title: `this one if ${percent(other)} of existing pages move`,
        settings: { moving_share: String(other), effect_learnt: 'no' },
      })),
    ...history.map((change) => ({
      title:
        `as it was before ${dayWords(change.when)}, ${change.when.slice(11, 16)} ` +
        `(${change.settings.map((setting) => titleOf(settings, setting.key)).join(', ')})`,
      settings: change.restores,
    })),
  ];
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
    return {
      place: index + 1,
      now,
      then,
      leaves: now !== '' && !after.includes(now),
      isNew: then !== '' && from < 0,
      moved: then === '' ? '' : from < 0 ? 'new' : by === 0 ? '' : by > 0 ? `up ${by}` : `down ${-by}`,
    };
  });
}

export type IntentSetting = 'intent_buy' | 'intent_compare' | 'intent_learn';

export const intentSettings: IntentSetting[] = ['intent_buy', 'intent_compare', 'intent_learn'];

/** The lists of words as they are saved, or as somebody has begun to change them. */
export function listsOf(settings: Setting[], begun: Partial<Record<string, string>>): Record<IntentSetting, string> {
  const list = (key: IntentSetting) => begun[key] ?? spelt(settings.find((setting) => setting.key === key)?.value ?? '');
  return { intent_buy: list('intent_buy'), intent_compare: list('intent_compare'), intent_learn: list('intent_learn') };
}

/** Whether a word stands in one of the lists already. */
export function ruled(lists: Record<IntentSetting, string>, word: string): boolean {
  return intentSettings.some((list) => wordsIn(lists[list]).includes(word));
}

/** A list of words as a person writes it, with one more at its end. */
export function withWord(list: string, word: string): string {
  return [...wordsIn(list), word].join(', ');
}

function wordsIn(list: string): string[] {
  return list
    .split(',')
    .map((word) => word.trim())
    .filter((word) => word !== '');
}
