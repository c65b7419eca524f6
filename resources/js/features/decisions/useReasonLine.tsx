import { useState } from 'react';
import { flushSync } from 'react-dom';
import type { Mark, Study } from '../../api/schema';
import { ReasonLine } from './ReasonLine';
import type { useDecisions } from './useDecisions';

/** Asks why something was marked, in one line at the foot of the list. */
export function useReasonLine(study: Study, decisions: ReturnType<typeof useDecisions>) {
  const [asked, setAsked] = useState<{ mark: Mark; title: string; turn: number; number: number } | null>(null);
  return {
    /** A mark that was taken off needs no reason. */
    ask: (mark: Mark | null, title: string) =>
      // There before the next key is heard, so that none of a reason is taken for a key of the list.
      flushSync(() =>
        setAsked((before) =>
          mark === null || !study.may_edit ? null : { mark, title, turn: decisions.turn(), number: (before?.number ?? 0) + 1 },
        ),
      ),
    line:
      asked === null ? null : (
        <ReasonLine
          key={asked.number}
          study={study.slug}
          mark={asked.mark}
          title={asked.title}
          onReason={(reason) => decisions.giveReason(asked.turn, asked.mark, reason)}
          onClose={() => setAsked(null)}
        />
      ),
  };
}
