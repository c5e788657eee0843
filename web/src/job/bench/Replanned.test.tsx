import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, expect, test, vi } from 'vitest';
import type { components } from '../../api/schema';
import { Replanned } from './Replanned';

type PlanChanges = components['schemas']['PlanChanges'];

const NONE: PlanChanges = { says: [], may: false, why: '', asBegun: [] };

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

/** What is asked of the server; acts answer with a status. */
function shown(changes: PlanChanges, status = 200) {
  const asked: string[] = [];
  const acts: unknown[] = [];
  let now = changes;
  vi.stubGlobal('fetch', (r: Request) => {
    asked.push(new URL(r.url).pathname);
    if (r.method === 'GET') {
      return Promise.resolve(Response.json(now));
    }
    return r.json().then((act) => {
      acts.push(act);
      now = status === 200 ? NONE : now;
      return Response.json(status === 200 ? {} : { title: 'Not now', detail: 'Coat 2 is begun.' }, {
        status,
      });
    });
  });
  render(
    <QueryClientProvider client={new QueryClient()}>
      <Replanned run="r1" />
    </QueryClientProvider>,
  );
  return { asked, acts };
}

test('what was planned otherwise since is said, and taken over by one key', async () => {
  localStorage.setItem('ungula.who', 'MB');
  const { asked, acts } = shown({ ...NONE, says: ['4 batches in place of 3.'], may: true });
  expect(await screen.findByText('4 batches in place of 3.')).toBeTruthy();
  expect(screen.getByText(/goes on by the plan it was begun by/)).toBeTruthy();
  await userEvent.click(screen.getByRole('button', { name: 'Go on by the new plan' }));
  await vi.waitFor(() => expect(screen.queryByRole('region')).toBeNull());
  expect(acts).toMatchObject([{ kind: 'REPLAN', who: 'MB', agoMs: 0 }]);
  expect(asked[0]).toBe('/api/runs/r1/changes');
});

test('why it cannot go on is said', async () => {
  shown({
    ...NONE,
    says: ['Batch 2: of another rubber.'],
    why: 'The pour is begun, and the new plan takes another rubber.',
  });
  await screen.findByText(/The pour is begun, and the new plan takes another rubber/);
  expect(screen.queryByRole('button')).toBeNull();
});

test('what is begun is named', async () => {
  shown({ ...NONE, asBegun: ['the upper half'] });
  await screen.findByText(/The plan of the upper half was changed after it was begun/);
  expect(screen.queryByText(/the next one goes by the new plan/)).toBeNull();
  expect(screen.queryByRole('button')).toBeNull();
});

test('what is refused meanwhile is told', async () => {
  shown({ ...NONE, says: ['4 batches in place of 3.'], may: true }, 422);
  await userEvent.click(await screen.findByRole('button', { name: 'Go on by the new plan' }));
  await screen.findByText('Coat 2 is begun.');
});

test('nothing is said of the same plan', async () => {
  const { asked } = shown(NONE);
  await vi.waitFor(() => expect(asked).toHaveLength(1));
  expect(screen.queryByRole('region')).toBeNull();
});
