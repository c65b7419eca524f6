import { percent } from '../../shared/format';

/** What a chance is a chance of: `34% for position 3 or better`. */
export function chanceWords(chance: number | null, target: number | null): string {
  if (chance === null) {
    return 'unknown, because the difficulty is';
  }
  return target === null ? percent(chance) : `${percent(chance)} for position ${target}${target === 1 ? '' : ' or better'}`;
}

/** The same in a narrow column: `34% for 3`. */
export function shortChance(chance: number | null, target: number | null): string {
  return chance === null || target === null ? percent(chance) : `${percent(chance)} for ${target}`;
}
