import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import type { Edit, Job, Stand, Stands as Found, Work } from '../../api/client';
import type { JobDesk } from '../useJob';
import { Stands } from './Stands';

/** What the server answers next, what it was asked, and what was decided on the page. */
let answers: Found[];
let asked: string[];
let edits: Edit[];

function found(state: Work['state'], looked: number, ...stands: Stand[]): Found {
  return {
    work: { state, doing: 'Looking', fraction: 0.5, problem: '' },
    looked,
    stands,
  };
}

function stand(way: string, now: boolean): Stand {
  return {
    edit: `1 0 0 ${way.length}`,
    picture: '/p',
    way,
    why: 'stands lowest',
    now,
    figures: {},
  };
}

beforeEach(() => {
  asked = [];
  edits = [];
  vi.stubGlobal('fetch', (request: Request) => {
    asked.push(`${request.method} ${new URL(request.url).pathname}`);
    if (request.method === 'DELETE') {
      answers = [found('STOPPED', 12)];
    }
    const [next] = answers.length > 1 ? answers.splice(0, 1) : answers;
    return Promise.resolve(Response.json(next));
  });
});

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

function show() {
  const desk = { apply: (all: Edit[]) => edits.push(...all) } as unknown as JobDesk;
  render(
    <QueryClientProvider client={new QueryClient()}>
      <Stands job={{ id: 'j', version: 1 } as Job} desk={desk} />
    </QueryClientProvider>,
  );
  return userEvent.setup();
}

test('nothing is searched until it is asked for', async () => {
  answers = [found('OPEN', 0), found('WORKING', 0)];
  const user = show();
  await user.click(await screen.findByRole('button', { name: 'Find the best ways up' }));
  const bar = await screen.findByRole('progressbar', { name: 'Looking' });
  expect(bar.getAttribute('aria-valuenow')).toBe('50');
  expect(asked[1]).toBe('POST /api/jobs/j/stands');
  await user.click(screen.getByRole('button', { name: 'Stop' }));
  expect(asked).toContain('DELETE /api/jobs/j/stands');
  await screen.findByText('Stopped after 12 ways; the best of those:');
});

test('a stopped one shows the best so far and goes on', async () => {
  answers = [found('STOPPED', 120, stand('upside down', false)), found('READY', 540)];
  const user = show();
  await screen.findByText('Stopped after 120 ways; the best of those:');
  expect(screen.getByRole('list', { name: 'The best of 120 ways to stand' })).toBeTruthy();
  await user.click(screen.getByRole('button', { name: 'Go on' }));
  await waitFor(() => expect(screen.queryByRole('button', { name: 'Go on' })).toBeNull());
});

test('a way is taken with a click, but not the one it stands in', async () => {
  answers = [found('READY', 540, stand('as it stands now', true), stand('upside down', false))];
  const user = show();
  await screen.findByText('Upside down');
  expect(screen.getByRole('button', { name: 'Chosen' }).hasAttribute('disabled')).toBe(true);
  await user.click(screen.getByRole('button', { name: 'Use this position' }));
  expect(edits).toEqual([{ word: 'pose.stand', text: '1 0 0 11' }]);
});
