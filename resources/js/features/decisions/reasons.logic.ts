import type { Mark } from '../../api/schema';

/** Keys that move, mark or undo in a list. */
const listKeys = 'jksxugetvpn';

/**
 * Whoever marks one row after another without a pause means the keys of the list, although a reason could be written by now: a digit or a
 * question mark at the beginning, or two keys of a list that begin no word.
 *
 * @returns the keys that are meant, or null where a reason is being written
 */
export function keysMeant(written: string, key: string): string[] | null {
  if (written === '' && /^[0-9?]$/.test(key)) {
    return [key];
  }
  return /^(?:[jk][jksx]|ss|xx|uu)$/.test(written + key) ? [written, key] : null;
}

/** Milliseconds after which a single key of the list, with nothing typed behind it, is taken for just that. */
export const alone = 900;

export function isListKey(written: string): boolean {
  return written.length === 1 && listKeys.includes(written);
}

/** A single key of the list is no reason. */
export function isReason(written: string): boolean {
  const text = written.trim();
  return text !== '' && !isListKey(text);
}

/** The last reasons, those for the same mark first; at most so many. */
export function offered(given: { reason: string; mark: Mark }[], mark: Mark, most = 6): string[] {
  const inOrder = [...given.filter((one) => one.mark === mark), ...given.filter((one) => one.mark !== mark)];
  return [...new Set(inOrder.map((one) => one.reason))].slice(0, most);
}
