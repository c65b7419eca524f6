// @vitest-environment jsdom
import { useQuery } from '@tanstack/react-query';
import { act, screen, waitFor } from '@testing-library/react';
import { expect, it } from 'vitest';
import { keys } from '../../api/keys';
import { json, later, problem, serve } from '../../testing/server';
import { show } from '../../testing/show';
import { useDecisions } from './useDecisions';

const listKey = [...keys.part('pens', 'bench'), 'all'];
const rows = (mark: string | null) => ({ pages: [{ rows: [{ keyword: 'red pen', mark }] }], pageParams: [null] });

/** A list with one keyword and the decisions about it, as a page has them. */
function List({ onReady, read }: { onReady: (decisions: ReturnType<typeof useDecisions>) => void; read: () => Promise<unknown> }) {
  const decisions = useDecisions('pens');
  const { data } = useQuery({ queryKey: listKey, queryFn: read, staleTime: Infinity });
  onReady(decisions);
  const mark = (data as ReturnType<typeof rows> | undefined)?.pages[0]?.rows[0]?.mark;
  return <p>{mark ?? 'open'}</p>;
}

function shown(read: () => Promise<unknown> = () => Promise.resolve(rows(null))) {
  let decisions: ReturnType<typeof useDecisions> | undefined;
  const { client } = show(<List onReady={(now) => (decisions = now)} read={read} />);
  return { client, decide: () => act(() => decisions?.mark(['red pen'], 'shortlisted')) };
}

it('marks a row at once and puts the old mark back when the server refuses', async () => {
  const { answer, come } = later();
  serve({ 'POST /studies/pens/decisions': () => answer });
  let reads = 0;
  // Read once: what is read after the refusal does not hide whether the mark went back by itself.
  const { decide } = shown(() => ((reads += 1) === 1 ? Promise.resolve(rows(null)) : new Promise(() => undefined)));
  await screen.findByText('open');
  decide();
  await screen.findByText('shortlisted');
  come(problem(422, 'Not now.'));
  await screen.findByText('open');
});

it('keeps a decision when a list that was requested before it arrives after it', async () => {
  serve({ 'POST /studies/pens/decisions': () => later().answer });
  const old = later();
  let reads = 0;
  const { client, decide } = shown(async () => {
    reads += 1;
    return reads === 1 ? rows(null) : ((await old.answer).json() as Promise<unknown>);
  });
  await screen.findByText('open');
  void client.refetchQueries({ queryKey: listKey });
  await waitFor(() => expect(reads).toBe(2));
  decide();
  await screen.findByText('shortlisted');
  old.come(json(rows(null)));
  await waitFor(() => expect(client.isFetching()).toBe(0));
  expect(screen.getByText('shortlisted')).toBeDefined();
});
