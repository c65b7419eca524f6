import { useQuery } from '@tanstack/react-query';
import type { About } from '../../shared/Heading';
import { vocabularyQuery } from './queries';

/** What the catalogue says of its columns, by their names; nothing while it is on its way. */
export function useAbouts(): (column: string) => About | undefined {
  const columns = useQuery(vocabularyQuery()).data?.columns;
  return (name) => {
    const column = columns?.find((one) => one.name === name);
    return column === undefined ? undefined : { meaning: column.meaning, unit: column.unit, source: column.source };
  };
}
