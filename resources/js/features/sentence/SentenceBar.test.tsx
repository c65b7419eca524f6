// @vitest-environment jsdom
import { asked, json, later, problem, serve } from '../../testing/server';
import { show as showPart } from '../../testing/show';
import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { beforeEach, describe, expect, it } from 'vitest';
import { SentenceBar } from './SentenceBar';
import { vocabulary } from './vocabulary.testing';

const context = { domains: ['us.example', 'them.example', 'others.example'], study: 'bees', list: 'compare' as const, comparison: 7 };
const said: string[] = [];

function Told({ begin }: { begin: string }) {
  const [show, setShow] = useState(begin);
  return (
    <SentenceBar
      subject="Keywords"
      show={show}
      onChange={(next) => {
        said.push(next);
        setShow(next);
      }}
      count={12}
      of={40}
      hidden="2 hidden: 2 brands"
      context={context}
    />
  );
}

const steps = { 'GET /studies/bees/bench/steps': () => json([{ clause: 'standing=gap', keywords: 9 }]) };
const distribution = (keywords: number) => json({ field: 'volume', bins: [0, 10, 100].map((from) => ({ from, keywords })), unknown: 3 });

beforeEach(() => {
  said.length = 0;
  serve({ 'GET /vocabulary': () => json(vocabulary), ...steps, 'GET /studies/bees/bench/distribution': () => distribution(5) });
});

const edit = async (phrase: string) => userEvent.click(await screen.findByRole('button', { name: phrase }));

describe('the sentence', () => {
  it('says what is shown, how many there are and what is hidden', async () => {
    showPart(<Told begin="standing=gap" />);
    expect(await screen.findByRole('button', { name: 'gaps' })).toBeDefined();
    expect(screen.getByTestId('count').textContent).toBe('— 12 of 40');
    expect(screen.getByText('2 hidden')).toHaveProperty('tabIndex', 0);
    await userEvent.hover(screen.getByText('2 hidden'));
    expect((await screen.findByRole('tooltip')).textContent).toBe('2 brands');
  });

  it('is said a clause longer from the menu, and the editor of that clause takes the focus', async () => {
    showPart(<Told begin="" />);
    await userEvent.click(await screen.findByRole('button', { name: 'Add filter' }));
    const title = vocabulary.clauses.find((clause) => clause.name === 'cpc')?.title ?? '';
    await userEvent.click(screen.getByRole('menuitem', { name: title }));
    const form = await screen.findByRole('form', { name: title });
    await waitFor(() => expect(form.contains(document.activeElement)).toBe(true));
    expect(said.at(-1)).toContain('cpc');
  });

  it('names all keywords where no clause is set', async () => {
    showPart(<Told begin="" />);
    expect(await screen.findByText(/^All keywords/)).toBeDefined();
    expect(screen.queryAllByRole('button').map((button) => button.textContent)).toEqual(['Add filter']);
  });

  it('strikes out what means nothing, until it is let go', async () => {
    showPart(<Told begin="standing=gap;colour=red" />);
    expect((await screen.findByText('colour=red')).tagName).toBe('S');
    await userEvent.click(screen.getByRole('button', { name: 'doesn’t apply here: remove it' }));
    expect(said).toEqual(['standing=gap']);
    expect(screen.queryByText('colour=red')).toBeNull();
  });

  it('keeps a clause that is switched off for a moment, and takes it back', async () => {
    const { router } = showPart(<Told begin="standing=gap" />);
    await edit('gaps');
    await userEvent.click(await screen.findByRole('button', { name: /^Pause:/ }));
    expect(said).toEqual(['']);
    expect(router.state.location.search).toBe('?off=standing%3Dgap');
    await userEvent.keyboard('{Escape}');
    await userEvent.click(await screen.findByTitle(/^Paused/));
    expect(said).toEqual(['', 'standing=gap']);
    expect(router.state.location.search).toBe('');
  });
});

describe('the editor of a clause', () => {
  it('takes choices one after the other, and takes them out together', async () => {
    showPart(<Told begin="standing=ahead" />);
    await edit('ahead');
    const form = await screen.findByRole('form');
    await userEvent.click(within(form).getByRole('checkbox', { name: 'ahead' }));
    await userEvent.click(within(form).getByRole('checkbox', { name: 'gaps' }));
    await userEvent.click(within(form).getByRole('checkbox', { name: 'behind' }));
    expect(said.slice(-2)).toEqual(['standing=gap', 'standing=gap,behind']);
    await userEvent.click(within(form).getByRole('button', { name: 'Remove' }));
    expect(said.at(-1)).toBe('');
    await waitFor(() => expect(screen.queryByRole('form')).toBeNull());
  });

  it('takes numbers as people write them, and nothing that is none', async () => {
    showPart(<Told begin="volume>=2" />);
    await edit('volume from 2');
    const from = await screen.findByRole('textbox', { name: 'From' });
    await userEvent.clear(from);
    await userEvent.type(from, '1,5x');
    expect(said.at(-1)).toBe('volume>=1.5');
    await userEvent.keyboard('{Enter}');
    await waitFor(() => expect(screen.queryByRole('form')).toBeNull());
    expect(await screen.findByRole('button', { name: 'volume from 1.5' })).toBeDefined();
  });

  it('works while the distribution is slow, and without it', async () => {
    const slow = later();
    serve({ 'GET /vocabulary': () => json(vocabulary), ...steps, 'GET /studies/bees/bench/distribution': () => slow.answer });
    showPart(<Told begin="volume>=2" />);
    await edit('volume from 2');
    await userEvent.click(await screen.findByRole('button', { name: '100' }));
    expect(said).toEqual(['volume>=100']);
    expect(screen.queryByRole('img', { name: 'Distribution of volume' })).toBeNull();
    slow.come(problem(500, 'Something went wrong.'));
    await waitFor(() => expect(asked.some(({ path }) => path.includes('distribution'))).toBe(true));
    expect(screen.getByRole('textbox', { name: 'From' })).toBeDefined();
  });

  it('shows the distribution of the newest question, whichever answer comes last', async () => {
    const first = later();
    serve({
      'GET /vocabulary': () => json(vocabulary),
      ...steps,
      'GET /studies/bees/bench/distribution': ({ path }) => (path.includes('volume%3E%3D100') ? distribution(77) : first.answer),
    });
    showPart(<Told begin="volume>=2" />);
    await edit('volume from 2');
    await userEvent.click(await screen.findByRole('button', { name: '100' }));
    expect(await screen.findByText('from 10: 77')).toBeDefined();
    first.come(distribution(11));
    await new Promise((resolve) => setTimeout(resolve, 20));
    expect(screen.queryByText('from 10: 11')).toBeNull();
    expect(screen.getByText('from 10: 77')).toBeDefined();
  });
});
