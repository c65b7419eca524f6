import { useMemo, useState } from 'react';
import type { Sorting } from './Heading';
import { sorted } from './sorted.logic';

/** What a table goes by as long as it is on show. */
export function useSorting(by: string, dir: 'asc' | 'desc' = 'desc'): Sorting {
  const [order, setOrder] = useState<{ by: string; dir: string }>({ by, dir });
  return useMemo(() => ({ ...order, onChange: (next, way) => setOrder({ by: next, dir: way }) }), [order]);
}

/** The same for rows that are all here: they come in that order. With no start they stay as given until a heading is pressed. */
export function useSortedRows<Row>(
  rows: Row[],
  values: Record<string, (row: Row) => string | number | null>,
  start = '',
): [Row[], Sorting] {
  const sorting = useSorting(start);
  const value = values[sorting.by];
  return [useMemo(() => (value === undefined ? rows : sorted(rows, value, sorting.dir)), [rows, value, sorting.dir]), sorting];
}
