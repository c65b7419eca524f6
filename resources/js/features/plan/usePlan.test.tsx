// @vitest-environment jsdom
import { useQuery } from '@tanstack/react-query';
import { act, screen, waitFor } from '@testing-library/react';
import { expect, it } from 'vitest';
import type { Roadmap, RoadmapItem, Study } from '../../api/schema';
import { asked, json, later, problem, serve } from '../../testing/server';
import { show } from '../../testing/show';
import { planQuery } from './queries';
import { usePlan } from './usePlan';

const study = { slug: 'pens' } as Study;
const plan = (month: string, version: number) =>
  ({ items: [{ id: 7, month, version, keywords: [] }], loads: {}, draft: null }) as unknown as Roadmap;

const reads = () => asked.filter(({ method }) => method === 'GET').length;

function Board({ onReady }: { onReady: (change: ReturnType<typeof usePlan>['change']) => void }) {
  const { change } = usePlan(study, null);
  const { data } = useQuery(planQuery('pens'));
  onReady(change);
  return <p>{data?.items[0]?.month ?? 'none'}</p>;
}

function shown() {
  let change: ReturnType<typeof usePlan>['change'] | undefined;
  const { client } = show(<Board onReady={(now) => (change = now)} />);
  const item = () => client.getQueryData(planQuery('pens').queryKey)?.items[0] as RoadmapItem;
  return { client, move: (month: string) => act(() => change?.(item(), { month })) };
}

it('moves a card at once and puts it back when the server refuses', async () => {
  const { answer, come } = later();
  serve({
    // Read once: what is read after the refusal does not hide whether the card went back by itself.
    'GET /studies/pens/plan': () => (reads() === 1 ? json(plan('2026-12', 1)) : later().answer),
    'PATCH /studies/pens/plan/items/7': () => answer,
  });
  const { move } = shown();
  await screen.findByText('2026-12');
  move('2027-01');
  await screen.findByText('2027-01');
  come(problem(409, 'Somebody changed it.'));
  await screen.findByText('2026-12');
});

it('keeps a move when a plan that was requested before it arrives after it', async () => {
  const [old, saved] = [later(), later()];
  serve({
    'GET /studies/pens/plan': () => (reads() === 1 ? json(plan('2026-12', 1)) : old.answer),
    'PATCH /studies/pens/plan/items/7': () => saved.answer,
  });
  const { client, move } = shown();
  await screen.findByText('2026-12');
  void client.refetchQueries({ queryKey: planQuery('pens').queryKey });
  await waitFor(() => expect(reads()).toBe(2));
  move('2027-01');
  await screen.findByText('2027-01');
  old.come(json(plan('2026-12', 1)));
  await waitFor(() => expect(client.isFetching()).toBe(0));
  expect(screen.getByText('2027-01')).toBeDefined();
});

it('sends the second of two quick moves with the version that the first one left', async () => {
  serve({
    'GET /studies/pens/plan': () => json(plan('2026-12', 1)),
    'PATCH /studies/pens/plan/items/7': ({ body }) => json({ id: 7, version: (body as { version: number }).version + 1 }),
  });
  const { move } = shown();
  await screen.findByText('2026-12');
  move('2027-01');
  move('2027-02');
  const versions = () => asked.filter(({ method }) => method === 'PATCH').map(({ body }) => (body as { version: number }).version);
  await waitFor(() => expect(versions()).toEqual([1, 2]));
});
