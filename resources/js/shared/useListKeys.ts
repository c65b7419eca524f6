import type { KeywordRow, Mark } from '../api/types';
import { useHotkeys } from './useHotkeys';

interface ListKeys {
  current: KeywordRow | undefined;
  mayEdit: boolean;
  onMark: (keywords: string[], mark: Mark | null) => void;
  onUndo: () => void;
  onClose: () => void;
  onChoose?: (keyword: string) => void;
  more?: Record<string, () => void>;
}

/** The keys that every list of keywords answers to: shortlist, set aside, undo, close the dossier. */
export function useListKeys({ current, mayEdit, onMark, onUndo, onClose, onChoose, more }: ListKeys): void {
  const flip = (mark: Mark) => {
    if (current !== undefined && mayEdit) {
      onMark([current.keyword], current.mark === mark ? null : mark);
    }
  };
  useHotkeys({ s: () => flip('shortlisted'), x: () => flip('set aside'), u: onUndo, Escape: onClose, v: () => current !== undefined && onChoose?.(current.keyword), ...more });
}
