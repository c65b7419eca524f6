import Box from '@mui/material/Box';
import { useVirtualizer } from '@tanstack/react-virtual';
import { memo, useCallback, useEffect, useLayoutEffect, useMemo, useRef, type ReactNode } from 'react';
import { rowHeight } from '../theme/theme';
import { HeadingWords, sortOf, type About, type Sorting } from './Heading';
import { listHeight } from './layout';
import { fitting, inPlaceOrder, layOut, nextPlace, placesFor } from './tracks.logic';
import { useHotkeys } from './useHotkeys';
import { useRoom } from './useRoom';
import { lines } from '../theme/measures';

export interface Column<Row> {
  key: string;
  heading: ReactNode;
  /** What it is called where it is chosen, if not as its heading. */
  name?: string;
  /** What a heading is called that is drawn as a sign. */
  label?: string;
  /** Grid track, such as `minmax(160px, 1fr)` or `72px`. */
  track: string;
  isNumber?: boolean;
  /** Stays in sight when the list is scrolled sideways; pinned columns come first. */
  isPinned?: boolean;
  /** How early it goes where the list has no room for all: the highest first. A column without one always stays. */
  rank?: number;
  /** Name to sort by; a column without one cannot be sorted. */
  sort?: string;
  /** The first press puts the smallest first. */
  startsAscending?: boolean;
  /** Told of the heading when the mouse or the focus is on it. */
  about?: About | undefined;
  cell: (row: Row, isChosen: boolean) => ReactNode;
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
  /** Pressed on something marked `data-choose` in a row. */
  onChoose?: (row: Row) => void;
  sort?: Sorting;
  isMuted?: (row: Row) => boolean;
  isChosen?: (row: Row) => boolean;
  height?: number;
  /** Columns that do not fit are reached by scrolling sideways instead of being left out. */
  scrollsSideways?: boolean;
}

const headingHeight = 29;

/** Rows beyond either edge that are ready before they come into sight. */
const overscan = 6;

/** A virtual list over any number of rows, moved through by keyboard: j, k, arrows, Page Up and Down, Home, End, Enter. */
export function Bench<Row>({
  label,
  columns: all,
  rows,
  total,
  rowKey,
  selected,
  onSelect,
  onOpen,
  onEnd,
  onChoose,
  sort,
  isMuted,
  isChosen,
  height = rowHeight,
  scrollsSideways = false,
}: Props<Row>) {
  const [scroller, room] = useRoom<HTMLDivElement>();
  const virtual = useVirtualizer({
    count: rows.length,
    getScrollElement: () => scroller.current,
    estimateSize: () => height,
    overscan,
    // The heading takes its height from the view; a row beyond the one that was reached stays in sight at either end.
    scrollPaddingStart: height,
    scrollPaddingEnd: headingHeight + height,
  });
  const items = virtual.getVirtualItems();
  const last = items.at(-1)?.index ?? 0;
  useEffect(() => {
    if (last >= rows.length - 60 && rows.length < total) {
      onEnd();
    }
  }, [last, rows.length, total, onEnd]);

  const current = useMemo(() => (selected === null ? -1 : rows.findIndex((row) => rowKey(row) === selected)), [rows, rowKey, selected]);
  // When the row that was selected leaves the list (it was set aside, say), the next key goes on from where it stood.
  const lastPlace = useRef(-1);
  useLayoutEffect(() => {
    if (current >= 0) {
      lastPlace.current = current;
    }
  }, [current]);
  const move = (step: number) => {
    const next = nextPlace(current, lastPlace.current, step, rows.length);
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

  const columns = useMemo(() => (scrollsSideways || room === 0 ? all : fitting(all, room)), [all, room, scrollsSideways]);
  const { tracks, leftOf, width } = useMemo(() => layOut(columns), [columns]);
  const places = placesFor(items.length, virtual.scrollRect?.height ?? 0, height, overscan);
  const handlers = useRef({ onOpen, onChoose });
  useLayoutEffect(() => {
    handlers.current = { onOpen, onChoose };
  });
  const press = useCallback(
    (row: Row, isChoice: boolean) => (isChoice ? handlers.current.onChoose?.(row) : handlers.current.onOpen(row)),
    [],
  );
  return (
    <Box sx={{ display: 'flex', flexDirection: 'column', ...listHeight }}>
      <Box
        ref={scroller}
        tabIndex={0}
        role="table"
        aria-label={label}
        aria-rowcount={total + 1}
        sx={{ overflow: 'auto', overflowY: 'scroll', flex: 1, minHeight: 0, scrollbarWidth: 'thin' }}
      >
        <Headings columns={columns as Column<unknown>[]} tracks={tracks} width={width} leftOf={leftOf} sort={sort} />
        <Box role="rowgroup" sx={rowStyles} style={{ height: virtual.getTotalSize(), minWidth: width }}>
          {(virtual.isScrolling ? inPlaceOrder(items, places) : items).map((item) => {
            const row = rows[item.index];
            if (row === undefined) {
              return null;
            }
            const name = rowKey(row);
            return (
              <BenchRow
                key={item.index % places}
                row={row}
                name={name}
                number={item.index + 2}
                columns={columns as Column<unknown>[]}
                tracks={tracks}
                leftOf={leftOf}
                start={item.start}
                height={height}
                isSelected={name === selected}
                isChosen={isChosen?.(row) === true}
                isMuted={isMuted?.(row) === true}
                onPress={press as (row: unknown, isChoice: boolean) => void}
              />
            );
          })}
        </Box>
      </Box>
    </Box>
  );
}

interface RowProps {
  row: unknown;
  name: string;
  number: number;
  columns: Column<unknown>[];
  tracks: string;
  leftOf: Record<string, number>;
  start: number;
  height: number;
  isSelected: boolean;
  isChosen: boolean;
  isMuted: boolean;
  onPress: (row: unknown, isChoice: boolean) => void;
}

/**
 * One row in plain elements, drawn anew only when something of it changed: many of them pass in every second of scrolling.
 * What scrolls out of sight gives its elements to what comes into it.
 */
const BenchRow = memo(function BenchRow({
  row,
  name,
  number,
  columns,
  tracks,
  leftOf,
  start,
  height,
  isSelected,
  isChosen,
  isMuted,
  onPress,
}: RowProps) {
  return (
    <div
      role="row"
      aria-rowindex={number}
      aria-selected={isSelected || isChosen}
      data-keyword={name}
      className={`bench-row${isSelected ? ' is-selected' : ''}${isChosen ? ' is-chosen' : ''}${isMuted ? ' is-muted' : ''}`}
      onClick={(event) => onPress(row, (event.target as HTMLElement).closest('[data-choose]') !== null)}
      style={{ height, gridTemplateColumns: tracks, transform: `translateY(${start}px)` }}
    >
      {columns.map((column) => (
        <div
          key={column.key}
          role="cell"
          className={`bench-cell${column.isNumber === true ? ' is-number' : ''}${column.isPinned === true ? ' is-pinned' : ''}`}
          style={column.isPinned === true ? { left: leftOf[column.key] } : undefined}
        >
          {column.cell(row, isChosen)}
        </div>
      ))}
    </div>
  );
});

const rowStyles = {
  position: 'relative',
  // A row neither moves nor outgrows its place, so the browser need not look at the others when one changes.
  '& .bench-row': {
    contain: 'strict',
    position: 'absolute',
    insetInline: 0,
    display: 'grid',
    alignItems: 'center',
    cursor: 'pointer',
    borderBottom: 1,
    borderColor: 'divider',
    bgcolor: 'background.default',
    color: 'text.primary',
    typography: 'dense',
  },
  '& .is-muted': { color: 'text.secondary' },
  '& .is-chosen, & .is-selected, & .bench-row:hover': { bgcolor: 'ink.wash' },
  '& .is-selected': { boxShadow: lines.selected },
  '& .bench-cell': { px: 1, overflow: 'hidden', textOverflow: 'ellipsis', whiteSpace: 'nowrap', fontVariantNumeric: 'tabular-nums' },
  '& .is-number': { textAlign: 'right' },
  '& .is-pinned': { position: 'sticky', zIndex: 1, bgcolor: 'inherit', alignSelf: 'stretch', alignContent: 'center' },
} as const;

/** Style of a heading that stays in sight at this distance from the left. */
function pinned(left: number | undefined) {
  return left === undefined
    ? {}
    : { position: 'sticky', left, zIndex: 1, bgcolor: 'inherit', alignSelf: 'stretch', alignContent: 'center' };
}

interface HeadingsProps {
  columns: Column<unknown>[];
  tracks: string;
  width: number;
  leftOf: Record<string, number>;
  sort: Props<unknown>['sort'];
}

/** The headings stay as they are while the rows go by. */
const Headings = memo(function Headings({ columns, tracks, width, leftOf, sort }: HeadingsProps) {
  return (
    <Box role="rowgroup" sx={{ position: 'sticky', top: 0, zIndex: 3, minWidth: width, bgcolor: 'background.default' }}>
      <Box
        role="row"
        sx={{
          display: 'grid',
          gridTemplateColumns: tracks,
          height: headingHeight,
          alignItems: 'center',
          bgcolor: 'background.default',
          borderBottom: 1,
          borderColor: 'divider',
          color: 'text.secondary',
          typography: 'note',
          fontWeight: 600,
        }}
      >
        {columns.map((column) => (
          <Heading key={column.key} column={column} left={leftOf[column.key]} sort={sort} />
        ))}
      </Box>
    </Box>
  );
});

function Heading<Row>({ column, left, sort }: { column: Column<Row>; left: number | undefined; sort: Props<Row>['sort'] }) {
  return (
    <Box
      role="columnheader"
      data-column={column.key}
      aria-sort={sortOf(column.sort, sort)}
      sx={{
        px: 1,
        py: 0.5,
        textAlign: column.isNumber === true ? 'right' : 'left',
        whiteSpace: 'nowrap',
        overflow: 'hidden',
        ...pinned(left),
      }}
    >
      <HeadingWords about={column.about} sort={column.sort} startsAscending={column.startsAscending} label={column.label} sorting={sort}>
        {column.heading}
      </HeadingWords>
    </Box>
  );
}
