// @vitest-environment jsdom
import { asked, json, later, problem, serve } from '../../testing/server';
import { show } from '../../testing/show';
import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { ImportPreview, Study } from '../../api/schema';
import { vocabulary } from '../sentence/vocabulary.testing';
import { ImportBatch } from './ImportBatch';

const study = { slug: 'bees', domain: 'ours.example', competitors: ['theirs.example'] } as Study;
const onClose = vi.fn();
const file = (name: string) => new File(['keyword,position\nhive,3\n'], name, { type: 'text/csv' });

const outcome = { kept: 12, dropped: 0, changes: null, numbers: 'undecided', numbers_ambiguous: false, same_file: false };
const fine = {
  bad_rows: { total: 0, rows: [] },
  fields: [],
  format: 'CSV',
  headers: ['keyword', 'position'],
  mapping: {},
  outcome,
  problem: null,
  sample: [],
  nearly: [],
} as unknown as ImportPreview;
const finished = (preview: ImportPreview, id = 1) => json({ id, status: 'done', message: '', done: 1, total: 1, result: { preview } });

let uploads = 0;
const upload = (date: string, notes: string[] = []) => {
  uploads += 1;
  return json(
    {
      id: `upload-${uploads}`,
      file: 'list.csv',
      bytes: 9,
      notes,
      proposal: { kind: 'rankings', domain: 'ours.example', date, channel: 'organic', leave_out: false, skip_bad_rows: false },
    },
    201,
  );
};
const usual = {
  'GET /vocabulary': () => json(vocabulary),
  'POST /studies/bees/uploads': () => upload('2026-11-01', ['November 2026, as its name says']),
  'POST /studies/bees/imports/preview': () => json({ id: 1, status: 'waiting' }, 202),
  'GET /studies/bees/tasks/1': () => finished(fine),
  'POST /studies/bees/imports': () => json({ id: 9, status: 'waiting' }, 202),
  'PATCH /studies/bees/uploads/upload-2': () => json(null),
  'DELETE /studies/bees/uploads/upload-1': () => json(null),
  'DELETE /studies/bees/uploads/upload-2': () => json(null),
};

const open = (...names: string[]) => show(<ImportBatch study={study} files={names.map(file)} onClose={onClose} />);
const sent = () => asked.filter(({ method, path }) => method === 'POST' && path === '/studies/bees/imports');
const button = (name: string | RegExp) => screen.findByRole<HTMLButtonElement>('button', { name });

beforeEach(() => {
  vi.clearAllMocks();
  uploads = 0;
  serve(usual);
});

describe('a batch of files', () => {
  it('reads them all, says what each is taken for, and Enter brings all in', async () => {
    open('ours-2026-11.csv', 'theirs-2026-11.csv');
    await button('Import 2 files');
    expect(screen.getByRole('status').textContent).toBe('2 ready');
    expect(screen.getAllByText('November 2026, as its name says')).toHaveLength(2);
    expect(screen.getAllByRole('row')[1]?.textContent).toContain('12');
    await userEvent.keyboard('{Enter}');
    await waitFor(() => expect(onClose).toHaveBeenCalledOnce());
    expect(sent().map(({ body }) => body)).toEqual(
      ['upload-1', 'upload-2'].map((id) => ({
        upload: id,
        kind: 'rankings',
        domain: 'ours.example',
        date: '2026-11-01',
        channel: 'organic',
        mapping: {},
        allow_errors: 0,
        header_line: 1,
      })),
    );
  });

  it('asks once for the day of those that name none', async () => {
    serve({ ...usual, 'POST /studies/bees/uploads': () => upload('') });
    open('one.csv', 'two.csv');
    await waitFor(() => expect(screen.getByRole('status').textContent).toBe('2 need a day'));
    expect((await button('Import 0 files')).disabled).toBe(true);
    const day = screen.getByLabelText('Date for files without one');
    await userEvent.type(day, '2026-10-31');
    await userEvent.click(await button('Import 2 files'));
    await waitFor(() => expect(sent()).toHaveLength(2));
    expect(sent().map(({ body }) => (body as { date: string }).date)).toEqual(['2026-10-31', '2026-10-31']);
  });

  it('tells what is wrong with a file, leaves bad rows out when told to, and brings in the others', async () => {
    let allowed = 0;
    serve({
      ...usual,
      'POST /studies/bees/imports/preview': ({ body }) => {
        allowed = (body as { allow_errors: number }).allow_errors;
        return json({ id: 1, status: 'waiting' }, 202);
      },
      'GET /studies/bees/tasks/1': () =>
        finished({ ...fine, bad_rows: { total: 2, rows: [] }, outcome: allowed < 2 ? null : outcome } as unknown as ImportPreview),
    });
    open('one.csv');
    expect(await screen.findByText('2 bad rows')).toBeDefined();
    expect((await button('Import 0 files')).disabled).toBe(true);
    await userEvent.click(await button('Skip bad rows'));
    await userEvent.click(await button('Import one file'));
    await waitFor(() => expect(sent()[0]?.body).toMatchObject({ allow_errors: 2 }));
  });

  it('leaves a file out and takes it in again', async () => {
    open('one.csv', 'two.csv');
    await button('Import 2 files');
    const [, , second] = screen.getAllByRole('row');
    await userEvent.click(within(second ?? document.body).getByRole('button', { name: 'Skip' }));
    expect(screen.getByRole('status').textContent).toBe('1 ready, 1 skipped');
    await waitFor(() => expect(asked.filter(({ method }) => method === 'PATCH').map(({ body }) => body)).toEqual([{ leave_out: true }]));
    await userEvent.click(await button('Include'));
    expect(await button('Import 2 files')).toBeDefined();
  });

  it('imports nothing while a file is still being read, and goes on when it is', async () => {
    const slow = later();
    serve({ ...usual, 'GET /studies/bees/tasks/1': () => slow.answer });
    open('one.csv');
    await waitFor(() => expect(screen.getByRole('status').textContent).toBe('1 being read'));
    await userEvent.keyboard('{Enter}');
    expect(sent()).toEqual([]);
    slow.come(finished(fine));
    await userEvent.click(await button('Import one file'));
    await waitFor(() => expect(sent()).toHaveLength(1));
  });

  it('says why a file is refused', async () => {
    serve({ ...usual, 'POST /studies/bees/uploads': () => problem(422, 'This is no table.') });
    open('picture.csv');
    expect(await screen.findByText('This is no table.')).toBeDefined();
    expect(screen.getByRole('status').textContent).toBe('1 has a problem');
  });

  it('stays open where an import is refused, with what was imported before it', async () => {
    let asked = 0;
    serve({
      ...usual,
      'POST /studies/bees/imports': () => {
        asked += 1;
        return asked === 1 ? json({ id: 9, status: 'waiting' }, 202) : problem(409, 'Another import is under way.');
      },
    });
    open('one.csv', 'two.csv');
    await userEvent.click(await button('Import 2 files'));
    expect(await screen.findByText('Another import is under way.')).toBeDefined();
    expect(screen.getByRole('status').textContent).toBe('1 imported, 1 ready');
    expect(onClose).not.toHaveBeenCalled();
    expect(await button('Close')).toBeDefined();
  });
});
