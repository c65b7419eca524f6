// @vitest-environment jsdom
import { act, cleanup, fireEvent, render, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { across, Chart, dayScale, Legend, Line, PictureButtons, timeOf, useFit, XAxis, type Frame } from '.';
import { pictureOf } from './picture.logic';

const frame: Frame = { width: 200, height: 100, left: 0, right: 0, top: 0, bottom: 20 };
const readings = [
  { x: 0, words: 'January: 3' },
  { x: 100, words: 'February: 5' },
  { x: 200, words: 'March: unknown' },
];

function Drawn() {
  return (
    <Chart
      label="Visits"
      frame={frame}
      readings={readings}
      table={{
        headings: ['Month', 'Visits'],
        rows: [
          ['January', '3'],
          ['February', '5'],
        ],
      }}
    >
      <Line spots={[{ x: 0, y: 10 }, { x: 50, y: 20 }, null, { x: 150, y: 30 }]} title="ours" />
    </Chart>
  );
}

afterEach(cleanup);

describe('a drawing', () => {
  it('is told in words, and its figures as a table', () => {
    render(<Drawn />);
    expect(screen.getByRole('img', { name: 'Visits' })).toBeDefined();
    const table = screen.getByRole('table', { name: 'Visits', hidden: true });
    expect(
      within(table)
        .getAllByRole('columnheader', { hidden: true })
        .map((cell) => cell.textContent),
    ).toEqual(['Month', 'Visits']);
    expect(within(table).getByRole('rowheader', { name: 'February', hidden: true }).nextSibling?.textContent).toBe('5');
  });

  it('is read along by the arrow keys, from the newest', async () => {
    const user = userEvent.setup();
    const above = vi.fn();
    render(
      <div onKeyDown={above}>
        <Drawn />
      </div>,
    );
    await user.tab();
    await user.keyboard('{ArrowLeft}');
    expect(screen.getByText('March: unknown')).toBeDefined();
    await user.keyboard('{ArrowLeft}');
    expect(screen.getByText('February: 5')).toBeDefined();
    await user.keyboard('{Home}{ArrowLeft}');
    expect(screen.getByText('January: 3')).toBeDefined();
    await user.keyboard('{End}{ArrowRight}');
    expect(screen.getByText('March: unknown')).toBeDefined();
    expect(above, 'A list below must not move along.').not.toHaveBeenCalled();
    await user.keyboard('j');
    expect(above).toHaveBeenCalledOnce();
    await user.tab();
    expect(screen.queryByText('March: unknown')).toBeNull();
  });

  it('is read by the mouse, too', () => {
    render(<Drawn />);
    const drawing = screen.getByRole('img');
    Object.defineProperty(drawing, 'viewBox', { value: { baseVal: { width: 200, height: 100 } } });
    vi.spyOn(drawing, 'getBoundingClientRect').mockReturnValue({ left: 10, width: 400 } as DOMRect);
    fireEvent(drawing, new MouseEvent('pointermove', { bubbles: true, clientX: 10 + 220 }));
    expect(screen.getByText('February: 5')).toBeDefined();
    fireEvent(drawing, new MouseEvent('pointerout', { bubbles: true }));
    expect(screen.queryByText('February: 5')).toBeNull();
  });
});

describe('a line', () => {
  it('breaks off where nothing is known, and draws what stands alone as a dot', () => {
    const { container } = render(<Drawn />);
    const path = container.querySelector('path')?.getAttribute('d') ?? '';
    expect(path.match(/M/g)).toHaveLength(2);
    expect(path.startsWith('M0,10L50,20M150,30')).toBe(true);
    expect(container.querySelectorAll('circle')).toHaveLength(1);
    expect(container.querySelector('circle')?.getAttribute('cx')).toBe('150');
  });
});

describe('an axis of days', () => {
  it('writes names where they belong in time, as many as stand beside each other', () => {
    const days = ['2026-01-01', '2026-01-02', '2026-03-01'];
    const x = dayScale(days, across(frame));
    const { container } = render(
      <svg>
        <XAxis frame={frame} ticks={days.map((day) => ({ at: x(timeOf(day)), name: day }))} />
      </svg>,
    );
    expect([...container.querySelectorAll('text')].map((text) => text.textContent)).toEqual(['2026-01-02', '2026-03-01']);
  });
});

describe('a legend', () => {
  it('tells lines by their dash and shapes by their form', () => {
    const { container } = render(
      <Legend
        entries={[
          { name: 'said', dash: '5 4' },
          { name: 'seen', shape: 'M0 0H1' },
        ]}
      />,
    );
    expect(screen.getAllByRole('listitem').map((item) => item.textContent)).toEqual(['said', 'seen']);
    expect(container.querySelector('line')?.getAttribute('stroke-dasharray')).toBe('5 4');
    expect(container.querySelector('path')?.getAttribute('d')).toBe('M0 0H1');
  });
});

describe('a picture to take along', () => {
  it('stands by itself: size, background, looks written in, names escaped, nothing of the page', () => {
    const { container } = render(
      <svg viewBox="0 0 40 20" className="css-1" tabIndex={0}>
        <text style={{ fill: 'rgb(1, 2, 3)' }}>{'a & <b>'}</text>
      </svg>,
    );
    const drawing = container.querySelector('svg');
    if (!(drawing instanceof SVGSVGElement)) {
      throw new Error('Nothing is drawn.');
    }
    Object.defineProperty(drawing, 'viewBox', { value: { baseVal: { width: 40, height: 20 } } });
    const picture = new DOMParser().parseFromString(pictureOf(drawing, 'rgb(9, 9, 9)'), 'image/svg+xml');
    const [svg, ground, text] = [picture.documentElement, picture.querySelector('rect'), picture.querySelector('text')];
    expect([svg.getAttribute('width'), svg.getAttribute('height'), svg.getAttribute('class')]).toEqual(['40', '20', null]);
    expect([ground?.getAttribute('fill'), svg.firstElementChild]).toEqual(['rgb(9, 9, 9)', ground]);
    expect([text?.textContent, text?.getAttribute('fill'), text?.getAttribute('style')]).toEqual(['a & <b>', 'rgb(1, 2, 3)', null]);
  });

  it('is drawn on light paper when a button is pressed, and leaves nothing behind', async () => {
    const papers: (string | undefined)[] = [];
    const link = vi.spyOn(HTMLAnchorElement.prototype, 'click').mockImplementation(function (this: HTMLAnchorElement) {
      papers.push(`${this.download} ${document.querySelector<HTMLElement>('[data-scheme]')?.dataset['scheme'] ?? 'none'}`);
    });
    URL.createObjectURL = () => 'blob:picture';
    URL.revokeObjectURL = () => undefined;
    Object.defineProperty(SVGSVGElement.prototype, 'viewBox', { value: { baseVal: { width: 1, height: 1 } }, configurable: true });
    render(<PictureButtons name="visits" drawing={<svg viewBox="0 0 1 1" />} />);
    await userEvent.click(screen.getByRole('button', { name: 'Save visits as SVG' }));
    expect(papers).toEqual(['visits.svg light']);
    expect(document.querySelector('[data-scheme]')).toBeNull();
    link.mockRestore();
  });
});

function Fitted() {
  const { frame: fitted, fit } = useFit(frame, 400);
  return (
    <Chart label="Fitted" frame={fitted} fit={fit}>
      <XAxis ticks={[{ at: across(fitted)[1], name: 'end' }]} frame={fitted} />
    </Chart>
  );
}

describe('a drawing that fits', () => {
  it('is made as wide as there is room, up to its widest, with letters of the same size', () => {
    const seen: ((entries: { contentRect: { width: number } }[]) => void)[] = [];
    const left = vi.fn();
    vi.stubGlobal(
      'ResizeObserver',
      class {
        constructor(told: (entries: { contentRect: { width: number } }[]) => void) {
          seen.push(told);
        }
        observe = vi.fn();
        disconnect = left;
      },
    );
    const { unmount } = render(<Fitted />);
    const widths = () => screen.getByRole('img', { name: 'Fitted' }).getAttribute('viewBox');
    expect(widths()).toBe('0 0 200 100');
    for (const [room, width] of [
      [312.7, 312],
      [900, 400],
      [10, 220],
    ] as const) {
      act(() => seen.forEach((told) => told([{ contentRect: { width: room } }])));
      expect(widths()).toBe(`0 0 ${width} 100`);
      expect(screen.getByText('end').getAttribute('x')).toBe(String(width));
    }
    unmount();
    expect(left).toHaveBeenCalled();
    vi.unstubAllGlobals();
  });
});
