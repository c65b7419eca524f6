import type { DecisionOutcome } from '../../api/schema';
import { whole } from '../../shared/format';

/** What a person is told about what others did with the same keywords, and what an undo left because it was changed since. */
export function toldWords(others: DecisionOutcome['others'], left: number): string {
  const words = others.map(({ who, keywords, example, mark }) => {
    const what = mark === 'shortlisted' ? 'had shortlisted' : mark === 'set aside' ? 'had set aside' : 'had changed';
    return `${who} ${what} ${keywords === 1 ? `“${example}”` : `${whole(keywords)} of them`} while you worked. Your decision now applies.`;
  });
  const kept =
    left === 0
      ? []
      : [
          left === 1
            ? 'One keyword has changed since and was left as it is.'
            : `${whole(left)} keywords have changed since and were left as they are.`,
        ];
  return [...words, ...kept].join(' ');
}
