// @vitest-environment jsdom
import { asked, json, problem, serve } from '../../testing/server';
import { show } from '../../testing/show';
import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { beforeEach, describe, expect, it } from 'vitest';
import type { Study } from '../../api/schema';
import { vocabulary } from '../sentence/vocabulary.testing';
import { DeleteDialog } from './DeleteDialog';

const study = { slug: 'bees', name: 'Bees' } as Study;
const remove = () => screen.getByRole<HTMLButtonElement>('button', { name: 'Delete study' });
const withDays = (days: number) => ({ 'GET /vocabulary': () => json({ ...vocabulary, deleted_days: days }) });

beforeEach(() => serve(withDays(30)));

describe('putting a study away', () => {
  it.each([
    [30, 'For 30 days you can'],
    [7, 'For 7 days you can'],
    [1, 'For a day you can'],
  ])('says for how long it can be taken back, as the server keeps it: %i', async (days, words) => {
    serve(withDays(days));
    show(<DeleteDialog study={study} onClose={() => undefined} />);
    expect(await screen.findByText(words, { exact: false })).toBeDefined();
  });

  it('wants its name typed, and tells why it was refused', async () => {
    serve({ ...withDays(30), 'DELETE /studies/bees': () => problem(403, 'You may not delete it.') });
    show(<DeleteDialog study={study} onClose={() => undefined} />);
    expect(remove().disabled).toBe(true);
    await userEvent.type(screen.getByRole('textbox'), 'Bee');
    expect(remove().disabled).toBe(true);
    await userEvent.type(screen.getByRole('textbox'), 's ');
    await userEvent.click(remove());
    expect(await screen.findByText('You may not delete it.', { exact: false })).toBeDefined();
    expect(asked.filter((question) => question.method === 'DELETE').map((question) => question.body)).toEqual([{ name: 'Bees ' }]);
  });
});
