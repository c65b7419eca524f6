import Box from '@mui/material/Box';
import { useVirtualizer } from '@tanstack/react-virtual';
import { useEffect, useRef, type ReactNode } from 'react';
import { rowHeight } from '../theme/theme';
import { layOut } from './tracks.logic';
import { useHotkeys } from './useHotkeys';

export interface Column<Row> {
  key: string;
  heading: ReactNode;
  /** Grid track, such as `minmax(160px, 1fr)` or `72px`. */
  track: string;
  isNumber?: boolean;
  /** Stays in sight when the list is scrolled sideways; pinned columns come first. */
  isPinned?: boolean;
  /** Name to sort by; a column without one cannot be sorted. */
  sort?: string;
  cell: (row: Row) => ReactNode;
}

interface Props<Row> {
  label: string;
  columns: Column<Row>[];
  rows: Row[];
  total: number;
  rowKey: (row: Row) => string;
  selected: string | null;
  onSelect: (row: Row) => void;
  onOpen: (row: Row) => void;
  onEnd: () => void;
  sort?: { by: string; dir: string; onChange: (by: string, dir: string) => void };
  isMuted?: (row: Row) => boolean;
  isChosen?: (row: Row) => boolean;
  height?: number;
}

const headingHeight = 29;

/** A virtual list over any number of rows, moved through by keyboard: j, k, arrows, Page Up and Down, Home, End, Enter. */
export function Bench<Row>({ label, columns, rows, total, rowKey, selected, onSelect, onOpen, onEnd, sort, isMuted, isChosen, height = rowHeight }: Props<Row>) {
  const scroller = useRef<HTMLDivElement>(null);
  const virtual = useVirtualizer({ count: rows.length, getScrollElement: () => scroller.current, estimateSize: () => height, overscan: 12, scrollPaddingStart: headingHeight });
  const items = virtual.getVirtualItems();
  const last = items.at(-1)?.index ?? 0;
  useEffect(() => {
    if (last >= rows.length - 60 && rows.length < total) {
      onEnd();
    }
  }, [last, rows.length, total, onEnd]);

  const current = rows.findIndex((row) => rowKey(row) === selected);
  const move = (step: number) => {
    const next = Math.max(0, Math.min(rows.length - 1, current < 0 ? 0 : current + step));
    const row = rows[next];
    if (row !== undefined) {
      onSelect(row);
      // The list takes the focus, so that Enter opens the row and not whatever was pressed before.
      scroller.current?.focus({ preventScroll: true });
      virtual.scrollToIndex(next);
    }
  };
  const open = () => {
    const row = rows[current];
    if (row !== undefined) {
      onOpen(row);
    }
  };
  useHotkeys({
    j: () => move(1),
    k: () => move(-1),
    ArrowDown: () => move(1),
    ArrowUp: () => move(-1),
    PageDown: () => move(15),
    PageUp: () => move(-15),
    Home: () => move(-rows.length),
    End: () => move(rows.length),
    Enter: open,
  });

  const { tracks, leftOf, width } = layOut(columns);
  return (
    <Box role="table" aria-label={label} aria-rowcount={total + 1} sx={{ display: 'flex', flexDirection: 'column', minHeight: 0, flex: 1 }}>
      <Box ref={scroller} tabIndex={0} role="presentation" aria-label={`${label}: rows`} sx={{ overflow: 'auto', overflowY: 'scroll', flex: 1, minHeight: 0, scrollbarWidth: 'thin' }}>
        <Box role="rowgroup" sx={{ position: 'sticky', top: 0, zIndex: 3, minWidth: width, bgcolor: 'background.default' }}>
          <Box role="row" sx={{ display: 'grid', gridTemplateColumns: tracks, height: headingHeight, alignItems: 'center', bgcolor: 'background.default', borderBottom: 1, borderColor: 'divider', color: 'text.secondary', fontSize: '0.78rem', fontWeight: 600 }}>
            {columns.map((column) => (
              <Heading key={column.key} column={column} left={leftOf[column.key]} sort={sort} />
            ))}
          </Box>
        </Box>
        <Box role="rowgroup" sx={{ height: virtual.getTotalSize(), minWidth: width, position: 'relative' }}>
          {items.map((item) => {
            const row = rows[item.index];
            if (row === undefined) {
              return null;
            }
            const isSelected = rowKey(row) === selected;
            return (
              <Box
                key={item.key}
                role="row"
                aria-rowindex={item.index + 2}
                aria-selected={isSelected || isChosen?.(row) === true}
                data-keyword={rowKey(row)}
                onClick={() => onOpen(row)}
                sx={{
                  position: 'absolute',
                  insetInline: 0,
                  height,
                  display: 'grid',
                  gridTemplateColumns: tracks,
                  alignItems: 'center',
                  cursor: 'pointer',
                  borderBottom: 1,
                  borderColor: 'divider',
                  bgcolor: isSelected || isChosen?.(row) === true ? 'ink.wash' : 'background.default',
                  boxShadow: isSelected ? 'inset 3px 0 0 var(--mui-palette-primary-main)' : 'none',
                  color: isMuted?.(row) === true ? 'text.secondary' : 'text.primary',
                  fontSize: '0.86rem',
                  '&:hover': { bgcolor: 'ink.wash' },
                }}
                style={{ transform: `translateY(${item.start}px)` }}
              >
                {columns.map((column) => (
                  <Box
                    key={column.key}
                    role="cell"
                    sx={{ px: 1, overflow: 'hidden', textOverflow: 'ellipsis', whiteSpace: 'nowrap', textAlign: column.isNumber === true ? 'right' : 'left', fontVariantNumeric: 'tabular-nums', ...pinned(leftOf[column.key]) }}
                  >
                    {column.cell(row)}
                  </Box>
                ))}
              </Box>
            );
          })}
        </Box>
      </Box>
    </Box>
  );
}

/** Style of a cell that stays in sight at this distance from the left. */
function pinned(left: number | undefined) {
  return left === undefined ? {} : { position: 'sticky', left, zIndex: 1, bgcolor: 'inherit', alignSelf: 'stretch', alignContent: 'center' };
}

function Heading<Row>({ column, left, sort }: { column: Column<Row>; left: number | undefined; sort: Props<Row>['sort'] }) {
  const by = column.sort;
  const isSorted = by !== undefined && sort?.by === by;
  const order = isSorted ? (sort.dir === 'asc' ? 'ascending' : 'descending') : 'none';
  return (
    <Box role="columnheader" aria-sort={by === undefined || sort === undefined ? undefined : order} sx={{ px: 1, py: 0.5, textAlign: column.isNumber === true ? 'right' : 'left', whiteSpace: 'nowrap', overflow: 'hidden', ...pinned(left) }}>
      {by === undefined || sort === undefined ? (
        column.heading
      ) : (
        <Box
          component="button"
          type="button"
          onClick={() => sort.onChange(by, isSorted && sort.dir === 'desc' ? 'asc' : isSorted ? 'desc' : by === 'keyword' || by === 'own' || by === 'best' || by === 'difficulty' ? 'asc' : 'desc')}
          sx={{ all: 'unset', cursor: 'pointer', color: isSorted ? 'text.primary' : 'inherit', '&:focus-visible': { outline: '2px solid var(--mui-palette-primary-main)' } }}
        >
          {column.heading}
          {isSorted ? (sort.dir === 'asc' ? ' ↑' : ' ↓') : ''}
        </Box>
      )}
    </Box>
  );
}
