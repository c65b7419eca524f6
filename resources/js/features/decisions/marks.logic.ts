import type { Mark } from '../../api/schema';
import { find, parseSentence } from '../sentence/sentence.logic';

export interface MarkPress {
  keyword: string;
  mark: Mark;
  at: number;
}

/** A second press of the same key within this many milliseconds is a finger that bounced and takes nothing back. */
export const bounce = 1000;

/**
 * What a press of a mark's key asks for: the mark, or null to take it off; nothing where the same key was pressed for the
 * same keyword a moment ago.
 */
export function pressMark(press: MarkPress, marked: Mark | null, last: MarkPress | null): Mark | null | undefined {
  const isAgain = last !== null && last.keyword === press.keyword && last.mark === press.mark && press.at - last.at < bounce;
  if (isAgain) {
    return undefined;
  }
  return marked === press.mark ? null : press.mark;
}

/** Whether a keyword with a mark still belongs to what a sentence shows, as far as its clause about marks goes. */
export function staysWith(mark: Mark | null, show: string): boolean {
  switch (find(parseSentence(show), 'mark')?.value) {
    case 'kept':
      return mark !== 'set aside';
    case 'open':
      return mark === null;
    case 'shortlisted':
      return mark === 'shortlisted';
    case 'set aside':
      return mark === 'set aside';
    default:
      return true;
  }
}
