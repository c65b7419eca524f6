import Box from '@mui/material/Box';
import { useEffect, useRef, useState, type DragEvent } from 'react';
import type { Roadmap, RoadmapItem } from '../../api/schema';
import { decimal, estimate } from '../../shared/format';
import { continuedIn, endOf, monthName, servesWords, setAsideWords } from './months.logic';
import { fields, focusRing, lines, marks } from '../../theme/measures';
import { RowBar } from '../../shared/chart';
import { TroubleSign } from '../keyword/TroubleSign';

interface Props {
  plan: Roadmap;
  columns: (string | null)[];
  chosen: number | null;
  mayEdit: boolean;
  onChoose: (item: RoadmapItem) => void;
  onMove: (item: RoadmapItem, month: string | null) => void;
}

/** The months side by side; a card moves by mouse, or with [ and ] once it is chosen. */
export function Board({ plan, columns, chosen, mayEdit, onChoose, onMove }: Props) {
  const [over, setOver] = useState<string | null | undefined>();
  // What is past lies to the left; one begins with the plan.
  const start = useRef<HTMLElement>(null);
  useEffect(() => {
    // Sideways alone: the page itself stays where it is.
    const [column, board] = [start.current, start.current?.parentElement];
    if (column != null && board != null) {
      board.scrollLeft = column.offsetLeft - board.offsetLeft;
    }
  }, [plan.start]);
  const drop = (month: string | null) => (event: DragEvent) => {
    event.preventDefault();
    setOver(undefined);
    const item = plan.items.find((candidate) => String(candidate.id) === event.dataTransfer.getData('text/plain'));
    if (item !== undefined && item.month !== month) {
      onMove(item, month);
    }
  };
  return (
    <Box sx={{ flex: 1, minHeight: 0, overflow: 'auto', display: 'flex' }}>
      {columns.map((month) => {
        const items = plan.items.filter((item) => item.month === month);
        return (
          <Box
            key={month ?? 'waiting'}
            ref={month === plan.start ? start : undefined}
            component="section"
            aria-label={month === null ? 'No month yet' : monthName(month)}
            onDragOver={(event) => {
              event.preventDefault();
              setOver(month);
            }}
            onDrop={mayEdit ? drop(month) : undefined}
            sx={{
              width: fields.l,
              flexShrink: 0,
              borderRight: 1,
              borderColor: 'divider',
              px: 1,
              pb: 2,
              bgcolor: over === month ? 'ink.wash' : 'transparent',
            }}
          >
            <ColumnHead
              month={month}
              load={month === null ? null : (plan.loads[month] ?? 0)}
              capacity={plan.capacity}
              count={items.length}
            />
            {continuedIn(plan.items, month).map(({ item, days }) => (
              <Box
                key={item.id}
                sx={{
                  mt: 0.75,
                  px: 0.75,
                  py: 0.25,
                  borderLeft: 4,
                  borderLeftColor: 'primary.main',
                  borderTop: lines.dashed,
                  borderTopColor: 'divider',
                  typography: 'small',
                  color: 'text.secondary',
                }}
              >
                {item.name} continues: {decimal(days, 1)} days
              </Box>
            ))}
            {items.map((item) => (
              <Card key={item.id} item={item} isChosen={item.id === chosen} mayEdit={mayEdit} onChoose={() => onChoose(item)} />
            ))}
          </Box>
        );
      })}
    </Box>
  );
}

function ColumnHead({ month, load, capacity, count }: { month: string | null; load: number | null; capacity: number; count: number }) {
  const share = load === null || capacity === 0 ? 0 : Math.min(1, load / capacity);
  const isOver = load !== null && load > capacity + 1e-9;
  return (
    <Box sx={{ position: 'sticky', top: 0, bgcolor: 'background.default', zIndex: 1, pt: 1, pb: 0.75 }}>
      <Box sx={{ fontWeight: 600, typography: 'plain' }}>{month === null ? 'Waiting' : monthName(month)}</Box>
      <Box sx={{ typography: 'small', color: isOver ? 'warning.main' : 'text.secondary', fontVariantNumeric: 'tabular-nums' }}>
        {load === null
          ? `${count} without a month`
          : `${decimal(load, 1)} of ${decimal(capacity, 1)} days${isOver ? ', over capacity' : ''}`}
      </Box>
      <Box sx={{ height: marks.bar, bgcolor: 'divider', mt: 0.25 }}>
        <RowBar amount={share} most={1} height={marks.bar} ink={isOver ? 'warning.main' : 'primary.main'} />
      </Box>
    </Box>
  );
}

function Card({ item, isChosen, mayEdit, onChoose }: { item: RoadmapItem; isChosen: boolean; mayEdit: boolean; onChoose: () => void }) {
  const isOver = item.status === 'done' || item.status === 'dropped';
  return (
    <Box
      component="button"
      type="button"
      draggable={mayEdit && item.status !== 'done'}
      data-item={item.id}
      onDragStart={(event) => event.dataTransfer.setData('text/plain', String(item.id))}
      onClick={onChoose}
      aria-pressed={isChosen}
      sx={{
        all: 'unset',
        boxSizing: 'border-box',
        display: 'block',
        width: '100%',
        cursor: 'pointer',
        p: 0.75,
        mt: 0.75,
        border: 1,
        borderColor: isChosen ? 'primary.main' : 'divider',
        borderLeft: 4,
        borderLeftColor: isOver ? 'divider' : 'primary.main',
        bgcolor: 'background.paper',
        color: isOver ? 'text.secondary' : 'text.primary',
        '&:focus-visible': focusRing,
      }}
    >
      <Box
        sx={{
          typography: 'dense',
          fontWeight: 600,
          overflowWrap: 'anywhere',
          textDecoration: item.status === 'dropped' ? 'line-through' : 'none',
        }}
      >
        {item.is_pinned && <span title="pinned">⚲ </span>}
        {item.name}
      </Box>
      <Box sx={{ typography: 'small', color: 'text.secondary' }}>{servesWords(item)}</Box>
      <Box sx={{ typography: 'small', color: 'text.secondary' }}>
        {item.tactic}
        {item.owner !== '' && ` · ${item.owner}`}
        <TroubleSign url={item.own_url} />
      </Box>
      <Box sx={{ display: 'flex', justifyContent: 'space-between', typography: 'small', fontVariantNumeric: 'tabular-nums' }}>
        <span>
          {String(item.effort_days)} {item.effort_days === 1 ? 'day' : 'days'}
          {endOf(item) !== item.month && ` until ${monthName(endOf(item) ?? '')}`}
        </span>
        <span title="expected gain, visits a month">+{estimate(item.expected_gain)}</span>
      </Box>
      {item.status !== 'planned' && <Box sx={{ typography: 'small', fontWeight: 600 }}>{item.status}</Box>}
      {item.set_aside !== null && (
        <Box sx={{ typography: 'small', fontWeight: 600, color: 'warning.main' }}>{setAsideWords(item.set_aside)}</Box>
      )}
      {item.is_late && <Box sx={{ typography: 'small', color: 'warning.main' }}>publish by {monthName(item.publish_by ?? '')}</Box>}
    </Box>
  );
}
