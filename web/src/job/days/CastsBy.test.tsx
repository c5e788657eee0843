import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, render, screen } from '@testing-library/react';
import { MemoryRouter } from 'react-router-dom';
import { afterEach, expect, test, vi } from 'vitest';
import type { Job } from '../../api/client';
import { CastsBy } from './CastsBy';

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const ROWS = [
  { moulds: 1, done: 'Tue 9 Mar 10:00', promise: 'Wed 10 Mar 9:00', chosen: false },
  { moulds: 2, done: 'Mon 8 Mar 10:00', promise: 'Mon 8 Mar 15:30', chosen: true },
];

/** What is asked for where casts are wanted, or their number was never said. */
function shown(unset: boolean) {
  const asked: string[] = [];
  vi.stubGlobal('fetch', (r: Request) => {
    asked.push(new URL(r.url).pathname);
    return Promise.resolve(Response.json({ rows: ROWS }));
  });
  const job = { id: 'j1', version: 3, words: { 'cast.wanted': { unset } } } as unknown as Job;
  render(
    <QueryClientProvider client={new QueryClient()}>
      <MemoryRouter>
        <CastsBy job={job} />
      </MemoryRouter>
    </QueryClientProvider>,
  );
  return asked;
}

test('Days says when the casts are done with as many moulds as are made', async () => {
  const asked = shown(false);
  await screen.findByText('Mon 8 Mar 15:30');
  expect(document.body.textContent).toContain(
    'half of the time by Mon 8 Mar 10:00, nine times of ten by Mon 8 Mar 15:30.',
  );
  expect(screen.getByRole('link', { name: 'See casts' }).getAttribute('href')).toBe(
    '/jobs/j1/casts',
  );
  expect(asked).toEqual(['/api/jobs/j1/casts']);
});

test('where no number of casts was said nothing is asked', () => {
  expect(shown(true)).toEqual([]);
  expect(document.body.textContent).toBe('');
});
