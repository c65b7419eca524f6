import { useEffect } from 'react';
import { unknown } from './format';

export interface ShownTable {
  headings: string[];
  rows: (string | number | null)[][];
}

let latest: (() => ShownTable) | null = null;

/** What a list that draws only the rows in sight tells of all of its rows, as long as it is on show. */
export function useShownTable(table: () => ShownTable) {
  useEffect(() => {
    latest = table;
    return () => {
      latest = null;
    };
  }, [table]);
}

/** The table on show: as its list tells it, or else as it stands on the screen; null where there is none. */
export function shownTable(root: ParentNode = document): ShownTable | null {
  const drawn = root.querySelector<HTMLTableElement>('main table');
  return latest?.() ?? (drawn === null ? null : tableOf(drawn));
}

/** A table as it is drawn, without columns of mere buttons. */
function tableOf(table: HTMLTableElement): ShownTable {
  const texts = (cells: Iterable<HTMLTableCellElement>) => [...cells].map(textOf);
  const headings = texts(table.tHead?.rows[0]?.cells ?? []);
  const rows = [...table.tBodies].flatMap((body) => [...body.rows]).map((row) => texts(row.cells).map(cellOf));
  const kept = headings.flatMap((heading, place) => (heading !== '' || rows.some((row) => typeof row[place] === 'number') ? [place] : []));
  return {
    headings: kept.map((place) => (headings[place] ?? '').replace(/ [↑↓]$/, '')),
    rows: rows.map((row) => kept.map((place) => row[place] ?? null)),
  };
}

function textOf(cell: HTMLTableCellElement): string {
  const field = cell.querySelector<HTMLInputElement>('input:not([type=checkbox])');
  return (field === null ? cell.innerText : field.value).trim();
}

/** What a cell says: figures as numbers, percentages as shares, nothing for the unknown. */
export function cellOf(text: string): string | number | null {
  const plain = text.replace(/(?<=\d),(?=\d{3})/g, '').replace('−', '-');
  if (text === '' || text === unknown) {
    return null;
  }
  if (/^[+-]?\d+(\.\d+)?%$/.test(plain)) {
    return Number((Number(plain.slice(0, -1)) / 100).toFixed(6));
  }
  return /^[+-]?\d+(\.\d+)?$/.test(plain) ? Number(plain) : text;
}

/** What the list on show has as columns, from the left; none where no list is shown. */
export function shownColumns(root: ParentNode = document): string[] {
  return [...root.querySelectorAll<HTMLElement>('main [role=columnheader][data-column]')].map((heading) => heading.dataset.column ?? '');
}
