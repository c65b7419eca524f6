import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { vocabularyQuery } from '../study/queries';
import { kindsOf, type ClauseKind } from './clauses';

/** The clauses that a sentence about these domains can have; none until the vocabulary is there. */
export function useKinds(domains: string[]): ClauseKind[] {
  const vocabulary = useQuery(vocabularyQuery());
  return useMemo(() => (vocabulary.data === undefined ? [] : kindsOf(vocabulary.data, domains)), [vocabulary.data, domains]);
}
