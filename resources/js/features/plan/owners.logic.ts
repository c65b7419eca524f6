import type { Roadmap } from '../../api/schema';
import { counted, decimal } from '../../shared/format';
import { monthName } from './months.logic';

type Owner = Roadmap['owners'][number];

/** A hair more than the days a person has is rounding. */
const rounding = 1e-9;

/** What is planned for a person, and in which months it is too much. */
export function ownerWords({ days, items, loads }: Owner): { words: string; isOver: boolean } {
  const months = Object.entries(loads).sort(([one], [other]) => one.localeCompare(other));
  const over = days === null ? [] : months.filter(([, load]) => load > days + rounding);
  return {
    words:
      over.length === 0
        ? `${counted(items, 'item')}, ${decimal(
            months.reduce((sum, [, load]) => sum + load, 0),
            1,
          )} days`
        : `too much in ${over.map(([month, load]) => `${monthName(month)} (${decimal(load, 1)} days)`).join(', ')}`,
    isOver: over.length > 0,
  };
}
