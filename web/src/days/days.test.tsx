import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { act, cleanup, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { MemoryRouter } from 'react-router-dom';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import type { Bench } from '../api/client';
import { sized } from '../testing/sized';
import { Alarms } from './Alarms';
import { AlarmSwitch } from './AlarmSwitch';
import { BenchPage } from './BenchPage';

const bench: Bench = {
  days: [
    { date: '2027-03-01', name: 'Mon', text: '1 Mar', today: true, hours: [], taken: [] },
    { date: '2027-03-02', name: 'Tue', text: '2 Mar', today: false, hours: [], taken: [] },
  ],
  jobs: ['first', 'second'].map((id, i) => ({
    id,
    name: `The ${id}`,
    begin: 'Mon 1 Mar 8:00',
    finish: 'Tue 2 Mar 9:00',
    later: i === 1 ? '52 min' : '',
    fits: true,
    bars: [{ label: 'pour 1', hands: true, day: 0, from: 480 + 60 * i, to: 540 + 60 * i }],
  })),
  waiting: [{ id: 'third', name: 'The third', first: 'seal master: 20 min' }],
  shares: [{ text: 'They can share a batch.', product: 'marram-20' }],
  tools: [{ name: 'chamber', text: 'idle' }],
};

const now = new Date('2027-03-01T07:00:00Z');
let asked: { url: string; body: string }[] = [];

const answers: Record<string, unknown> = {
  '/api/days': bench,
  '/api/days/order': { ...bench, jobs: [...bench.jobs].reverse() },
  '/api/days/between': { from: '14:00', to: '16:00', planned: ['14:10 pour'], free: 95, could: [] },
  '/api/days/alarms': {
    now: now.toISOString(),
    alarms: [
      { at: '2027-03-01T06:59:00Z', job: 'old', name: 'The old', text: 'it cures' },
      { at: '2027-03-01T07:00:30Z', job: 'first', name: 'The first', text: 'it cures' },
    ],
  },
  '/api/calendar/address': { path: '' },
};

beforeEach(() => {
  asked = [];
  localStorage.clear();
  vi.stubGlobal('ResizeObserver', sized(800));
  vi.stubGlobal('fetch', async (r: Request) => {
    const url = new URL(r.url).pathname;
    asked.push({ url, body: await r.text() });
    return new Response(JSON.stringify(answers[url] ?? {}), {
      headers: { 'Content-Type': 'application/json' },
    });
  });
});

afterEach(() => {
  cleanup();
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

const show = (what: React.ReactNode) =>
  render(
    <QueryClientProvider client={new QueryClient()}>
      <MemoryRouter>{what}</MemoryRouter>
    </QueryClientProvider>,
  );

test('jobs stand in their order, and are moved in it', async () => {
  show(<BenchPage />);
  expect(await screen.findByText(/52 min later than by itself/)).toBeTruthy();
  expect(screen.getByText('They can share a batch.')).toBeTruthy();
  expect(screen.getByText('first: seal master: 20 min')).toBeTruthy();
  await userEvent.click(screen.getByRole('button', { name: 'The second earlier' }));
  expect(asked.find((a) => a.url === '/api/days/order')?.body).toBe('{"jobs":["second","first"]}');
  expect(screen.getByRole('button', { name: 'The first earlier' }).hasAttribute('disabled')).toBe(
    false,
  );
});

test('what fits between two times is asked and told', async () => {
  show(<BenchPage />);
  await userEvent.click(await screen.findByRole('button', { name: 'Look' }));
  expect(await screen.findByText(/95 min of work are free/)).toBeTruthy();
  expect(screen.getByText('14:10 pour')).toBeTruthy();
});

test('a wait that is over rings where that is wanted, by the clock of the server', async () => {
  vi.useFakeTimers({ shouldAdvanceTime: true });
  show(
    <>
      <Alarms />
      <AlarmSwitch />
    </>,
  );
  expect(asked).toHaveLength(0);
  await userEvent
    .setup({ advanceTimers: vi.advanceTimersByTime })
    .click(screen.getByRole('checkbox'));
  await vi.waitFor(() => expect(asked.some((a) => a.url === '/api/days/alarms')).toBe(true));
  await act(() => vi.advanceTimersByTimeAsync(29_000));
  expect(screen.queryByRole('alert')).toBeNull();
  await act(() => vi.advanceTimersByTimeAsync(3_000));
  expect(screen.getByRole('alert').textContent).toContain('The first: it cures, over');
  expect(screen.queryByText(/The old/)).toBeNull();
  // looked at again later, what has rung does not ring again, and what was missed does
  const later = answers['/api/days/alarms'] as { now: string; alarms: object[] };
  later.now = '2027-03-01T07:02:00Z';
  later.alarms.push({ at: '2027-03-01T07:01:00Z', job: 'two', name: 'Two', text: 'it dries' });
  await act(() => vi.advanceTimersByTimeAsync(61_000));
  await vi.waitFor(() => expect(screen.getAllByRole('alert')).toHaveLength(2));
  expect(screen.getByText('Two: it dries, over')).toBeTruthy();
});
