// @vitest-environment jsdom
import { show } from '../testing/show';
import { fireEvent, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { beforeAll, beforeEach, describe, expect, it, vi } from 'vitest';
import { Bench, type Column } from './Bench';

interface Row {
  name: string;
  volume: number;
}

const rows = (count: number): Row[] => Array.from({ length: count }, (_, number) => ({ name: `row ${number}`, volume: number }));
const columns: Column<Row>[] = [
  {
    key: 'box',
    heading: '',
    track: '30px',
    cell: (row, isChosen) => <input type="checkbox" aria-label={row.name} data-choose checked={isChosen} readOnly />,
  },
  { key: 'name', heading: 'Name', track: 'minmax(160px, 1fr)', sort: 'name', startsAscending: true, cell: (row) => row.name },
  { key: 'volume', heading: 'Volume', track: '72px', sort: 'volume', isNumber: true, cell: (row) => row.volume },
];
const onOpen = vi.fn();
const onEnd = vi.fn();
const onChoose = vi.fn();
const onSort = vi.fn();

function Listed({ count, total = count, sort = 'volume' }: { count: number; total?: number; sort?: string }) {
  const [selected, setSelected] = useState<string | null>(null);
  const [all] = useState(() => rows(count));
  return (
    <Bench
      label="Rows"
      columns={columns}
      rows={all}
      total={total}
      rowKey={(row) => row.name}
      selected={selected}
      onSelect={(row) => setSelected(row.name)}
      onOpen={onOpen}
      onEnd={onEnd}
      onChoose={onChoose}
      sort={{ by: sort, dir: 'desc', onChange: onSort }}
    />
  );
}

beforeAll(() => {
  // A window of twenty rows, as wide as it likes.
  Object.defineProperties(HTMLElement.prototype, {
    clientHeight: { value: 600 },
    clientWidth: { value: 900 },
    scrollHeight: { value: 9030 },
  });
  HTMLElement.prototype.scrollTo = function (this: HTMLElement, where?: ScrollToOptions | number) {
    this.scrollTop = typeof where === 'object' ? (where.top ?? 0) : 0;
    fireEvent.scroll(this);
  };
  globalThis.ResizeObserver = class {
    observe() {}
    unobserve() {}
    disconnect() {}
  };
});
beforeEach(() => vi.clearAllMocks());

const shown = () => screen.getAllByRole('row').slice(1);
const selected = () => screen.getAllByRole('row').find((row) => row.getAttribute('aria-selected') === 'true');

describe('a list of any length', () => {
  it('draws what is in sight and tells how long it is', () => {
    show(<Listed count={20000} />);
    expect(shown().length).toBeLessThan(60);
    expect(screen.getByRole('table', { name: 'Rows' }).getAttribute('aria-rowcount')).toBe('20001');
  });

  it('is gone through by keys, and opened', async () => {
    show(<Listed count={300} />);
    await userEvent.keyboard('j');
    expect(selected()?.textContent).toContain('row 0');
    await userEvent.keyboard('jjk');
    expect(selected()?.textContent).toContain('row 1');
    await userEvent.keyboard('{Enter}');
    expect(onOpen).toHaveBeenLastCalledWith({ name: 'row 1', volume: 1 });
    await userEvent.keyboard('{End}');
    expect(selected()?.textContent).toContain('row 299');
    await userEvent.keyboard('j{Home}k');
    expect(selected()?.textContent).toContain('row 0');
  });

  it('asks for more before its end comes into sight, and never when all are there', () => {
    show(<Listed count={50} total={400} />);
    expect(onEnd).toHaveBeenCalled();
    onEnd.mockClear();
    show(<Listed count={50} />);
    expect(onEnd).not.toHaveBeenCalled();
  });

  it('opens a row that is pressed, and chooses by what is there to choose', async () => {
    show(<Listed count={10} />);
    await userEvent.click(screen.getByText('row 3'));
    expect(onOpen).toHaveBeenLastCalledWith({ name: 'row 3', volume: 3 });
    await userEvent.click(screen.getByRole('checkbox', { name: 'row 4' }));
    expect(onChoose).toHaveBeenLastCalledWith({ name: 'row 4', volume: 4 });
    expect(onOpen).toHaveBeenCalledOnce();
  });

  it('says what it goes by and is asked for the other way and for another column', async () => {
    show(<Listed count={10} />);
    const heading = (name: RegExp) => screen.getByRole('columnheader', { name });
    expect([heading(/Volume/).getAttribute('aria-sort'), heading(/Name/).getAttribute('aria-sort')]).toEqual(['descending', 'none']);
    await userEvent.click(within(heading(/Volume/)).getByRole('button'));
    expect(onSort).toHaveBeenLastCalledWith('volume', 'asc');
    await userEvent.click(within(heading(/Name/)).getByRole('button'));
    expect(onSort).toHaveBeenLastCalledWith('name', 'asc');
  });

  it('leaves letters to a field that one types in', async () => {
    show(
      <>
        <input aria-label="Typed" />
        <Listed count={10} />
      </>,
    );
    await userEvent.type(screen.getByRole('textbox'), 'jk');
    expect(selected()).toBeUndefined();
  });
});
