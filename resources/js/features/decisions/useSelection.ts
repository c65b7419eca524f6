import { useState } from 'react';
import type { Decision, Row } from '../../api/schema';

/** Which rows are chosen: some by hand, or all that the sentence shows. A new sentence begins with none. */
export function useSelection(show: string, rows: Row[]) {
  const [state, setState] = useState<{ show: string; keywords: string[]; isAll: boolean }>({ show, keywords: [], isAll: false });
  const current = state.show === show ? state : { show, keywords: [], isAll: false };
  const chosen = new Set(current.keywords);
  return {
    isAll: current.isAll,
    isAny: current.isAll || chosen.size > 0,
    has: (keyword: string) => current.isAll || chosen.has(keyword),
    rows: rows.filter((row) => chosen.has(row.keyword)),
    /** What a decision would be about. */
    about: current.isAll ? { show } : { keywords: current.keywords },
    flip: (keyword: string) =>
      setState({
        show,
        isAll: false,
        keywords: chosen.has(keyword) ? current.keywords.filter((other) => other !== keyword) : [...current.keywords, keyword],
      }),
    add: (keywords: string[]) => setState({ show, isAll: false, keywords: [...new Set([...current.keywords, ...keywords])] }),
    drop: (keywords: string[]) =>
      setState({ show, isAll: false, keywords: current.keywords.filter((keyword) => !keywords.includes(keyword)) }),
    all: () => setState({ show, isAll: true, keywords: current.keywords }),
    none: () => setState({ show, isAll: false, keywords: [] }),
  };
}

export type Selection = ReturnType<typeof useSelection>;
export type Decider = (about: { keywords: string[] } | { show: string }, decision: Decision) => void;
