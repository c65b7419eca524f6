import type { Setting } from '../../api/schema';

export type Control = 'switch' | 'choice' | 'slider' | 'number' | 'text';

/** Up to this many steps a slider can be set exactly. */
const mostSteps = 100;

/** Which field fits a setting. */
export function controlOf({ type, choices, min, max }: Setting): Control {
  if (type === 'choice') {
    return choices.length === 2 && choices.includes('yes') && choices.includes('no') ? 'switch' : 'choice';
  }
  if (type === 'ordering') {
    return 'choice';
  }
  if (type === 'integer' || type === 'number') {
    return max !== null && max - (min ?? 0) <= mostSteps && (type === 'integer' || max <= 1) ? 'slider' : 'number';
  }
  return 'text';
}

export function stepOf({ type }: Setting): number {
  return type === 'integer' ? 1 : 0.01;
}

/** What can be chosen, with what it is called; what was chosen by a script stays among it. */
export function choicesOf(setting: Setting, chosen: string): { value: string; name: string }[] {
  const values = setting.type === 'ordering' ? ['', ...ordersOf(setting.choices)] : setting.choices;
  return [...new Set([...values, chosen])].map((value) => ({
    value,
    name: setting.type === 'ordering' ? (value === '' ? 'no order of its own' : value.split(',').join(', then ')) : value,
  }));
}

/** Every order of all or some of a few things. */
function ordersOf(things: string[]): string[] {
  return things.flatMap((first) => {
    const rest = ordersOf(things.filter((other) => other !== first));
    return [first, ...rest.map((order) => `${first},${order}`)];
  });
}

/** The settings that a search finds by title, meaning or key; all where nothing is searched. */
export function found(settings: Setting[], search: string): Setting[] {
  const words = search.toLowerCase().split(/\s+/).filter(Boolean);
  return settings.filter(({ key, title, meaning }) => {
    const text = `${title} ${meaning} ${key}`.toLowerCase();
    return words.every((word) => text.includes(word));
  });
}
