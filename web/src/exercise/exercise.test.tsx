import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { ReactNode } from 'react';
import { MemoryRouter, useLocation } from 'react-router-dom';
import { afterEach, expect, test, vi } from 'vitest';
import type { Exercise, Job } from '../api/client';
import { ExerciseLine } from './ExerciseLine';
import { ExercisesPage } from './ExercisesPage';

const EXERCISES: Exercise[] = [
  { key: 'LEAST_AIR', title: 'Tilt it', task: 'Tilt the octopus.', bench: false },
  { key: 'RATIO', title: 'Mix it', task: 'Weigh one batch.', bench: true },
];

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
  vi.useRealTimers();
});

/** Answers in turn to what each address is asked; the last is given again. */
function answering(answers: Record<string, unknown[]>) {
  vi.stubGlobal('fetch', (r: Request) => {
    const url = `${r.method} ${new URL(r.url).pathname}`;
    const left = answers[url];
    if (left === undefined) {
      throw new Error(`nobody answers ${url}`);
    }
    return Promise.resolve(Response.json(left.length > 1 ? left.shift() : left[0]));
  });
}

function Where() {
  return <output>{useLocation().pathname}</output>;
}

function shown(what: ReactNode) {
  render(
    <QueryClientProvider client={new QueryClient()}>
      <MemoryRouter initialEntries={['/exercises']}>
        {what}
        <Where />
      </MemoryRouter>
    </QueryClientProvider>,
  );
}

test('an exercise on a shape goes on where its master is', async () => {
  answering({
    'GET /api/exercises': [EXERCISES],
    'POST /api/exercises/LEAST_AIR': [{ job: 'j1', stage: 'master' }],
  });
  shown(<ExercisesPage />);
  await userEvent.click(await screen.findByRole('button', { name: 'Begin: Tilt it' }));
  expect(await screen.findByText('/jobs/j1/master')).toBeTruthy();
});

test('one at the bench waits until its master is looked at', async () => {
  vi.useFakeTimers({ shouldAdvanceTime: true, advanceTimeDelta: 200 });
  answering({
    'GET /api/exercises': [EXERCISES],
    'POST /api/exercises/RATIO': [{ job: 'j1', stage: 'bench' }],
    'POST /api/exercises/jobs/j1/run': [{}, { run: 'r1' }],
  });
  shown(<ExercisesPage />);
  const begin = await screen.findByRole('button', { name: 'Begin: Mix it' });
  await userEvent.setup({ advanceTimers: vi.advanceTimersByTime }).click(begin);
  expect(await screen.findByText('Its master is looked at …')).toBeTruthy();
  expect(await screen.findByText('/runs/r1', {}, { timeout: 3000 })).toBeTruthy();
});

test('what cannot be begun says so', async () => {
  vi.stubGlobal('fetch', (r: Request) =>
    Promise.resolve(
      r.method === 'GET'
        ? Response.json(EXERCISES)
        : Response.json({ title: 'No', detail: 'The disk is full.' }, { status: 500 }),
    ),
  );
  shown(<ExercisesPage />);
  await userEvent.click(await screen.findByRole('button', { name: 'Begin: Tilt it' }));
  expect(await screen.findByText('The disk is full.')).toBeTruthy();
});

test('how far it is follows the shape', async () => {
  const what = { title: 'Tilt it', task: 'Tilt the octopus.' };
  vi.useFakeTimers({ shouldAdvanceTime: true, advanceTimeDelta: 200 });
  answering({
    'GET /api/exercises/jobs/j1/score': [
      what,
      { ...what, score: { points: 62, says: '4.1 mL of air stay in the rubber.' } },
    ],
  });
  // a job has much more; the line reads no more of it
  const job = { id: 'j1', version: 3, exercise: 'LEAST_AIR' } as Job;
  shown(<ExerciseLine job={job} />);
  expect(await screen.findByText(/The shape is looked at/)).toBeTruthy();
  const says = await screen.findByText(/4\.1 mL of air stay/, {}, { timeout: 3000 });
  expect(says.textContent).toContain('62 of 100 points.');
});
