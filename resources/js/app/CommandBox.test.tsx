// @vitest-environment jsdom
import { asked, json, later, problem, serve } from '../testing/server';
import { show } from '../testing/show';
import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { Study } from '../api/schema';
import { CommandBox } from './CommandBox';

const study = { slug: 'bees', name: 'Bees', comparison: { id: 7 } } as Study;
const onClose = vi.fn();
const lenses = { own: [{ id: 1, name: 'Page two', show: 'own>=11;own<=20' }], ready: [] };
const others = { studies: [{ slug: 'pens', name: 'Pens' }], next: null };
const found = (keyword: string) => json({ rows: [{ keyword }], next: null });
const usual = {
  'GET /studies/bees/lenses': () => json(lenses),
  'GET /studies': () => json(others),
  'GET /studies/bees/bench': () => found('bee hive'),
};

const open = () => show(<CommandBox study={study} isOpen onClose={onClose} />);
const field = () => screen.getByRole('combobox', { name: 'Go to' });
const titles = () => screen.getAllByRole('option').map((option) => option.firstChild?.textContent);

beforeEach(() => {
  vi.clearAllMocks();
  serve(usual);
});

describe('the command box', () => {
  it('has the focus and goes where it is told by typing', async () => {
    const { router } = open();
    expect(document.activeElement).toBe(field());
    await userEvent.keyboard('weigh map');
    await waitFor(() => expect(titles()).toEqual(['Weigh: Map']));
    await userEvent.keyboard('{Enter}');
    expect(router.state.location.pathname + router.state.location.search).toBe('/studies/bees/weigh?view=map');
    expect(onClose).toHaveBeenCalledOnce();
  });

  it('finds lenses, other studies and keywords', async () => {
    const { router } = open();
    await userEvent.keyboard('page tw');
    await waitFor(() => expect(titles()).toContain('Page two'));
    await userEvent.clear(field());
    await userEvent.keyboard('pens');
    await waitFor(() => expect(titles()).toContain('Pens'));
    await userEvent.clear(field());
    await userEvent.keyboard('bee hi');
    await waitFor(() => expect(titles()).toEqual(['bee hive']));
    await userEvent.keyboard('{Enter}');
    expect(router.state.location.search).toBe('?show=text%3Dbee%20hive&keyword=bee%20hive&dossier=open');
  });

  it('moves by arrows and stays within the list', async () => {
    open();
    const chosen = () => screen.getAllByRole('option').findIndex((option) => option.getAttribute('aria-selected') === 'true');
    await userEvent.keyboard('{ArrowUp}');
    expect(chosen()).toBe(0);
    await userEvent.keyboard('{ArrowDown}{ArrowDown}');
    expect(chosen()).toBe(2);
    expect(field().getAttribute('aria-activedescendant')).toBe('command-2');
    await userEvent.keyboard('{ArrowDown>30/}');
    expect(chosen()).toBe(titles().length - 1);
  });

  it('shows what was used last first', async () => {
    const first = open();
    await userEvent.keyboard('rulebook{Enter}');
    first.unmount();
    open();
    expect(titles()[0]).toBe('Rulebook');
  });

  it('says that nothing is called so, and Enter goes nowhere', async () => {
    const { router } = open();
    await userEvent.keyboard('%%{Enter}');
    expect(screen.getByText('No results')).toBeDefined();
    expect(router.state.location.pathname).toBe('/');
    expect(onClose).not.toHaveBeenCalled();
  });

  it('works while the server is slow or refuses, and asks for no keyword by one letter', async () => {
    const slow = later();
    serve({ ...usual, 'GET /studies/bees/lenses': () => problem(500, 'Something went wrong.'), 'GET /studies': () => slow.answer });
    open();
    await userEvent.keyboard('t');
    expect(asked.some(({ path }) => path.startsWith('/studies/bees/bench'))).toBe(false);
    await userEvent.keyboard('rack');
    await waitFor(() => expect(titles()).toContain('Track'));
  });

  it('shows what the last letter finds, whichever answer comes last', async () => {
    const slow = later();
    serve({
      ...usual,
      'GET /studies/bees/bench': ({ path }) => (path.includes('zeta&') || path.includes('zeta+') ? found('zeta hive') : slow.answer),
    });
    open();
    await userEvent.keyboard('zeta');
    await waitFor(() => expect(titles()).toEqual(['zeta hive']));
    slow.come(found('ze other'));
    await new Promise((resolve) => setTimeout(resolve, 20));
    expect(titles()).toEqual(['zeta hive']);
  });
});
