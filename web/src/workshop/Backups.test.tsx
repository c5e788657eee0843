import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, expect, test, vi } from 'vitest';
import { Backups } from './Backups';

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

test('a backup is made, and what going back to it would change is said first', async () => {
  const made: object[] = [];
  let trouble = '';
  const task = (state: string) => ({
    id: 't',
    doing: 'Writing it',
    fraction: 0.5,
    state,
    problem: trouble,
  });
  vi.stubGlobal('fetch', (request: Request) => {
    const { pathname } = new URL(request.url);
    if (request.method === 'POST') {
      return Promise.resolve(Response.json(task('RUNNING')));
    }
    if (pathname === '/api/tasks/t') {
      if (trouble === '') {
        made.push({ name: 'ungula-1.zip', at: 'Mon 1 Mar 7:00', size: '31 MB', holds: '9 jobs' });
      }
      return Promise.resolve(Response.json(task(trouble ? 'FAILED' : 'DONE')));
    }
    return Promise.resolve(
      Response.json(
        pathname.endsWith('/changes')
          ? { holds: '9 jobs', back: ['Bell'], lost: ['Tile', 'Knot'] }
          : { start: 's1', data: '/data', backups: made },
      ),
    );
  });
  render(
    <QueryClientProvider client={new QueryClient()}>
      <Backups />
    </QueryClientProvider>,
  );
  await screen.findByText('There is none yet.');
  await userEvent.click(screen.getByRole('button', { name: 'Back up now' }));
  await screen.findByText('Mon 1 Mar 7:00');
  expect(screen.getByRole('link', { name: 'Download' }).getAttribute('href')).toBe(
    '/api/backups/ungula-1.zip',
  );
  await userEvent.click(screen.getByRole('button', { name: 'Go back to it' }));
  const said = await screen.findByRole('status');
  expect(said.textContent).toContain('These jobs would come back: Bell.');
  expect(said.textContent).toContain('These jobs would not be there any more: Tile, Knot.');
  expect(said.textContent).toContain('its folder, /data, is moved aside');
  trouble = 'The disk is full.';
  await userEvent.click(screen.getByRole('button', { name: 'Back up now' }));
  expect((await screen.findByRole('alert')).textContent).toContain('The disk is full.');
  expect(made).toHaveLength(1);
});

test('going back waits until another server answers', async () => {
  const kept = [{ name: 'ungula-1.zip', at: 'Mon 1 Mar 7:00', size: '31 MB', holds: '' }];
  const sent: string[] = [];
  const starts = ['s1', 's1', 's2'];
  let refused = true;
  vi.stubGlobal('location', { assign: (to: string) => sent.push(`to ${to}`) });
  vi.stubGlobal('fetch', (request: Request) => {
    const { pathname } = new URL(request.url, 'http://here');
    if (request.method === 'POST') {
      sent.push(pathname);
      return Promise.resolve(
        refused
          ? Response.json({ title: 'Not usable', detail: 'It is damaged.' }, { status: 422 })
          : new Response(null, { status: 202 }),
      );
    }
    return Promise.resolve(
      Response.json(
        pathname.endsWith('/changes')
          ? { holds: '', back: [], lost: [] }
          : { start: starts.shift() ?? 's2', data: '/data', backups: kept },
      ),
    );
  });
  render(
    <QueryClientProvider client={new QueryClient()}>
      <Backups />
    </QueryClientProvider>,
  );
  await userEvent.click(await screen.findByRole('button', { name: 'Go back to it' }));
  const go = await screen.findByRole('button', { name: 'Go back to it now' });
  await userEvent.click(go);
  expect((await screen.findByRole('alert')).textContent).toContain('It is damaged.');
  expect(sent).toEqual(['/api/backups/ungula-1.zip/restored']);
  refused = false;
  await userEvent.click(go);
  await waitFor(() => expect(sent.at(-1)).toBe('to /'));
  expect(starts).toEqual([]);
});
