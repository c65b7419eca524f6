import { useState } from 'react';

/** What a decision can be about. */
export type About =
  | { keywords: string[] }
  | { topics: string[] }
  | { show: string; list?: 'compare' | 'weigh' | 'pages' }
  | { show: string; by: Trait; groups: (string | null)[] };

/** What opportunities are gathered by. */
export type Trait = 'topic' | 'intent' | 'stage' | 'tactic' | 'horizon' | 'page';

interface Chosen<Row> {
  keyOf: (row: Row) => string;
  /** What is chosen by hand, and all that the sentence shows, as a decision names them. */
  about: (keys: string[]) => About;
  aboutAll: (show: string) => About;
}

/** Rows of keywords in Compare, which shows all that the sentence lets through. */
export const ofKeywords: Chosen<{ keyword: string }> = {
  keyOf: (row) => row.keyword,
  about: (keywords) => ({ keywords }),
  aboutAll: (show) => ({ show }),
};

/** Ranked keywords. */
export const ofRanked: Chosen<{ keyword: string }> = { ...ofKeywords, aboutAll: (show) => ({ show, list: 'weigh' }) };

/** Ranked pages. */
export const ofPages: Chosen<{ topic: string }> = {
  keyOf: (page) => page.topic,
  about: (topics) => ({ topics }),
  aboutAll: (show) => ({ show, list: 'pages' }),
};

/** Groups of opportunities by a trait; the group of those without it has no name. */
export const ofGroups = (by: Trait, show: string): Chosen<{ name: string | null }> => ({
  keyOf: (group) => group.name ?? '',
  about: (names) => ({ show, by, groups: names.map((name) => (name === '' ? null : name)) }),
  aboutAll: () => ({ show, list: 'weigh' }),
});

/** Which rows are chosen: some by hand, or all that the sentence shows. A new sentence begins with none. */
export function useSelection<Row>(show: string, rows: Row[], { keyOf, about, aboutAll }: Chosen<Row>) {
  const [state, setState] = useState<{ show: string; keywords: string[]; isAll: boolean }>({ show, keywords: [], isAll: false });
  const current = state.show === show ? state : { show, keywords: [], isAll: false };
  const chosen = new Set(current.keywords);
  return {
    isAll: current.isAll,
    isAny: current.isAll || chosen.size > 0,
    has: (keyword: string) => current.isAll || chosen.has(keyword),
    rows: rows.filter((row) => chosen.has(keyOf(row))),
    /** What a decision would be about. */
    about: current.isAll ? aboutAll(show) : about(current.keywords),
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

export type Selection<Row> = ReturnType<typeof useSelection<Row>>;
