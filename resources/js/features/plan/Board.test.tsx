// @vitest-environment jsdom
import { show } from '../../testing/show';
import { fireEvent, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { Roadmap, RoadmapItem } from '../../api/schema';
import { Board } from './Board';

const item = (id: number, name: string, month: string | null, more: Partial<RoadmapItem> = {}) =>
  ({
    id,
    name,
    month,
    status: 'planned',
    tactic: 'new page',
    owner: '',
    effort_days: 2,
    expected_gain: 40,
    keywords: [name],
    folded: [],
    topic: name,
    unit: 'topic',
    lead: name,
    is_late: false,
    is_pinned: false,
    publish_by: null,
    set_aside: null,
    spread: month === null ? {} : { [month]: 2 },
    done_month: null,
    ...more,
  }) as unknown as RoadmapItem;

const plan = {
  start: '2026-11',
  months: 2,
  capacity: 5,
  loads: { '2026-11': 7, '2026-12': 2 },
  items: [
    item(1, 'bee hive', '2026-11', { effort_days: 7, spread: { '2026-11': 5, '2026-12': 2 } }),
    item(2, 'bee suit', '2026-12', { owner: 'Edda', is_late: true, publish_by: '2026-12' }),
    item(3, 'raw honey', null),
    item(4, 'old page', '2026-11', { status: 'done' }),
    item(5, 'warre hive', '2026-11', { set_aside: { reason: 'no room' } }),
  ],
} as unknown as Roadmap;

const onChoose = vi.fn();
const onMove = vi.fn();
const board = (mayEdit = true, chosen: number | null = null) => (
  <Board plan={plan} columns={['2026-11', '2026-12', null]} chosen={chosen} mayEdit={mayEdit} onChoose={onChoose} onMove={onMove} />
);
const month = (name: string) => screen.getByRole('region', { name });
const card = (name: RegExp) => screen.getByRole('button', { name });

function carry(from: HTMLElement, to: HTMLElement) {
  const held: Record<string, string> = {};
  const dataTransfer = { setData: (kind: string, text: string) => (held[kind] = text), getData: (kind: string) => held[kind] ?? '' };
  fireEvent.dragStart(from, { dataTransfer });
  fireEvent.dragOver(to, { dataTransfer });
  fireEvent.drop(to, { dataTransfer });
}

beforeEach(() => vi.clearAllMocks());

describe('the board', () => {
  it('lays items into their months, and what has none beside them', () => {
    show(board());
    expect(within(month('Nov 2026')).getAllByRole('button')).toHaveLength(3);
    expect(within(month('Dec 2026')).getByRole('button', { name: /bee suit/ })).toBeDefined();
    expect(within(month('No month yet')).getByText('1 without a month')).toBeDefined();
  });

  it('says how full a month is, what is too much, and what goes on from the month before', () => {
    show(board());
    expect(within(month('Nov 2026')).getByText('7.0 of 5.0 days, over capacity')).toBeDefined();
    expect(within(month('Dec 2026')).getByText('2.0 of 5.0 days')).toBeDefined();
    expect(within(month('Dec 2026')).getByText('bee hive continues: 2.0 days')).toBeDefined();
  });

  it('tells owner, status, lateness and what was set aside', () => {
    show(board());
    expect(card(/bee suit/).textContent).toContain('Edda');
    expect(card(/bee suit/).textContent).toContain('publish by Dec 2026');
    expect(card(/old page/).textContent).toContain('done');
    expect(card(/warre hive/).textContent).toContain('no room');
  });

  it('chooses a card that is pressed, by mouse or by key', async () => {
    show(board(true, 2));
    expect(card(/bee suit/).getAttribute('aria-pressed')).toBe('true');
    await userEvent.click(card(/raw honey/));
    expect(onChoose).toHaveBeenLastCalledWith(plan.items[2]);
    card(/bee hive/).focus();
    await userEvent.keyboard('{Enter}');
    expect(onChoose).toHaveBeenLastCalledWith(plan.items[0]);
  });

  it('moves a card to where it is dropped, and back out of its month', () => {
    show(board());
    carry(card(/bee suit/), month('Nov 2026'));
    expect(onMove).toHaveBeenLastCalledWith(plan.items[1], '2026-11');
    carry(card(/bee suit/), month('No month yet'));
    expect(onMove).toHaveBeenLastCalledWith(plan.items[1], null);
  });

  it('moves nothing that stays where it is, nothing strange, and nothing for a reader', () => {
    const first = show(board());
    carry(card(/bee suit/), month('Dec 2026'));
    fireEvent.drop(month('Nov 2026'), { dataTransfer: { getData: () => 'a text from elsewhere' } });
    first.unmount();
    show(board(false));
    carry(card(/bee suit/), month('Nov 2026'));
    expect(onMove).not.toHaveBeenCalled();
    expect([card(/bee suit/).draggable]).toEqual([false]);
  });

  it('keeps what is done where it was done', () => {
    show(board());
    expect(card(/old page/).getAttribute('draggable')).toBe('false');
    expect(card(/bee suit/).getAttribute('draggable')).toBe('true');
  });
});
