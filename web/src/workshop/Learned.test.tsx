import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { MemoryRouter } from 'react-router-dom';
import { afterEach, expect, test, vi } from 'vitest';
import { Learned } from './Learned';

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const JOBS = [4.1, 6, 5.2, 18, 3.9].map((value, i) => ({
  job: `j${i}`,
  name: `Job ${i}`,
  value,
  said: `${value} %`,
  outOfLine: value === 18,
}));

const LESSON = {
  lesson: 'ALLOWANCE',
  text: 'rubber a mould took over what was computed',
  jobs: JOBS,
  methods: [
    { name: 'rectangular box', jobs: 4, middleSaid: '4.7 %' },
    { name: 'tube', jobs: 1, middleSaid: '' },
  ],
  needs: 3,
  middle: 5.2,
  spread: 1.63,
  middleSaid: '5.2 %',
  now: '5.0 %',
  nowValue: 5,
  offer: '8.5 %',
  offerValue: 8.5,
  told: '',
  standing: 'OFFERED',
};

function show(first: object) {
  const sent: unknown[] = [];
  let now = first;
  vi.stubGlobal('fetch', async (request: Request) => {
    if (request.method === 'POST') {
      const body = (await request.json()) as { deed: string };
      sent.push([new URL(request.url).pathname, body.deed]);
      const standing = body.deed === 'TAKEN' ? 'TAKEN' : 'REFUSED';
      now = { ...LESSON, standing, now: standing === 'TAKEN' ? '8.5 %' : '5.0 %' };
    }
    return Response.json([now]);
  });
  render(
    <QueryClientProvider client={new QueryClient()}>
      <MemoryRouter>
        <Learned />
      </MemoryRouter>
    </QueryClientProvider>,
  );
  return { sent, user: userEvent.setup() };
}

test('what jobs teach is offered with its jobs, taken, and forgotten again', async () => {
  const { sent, user } = show(LESSON);
  await screen.findByText(
    '5 jobs: in the middle 5.2 %. Out of line: Job 3 (18 %). You go by 5.0 %; by your jobs it is 8.5 %.',
  );
  screen.getByText('rectangular box: 4.7 % (4 jobs) · tube: too few yet (one job)');
  expect(document.querySelectorAll('circle.dot')).toHaveLength(4);
  expect(document.querySelectorAll('circle.out')).toHaveLength(1);
  const at = (value: number) => {
    const i = JOBS.findIndex((j) => j.value === value);
    return Number(document.querySelectorAll('circle')[i]?.getAttribute('cx'));
  };
  expect(at(18)).toBeGreaterThan(at(6));
  expect(sent).toEqual([]);
  await user.click(screen.getByRole('button', { name: 'Go by 8.5 %' }));
  await screen.findByText(/You go by it: 8\.5 %\./);
  await user.click(screen.getByRole('button', { name: 'Forget it' }));
  await screen.findByRole('button', { name: 'Go by 8.5 % after all' });
  expect(sent).toEqual([
    ['/api/learned/ALLOWANCE', 'TAKEN'],
    ['/api/learned/ALLOWANCE', 'FORGOTTEN'],
  ]);
});

test('two jobs teach nothing yet', async () => {
  show({ ...LESSON, jobs: JOBS.slice(0, 2), standing: 'TOO_FEW', offer: '', middle: undefined });
  await screen.findByText('So far 2 jobs; three are needed.');
  await waitFor(() => expect(screen.queryByRole('button')).toBeNull());
});

test('a known weight on the scale is noted, and what it comes to is told', async () => {
  const looks = [-0.4, -0.41, -0.38].map((value) => ({
    name: '1 Mar 2027',
    value,
    said: `${value} %`,
    outOfLine: false,
  }));
  const scale = { ...LESSON, lesson: 'SCALE', standing: 'TOO_FEW', jobs: [], offer: '' };
  const sent: unknown[] = [];
  let now: object = scale;
  vi.stubGlobal('fetch', async (request: Request) => {
    if (request.method === 'POST') {
      sent.push([new URL(request.url).pathname, await request.json()]);
      now = { ...scale, jobs: looks, standing: 'TOLD', told: 'Have it adjusted.', middle: -0.4 };
    }
    return Response.json([now]);
  });
  render(
    <QueryClientProvider client={new QueryClient()}>
      <MemoryRouter>
        <Learned />
      </MemoryRouter>
    </QueryClientProvider>,
  );
  const user = userEvent.setup();
  await screen.findByText('Nobody looked yet. Put a weight you know on it now and then.');
  expect(screen.getByRole('button', { name: 'Note it' })).toHaveProperty('disabled', true);
  await user.type(screen.getByLabelText('A weight of'), '500 g');
  await user.type(screen.getByLabelText('shows as'), '498 g');
  await user.click(screen.getByRole('button', { name: 'Note it' }));
  await screen.findByText(/^3 looks: in the middle .* Have it adjusted\.$/);
  expect(sent).toEqual([
    ['/api/learned/scale-checks', expect.objectContaining({ weight: '500 g', shown: '498 g' })],
  ]);
  expect(screen.queryByText(/^Go by/)).toBeNull();
});
