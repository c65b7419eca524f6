// @vitest-environment jsdom
import { renderHook } from '@testing-library/react';
import { afterEach, beforeAll, describe, expect, it } from 'vitest';
import { cellOf, shownColumns, shownTable, useShownTable } from './shownTable';

beforeAll(() => {
  // jsdom lays nothing out, so that what is drawn is what is written.
  Object.defineProperty(HTMLElement.prototype, 'innerText', {
    configurable: true,
    get(this: HTMLElement) {
      return this.textContent;
    },
  });
});

afterEach(() => document.body.replaceChildren());

describe('a cell of a table on show', () => {
  it('is a number where it reads as one', () => {
    expect(cellOf('12,340')).toBe(12340);
    expect(cellOf('−4.5')).toBe(-4.5);
    expect(cellOf('+3')).toBe(3);
  });

  it('is a share where it reads as a percentage', () => {
    expect(cellOf('35%')).toBe(0.35);
    expect(cellOf('−7.2%')).toBe(-0.072);
  });

  it('is nothing where the figure is unknown', () => {
    expect(cellOf('·')).toBeNull();
    expect(cellOf('')).toBeNull();
  });

  it('is text where it says more', () => {
    expect(cellOf('4 → 3')).toBe('4 → 3');
    expect(cellOf('35 % for 3')).toBe('35 % for 3');
    expect(cellOf('340-020')).toBe('340-020');
    expect(cellOf('<0.1')).toBe('<0.1');
  });
});

describe('the table on show', () => {
  const draw = (html: string) => {
    document.body.innerHTML = html;
  };

  it('is none where none is drawn, and only one of the page itself', () => {
    expect(shownTable()).toBeNull();
    draw('<table><tbody><tr><td>beside</td></tr></tbody></table><main></main>');
    expect(shownTable()).toBeNull();
  });

  it('has its headings without the sign of the order, and its figures as numbers', () => {
    draw(`<main><table>
      <thead><tr><th> Topic ↑</th><th>Visits ↓</th><th>Share</th></tr></thead>
      <tbody><tr><td>bee hive</td><td> 12,340 </td><td>35%</td></tr></tbody>
      <tbody><tr><td>bee suit</td><td>·</td><td>−7%</td></tr></tbody>
    </table></main>`);
    expect(shownTable()).toEqual({
      headings: ['Topic', 'Visits', 'Share'],
      rows: [
        ['bee hive', 12340, 0.35],
        ['bee suit', null, -0.07],
      ],
    });
  });

  it('leaves out columns of buttons, and keeps one of figures that has no heading', () => {
    draw(`<main><table>
      <thead><tr><th></th><th></th><th>Name</th></tr></thead>
      <tbody><tr><td>rename</td><td>3</td><td>a</td></tr><tr><td>rename</td><td></td><td>b</td></tr></tbody>
    </table></main>`);
    expect(shownTable()).toEqual({
      headings: ['', 'Name'],
      rows: [
        [3, 'a'],
        [null, 'b'],
      ],
    });
  });

  it('tells what stands in a field, and not that a box is ticked', () => {
    draw(`<main><table>
      <thead><tr><th>Domain</th><th>Chosen</th></tr></thead>
      <tbody><tr><td><input value=" a.example " /></td><td><input type="checkbox" checked />yes</td></tr></tbody>
    </table></main>`);
    expect(shownTable()?.rows).toEqual([['a.example', 'yes']]);
  });

  it('is known without a heading, and where a row is too short', () => {
    draw('<main><table><tbody><tr><td>4</td></tr></tbody></table></main>');
    expect(shownTable()).toEqual({ headings: [], rows: [[]] });
    draw('<main><table><thead><tr><th>A</th><th>B</th></tr></thead><tbody><tr><td>x</td></tr></tbody></table></main>');
    expect(shownTable()?.rows).toEqual([['x', null]]);
  });

  it('is told by a list that draws only what is in sight, as long as it is there', () => {
    draw('<main><table><thead><tr><th>A</th></tr></thead></table></main>');
    const told = { headings: ['Keyword'], rows: [['bee']] };
    const { rerender, unmount } = renderHook(({ table }) => useShownTable(table), { initialProps: { table: () => told } });
    expect(shownTable()).toBe(told);
    const other = { headings: ['Page'], rows: [] };
    rerender({ table: () => other });
    expect(shownTable()).toBe(other);
    unmount();
    expect(shownTable()).toEqual({ headings: ['A'], rows: [] });
  });

  it('has columns by their keys, from the left', () => {
    expect(shownColumns()).toEqual([]);
    draw(`<main><div role="columnheader" data-column="keyword"></div><div role="columnheader"></div>
      <div role="columnheader" data-column="volume"></div></main><div role="columnheader" data-column="beside"></div>`);
    expect(shownColumns()).toEqual(['keyword', 'volume']);
  });
});

describe('what is nearly a number', () => {
  it('is text, unless all of it is one', () => {
    for (const text of ['12a', 'a12', '1.', '.5', '12 to 13', '5 %x', '+', '1.2.3']) {
      expect(cellOf(text)).toBe(text);
    }
    expect([cellOf('0.5'), cellOf('+2.5%'), cellOf('12.3456789%'), cellOf('0')]).toEqual([0.5, 0.025, 0.123457, 0]);
  });
});
