import type { Mark } from '../../api/schema';

/** Keys that move, mark or undo in a list. */
const listKeys = 'jksxugetvpn';

/**
 * Keys of the list that were pressed while the field for a reason has the focus. In an empty field, j, k, digits and the question mark
 * always move or act; after a first letter, two keys that begin no word do.
 *
 * @returns the keys that are meant, or null where a reason is being written
 */
export function keysMeant(written: string, key: string): string[] | null {
  if (written === '' && /^[0-9?jk]$/.test(key)) {
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
