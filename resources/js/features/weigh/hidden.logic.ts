import type { Hidden } from '../../api/schema';
import { whole } from '../../shared/format';

/** What a list leaves out, in words: "20 hidden: 12 brands, 8 already first"; empty where it leaves out nothing. */
export function hiddenWords(hidden: Hidden | undefined): string {
  const all = hidden?.hidden ?? [];
  const sum = all.reduce((count, one) => count + one.keywords, 0);
  return sum === 0 ? '' : `${whole(sum)} hidden: ${all.map((one) => `${whole(one.keywords)} ${one.why}`).join(', ')}`;
}
