/** Numbers for people, through Intl: at most three significant figures for estimates, a dot for the unknown. */

export const unknown = '·';

/** The texts are English, so their numbers are, too: as the reader writes English, British unless the browser says otherwise. */
const locale = typeof navigator !== 'undefined' && navigator.language.startsWith('en-') ? navigator.language : 'en-GB';
const wholes = new Intl.NumberFormat(locale, { maximumFractionDigits: 0 });
const tenths = new Intl.NumberFormat(locale, { maximumFractionDigits: 1 });
const shares = new Intl.NumberFormat(locale, { style: 'percent', maximumFractionDigits: 0 });
const smallShares = new Intl.NumberFormat(locale, { style: 'percent', minimumFractionDigits: 1, maximumFractionDigits: 1 });

const days = new Intl.DateTimeFormat(locale, { day: 'numeric', month: 'short', year: 'numeric', timeZone: 'UTC' });

/** A day in a sentence, such as 3 Dec 2026; tables and files have it as it is. */
export function dayWords(day: string): string {
  const time = new Date(`${day.slice(0, 10)}T00:00:00Z`);
  return Number.isNaN(time.getTime()) ? day : days.format(time);
}

export function whole(value: number | null | undefined): string {
  return value === null || value === undefined ? unknown : wholes.format(value);
}

/** @param one of what there are so many, as in “1 keyword, 2 keywords” */
export function counted(value: number, one: string): string {
  return `${whole(value)} ${one}${value === 1 ? '' : 's'}`;
}

export function estimate(value: number | null | undefined): string {
  if (value === null || value === undefined) {
    return unknown;
  }
  if (value !== 0 && Math.abs(value) < 0.1) {
    return '<0.1';
  }
  const rounded = Number(value.toPrecision(3));
  return (Math.abs(rounded) >= 100 ? wholes : tenths).format(rounded);
}

export function decimal(value: number | null | undefined, places = 1): string {
  return value === null || value === undefined ? unknown : value.toFixed(places);
}

export function percent(value: number | null | undefined): string {
  return value === null || value === undefined ? unknown : (value < 0.1 ? smallShares : shares).format(value);
}

export function position(value: number | null | undefined): string {
  return value === null || value === undefined ? unknown : String(value);
}

/** The path of a page without its host, for a narrow column. */
export function pathOf(url: string): string {
  return url.replace(/^https?:\/\/[^/]+/, '');
}

/** An input of an explanation: numbers with at most four significant digits, texts as they are. */
export function told(value: number | string | null): string {
  if (value === null) {
    return 'unknown';
  }
  if (typeof value === 'string' || Number.isInteger(value)) {
    return typeof value === 'string' ? value : whole(value);
  }
  return Math.abs(value) >= 1000 ? whole(Math.round(value)) : String(Number(value.toPrecision(4)));
}
