import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { MemoryRouter } from 'react-router-dom';
import { afterEach, expect, test, vi } from 'vitest';
import type { Job, Log } from '../../api/client';
import type { JobDesk } from '../useJob';
import { LogStage } from './LogStage';

const DESK = {} as unknown as JobDesk;

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const LINE: Log['lines'][number] = {
  day: 'Mon 1 Mar',
  at: '10:02',
  who: 'MB',
  kind: 'WEIGHED',
  part: 'The pour',
  what: 'The batch: base',
  planned: '231.8 g',
  actual: '231.0 g',
  off: '',
  struck: '',
  run: 'r1',
  picture: '',
};

const LOG: Log = {
  lines: [
    LINE,
    { ...LINE, what: 'The batch: hardener', actual: '2.0 g', struck: 'It was read wrong.' },
    {
      ...LINE,
      day: 'Tue 2 Mar',
      kind: 'CHECKED',
      what: 'level after the batch',
      off: '7.8 % short',
      picture: 'p1',
    },
  ],
  kinds: [
    { kind: 'WEIGHED', text: 'weighed' },
    { kind: 'CHECKED', text: 'looked at' },
  ],
  differences: 1,
};

function shown(log: Log) {
  vi.stubGlobal('fetch', (request: Request) =>
    Promise.resolve(
      Response.json(
        request.url.endsWith('/diagnosis')
          ? { seen: [], cases: [] }
          : request.url.endsWith('/made')
            ? { casts: [] }
            : log,
      ),
    ),
  );
  render(
    <QueryClientProvider client={new QueryClient()}>
      <MemoryRouter>
        <LogStage job={{ id: 'j1' } as unknown as Job} desk={DESK} />
      </MemoryRouter>
    </QueryClientProvider>,
  );
}

const rows = () => screen.getAllByRole('row').map((r) => r.textContent.replaceAll('\u00a0', ' '));

test('what happened stands under its day, planned beside actual', async () => {
  shown(LOG);
  await screen.findByText('One thing went otherwise than planned.');
  expect(rows()).toEqual([
    'WhenWhatPlannedActual',
    'Mon 1 Mar',
    '10:02The batch: base · MB231.8 g231.0 g',
    '10:02The batch: hardener · MBdoes not count: It was read wrong.231.8 g2.0 g',
    'Tue 2 Mar',
    '10:02level after the batch · MB7.8 % short231.8 g231.0 g',
  ]);
  expect(screen.getByRole('img').getAttribute('src')).toBe('/api/runs/r1/pictures/p1');
  expect(document.querySelector('s')?.textContent).toBe('The batch: hardener');
  expect(screen.getByText('Print the record').getAttribute('href')).toBe(
    '/api/jobs/j1/log/log.pdf',
  );
});

test('one kind is shown alone, or only what was otherwise', async () => {
  shown(LOG);
  await userEvent.click(await screen.findByRole('button', { name: 'what was otherwise' }));
  expect(rows()).toHaveLength(3);
  expect(rows()[2]).toContain('7.8 % short');
  await userEvent.click(screen.getByRole('button', { name: 'weighed' }));
  expect(rows()).toHaveLength(4);
  expect(screen.getByRole('button', { name: 'weighed' }).getAttribute('aria-pressed')).toBe('true');
});

test('an empty log says what will stand there', async () => {
  shown({ lines: [], kinds: [], differences: 0 });
  await screen.findByText(/Nothing has happened yet/);
  expect(screen.getByRole('link', { name: 'bench' }).getAttribute('href')).toBe('/jobs/j1/bench');
  expect(screen.queryByText('Print the record')).toBeNull();
});
