import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, render, screen } from '@testing-library/react';
import { afterEach, expect, test, vi } from 'vitest';
import { Replanned } from './Replanned';

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

function shown(changes: string[]) {
  const asked: string[] = [];
  vi.stubGlobal('fetch', (r: Request) => {
    asked.push(new URL(r.url).pathname);
    return Promise.resolve(Response.json(changes));
  });
  render(
    <QueryClientProvider client={new QueryClient()}>
      <Replanned run="r1" />
    </QueryClientProvider>,
  );
  return asked;
}

test('what was planned otherwise since is said', async () => {
  const asked = shown(['4 batches in place of 3.']);
  expect(await screen.findByText('4 batches in place of 3.')).toBeTruthy();
  expect(screen.getByText(/goes on by the plan it was begun by/)).toBeTruthy();
  expect(asked).toEqual(['/api/runs/r1/changes']);
});

test('nothing is said of the same plan', async () => {
  const asked = shown([]);
  await vi.waitFor(() => expect(asked).toHaveLength(1));
  expect(screen.queryByRole('region')).toBeNull();
});
