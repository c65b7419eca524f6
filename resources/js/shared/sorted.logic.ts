type Value = string | number | null | undefined;

/** Rows in the order of a value, the unknown last whichever way it goes; equals stay as they were. */
export function sorted<Row>(rows: Row[], value: (row: Row) => Value, dir: string): Row[] {
  const sign = dir === 'asc' ? 1 : -1;
  const known = rows.filter((row) => isKnown(value(row)));
  const unknown = rows.filter((row) => !isKnown(value(row)));
  return [...known.sort((a, b) => sign * compare(value(a), value(b))), ...unknown];
}

function isKnown(value: Value): boolean {
  return value !== null && value !== undefined && value !== '';
}

function compare(a: Value, b: Value): number {
  return typeof a === 'number' && typeof b === 'number' ? a - b : String(a).localeCompare(String(b), 'en');
}
