import type { Mark } from '../../api/schema';

/** What is known of a row of any list. */
interface MarkedRow {
  keyword: string;
  mark: Mark | null;
}

/** A list as it was read so far. */
export interface RowPages<Row extends MarkedRow = MarkedRow> {
  pages: { rows: Row[] }[];
}

/** Keyword → its mark. */
export type Marks = ReadonlyMap<string, Mark | null>;

/** The marks of the wanted keywords, as the lists have them. */
export function marksOf(lists: RowPages[], wanted: ReadonlySet<string>): Marks {
  const rows = lists.flatMap((list) => list.pages.flatMap((page) => page.rows));
  return new Map(rows.filter((row) => wanted.has(row.keyword)).map((row) => [row.keyword, row.mark]));
}

/** The list with a mark on the wanted keywords. */
export function withMark<Row extends MarkedRow, List extends RowPages<Row>>(
  list: List,
  wanted: ReadonlySet<string>,
  mark: Mark | null,
): List {
  return withRows(list, (row: Row) => (wanted.has(row.keyword) ? { ...row, mark } : row));
}

/** The list with the marks of before where the refused one still stands; what was decided since stays. */
export function unmarked<Row extends MarkedRow, List extends RowPages<Row>>(list: List, before: Marks, refused: Mark | null): List {
  return withRows(list, (row: Row) => {
    const mark = before.get(row.keyword);
    return mark === undefined || row.mark !== refused ? row : { ...row, mark };
  });
}

function withRows<Row extends MarkedRow, List extends RowPages<Row>>(list: List, change: (row: Row) => Row): List {
  return { ...list, pages: list.pages.map((page) => ({ ...page, rows: page.rows.map(change) })) };
}
