// @vitest-environment jsdom
import { asked, json, later, problem, serve } from '../../testing/server';
import { show } from '../../testing/show';
import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { useState } from 'react';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { Comparison, KeywordDossier, Study } from '../../api/schema';
import type { useDecisions } from '../decisions/useDecisions';
import { Dossier } from './Dossier';

/** As the server told it of the demo. */
const told = JSON.parse(readFileSync(join(import.meta.dirname, 'dossier.testing.json'), 'utf8')) as KeywordDossier;
const study = { slug: 'bees', currency: 'GBP', may_edit: true } as Study;
const comparison = {
  id: 7,
  channel: 'organic',
  domains: [
    { id: 1, entry: 'ours.example' },
    { id: 2, entry: 'theirs.example' },
  ],
} as Comparison;
const decisions = { mark: vi.fn(), decide: vi.fn(), undoChange: vi.fn() };
const onTopic = vi.fn();
const onClose = vi.fn();
const path = 'GET /studies/bees/keyword';

function part(keyword: string, mayEdit = true) {
  return (
    <Dossier
      study={{ ...study, may_edit: mayEdit }}
      comparison={comparison}
      keyword={keyword}
      onClose={onClose}
      decisions={decisions as unknown as ReturnType<typeof useDecisions>}
      onTopic={onTopic}
    />
  );
}

beforeEach(() => {
  vi.clearAllMocks();
  serve({ [path]: () => json(told) });
});

describe('the dossier', () => {
  it('tells the figures of a keyword, and why', async () => {
    show(part('bee hive'));
    const dossier = await screen.findByRole('complementary', { name: 'Dossier' });
    await within(dossier).findByText('Volume a month');
    expect(within(dossier).getByRole('heading', { name: 'bee hive' })).toBeDefined();
    expect(asked[0]?.path).toContain('keyword=bee+hive');
    const [why] = within(dossier).getAllByRole('button', { name: /why/i });
    await userEvent.click(why ?? document.body);
    expect(within(dossier).getByText(told.why['visits_now']?.rule ?? 'no rule')).toBeDefined();
  });

  it('draws what is known of places, months and history, each with its table', async () => {
    show(part('bee hive'));
    expect(await screen.findByRole('img', { name: /^Chance of each position range/ })).toBeDefined();
    expect(screen.getByRole('img', { name: 'Volume by month' })).toBeDefined();
    const history = screen.getByRole('table', { name: /^Positions from/, hidden: true });
    expect(
      within(history)
        .getAllByRole('columnheader', { hidden: true })
        .map((cell) => cell.textContent),
    ).toEqual(['Day', 'ours.example', 'theirs.example']);
  });

  it('shortlists and sets aside, and takes either back', async () => {
    const first = show(part('bee hive'));
    await userEvent.click(await screen.findByRole('button', { name: 'Shortlist' }));
    expect(decisions.mark).toHaveBeenLastCalledWith(['bee hive'], 'shortlisted');
    first.unmount();
    serve({ [path]: () => json({ ...told, mark: 'set aside' }) });
    show(part('bee hive'));
    await userEvent.click(await screen.findByRole('button', { name: 'Set aside' }));
    expect(decisions.mark).toHaveBeenLastCalledWith(['bee hive'], null);
  });

  it('lets a reader look and change nothing', async () => {
    show(part('bee hive', false));
    const shortlist = await screen.findByRole<HTMLButtonElement>('button', { name: 'Shortlist' });
    expect(shortlist.disabled).toBe(true);
    expect(screen.getByRole('slider', { name: 'Target position' }).getAttribute('aria-disabled')).toBe('true');
  });

  it('says that it waits, and what went wrong, and asks again', async () => {
    const slow = later();
    serve({ [path]: () => slow.answer });
    show(part('bee hive'));
    expect(await screen.findByText('Loading the dossier')).toBeDefined();
    slow.come(problem(503, 'The database starts.'));
    expect(await screen.findByText('The database starts.')).toBeDefined();
    serve({ [path]: () => json(told) });
    await userEvent.click(screen.getByRole('button', { name: 'Try again' }));
    expect(await screen.findByText('Volume a month')).toBeDefined();
    expect(screen.queryByText('The database starts.')).toBeNull();
  });

  it('shows the keyword that was opened last, whichever answer comes last', async () => {
    const slow = later();
    serve({ [path]: (question) => (question.path.includes('first') ? slow.answer : json({ ...told, volume: 4242 })) });
    function Both() {
      const [keyword, setKeyword] = useState('first');
      return (
        <>
          <button onClick={() => setKeyword('second')}>Next</button>
          {part(keyword)}
        </>
      );
    }
    show(<Both />);
    await userEvent.click(await screen.findByRole('button', { name: 'Next' }));
    await waitFor(() => expect(screen.getByText('4,242')).toBeDefined());
    slow.come(json({ ...told, volume: 1111 }));
    await new Promise((resolve) => setTimeout(resolve, 20));
    expect(screen.queryByText('1 111')).toBeNull();
    expect(screen.getByText('4,242')).toBeDefined();
  });
});
