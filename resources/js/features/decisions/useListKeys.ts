import { useRef } from 'react';
import type { Row, Mark } from '../../api/schema';
import { pressMark, type MarkPress } from './marks.logic';
import { useHotkeys } from '../../shared/useHotkeys';

interface ListKeys {
  current: Row | undefined;
  onMark: (keywords: string[], mark: Mark | null) => void;
  onUndo: () => void;
  onClose: () => void;
  onChoose?: (keyword: string) => void;
  more?: Record<string, () => void>;
}

/**
 * The keys that every list of keywords answers to: shortlist, set aside, undo, close the dossier. Whoever may only read is
 * told so by the server: a key that does nothing and says nothing looks broken.
 */
export function useListKeys({ current, onMark, onUndo, onClose, onChoose, more }: ListKeys): void {
  const last = useRef<MarkPress | null>(null);
  const flip = (mark: Mark, pressed: KeyboardEvent) => {
    if (current === undefined) {
      return;
    }
    // When the finger came down, not when a slow machine found the time for it.
    const press = { keyword: current.keyword, mark, at: pressed.timeStamp };
    const next = pressMark(press, current.mark, last.current);
    if (next !== undefined) {
      last.current = press;
      onMark([current.keyword], next);
    }
  };
  useHotkeys({
    s: (pressed) => flip('shortlisted', pressed),
    x: (pressed) => flip('set aside', pressed),
    u: onUndo,
    Escape: onClose,
    v: () => current !== undefined && onChoose?.(current.keyword),
    ...more,
  });
}
