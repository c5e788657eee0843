import { cleanup, screen, waitFor, within } from '@testing-library/react';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { drawn, job, words } from '../testing/job';
import { WorkshopPage } from './WorkshopPage';

let sent: unknown[];

const state = (length: string) => ({
  version: 7,
  words: words('WorkshopWord', {
    'boards.PLY_12.lengthMm': length,
    'lives.WAX.addition': '250',
    'rates.CUT': '9 min',
  }),
  sheets: [{ word: 'boards.PLY_12', text: '12 mm ply' }],
  casts: [{ word: 'lives.WAX', text: 'wax' }],
  weekdays: [{ word: 'hours.week.MONDAY', text: 'Monday' }],
  rates: [{ word: 'rates.CUT', text: 'cut rubber', per: 'a dm²', reason: 'in steps' }],
});

beforeEach(() => {
  sent = [];
  vi.stubGlobal('fetch', async (request: Request) => {
    if (request.method === 'POST') {
      sent.push(await request.json());
      return Response.json(state('1000 mm'));
    }
    return Response.json(
      request.url.endsWith('/backups')
        ? { folder: '/data', backups: [] }
        : request.url.endsWith('/learned')
          ? []
          : state('1200 mm'),
    );
  });
});

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

test('each sheet the core knows has its boards, changed where they stand', async () => {
  const { user } = drawn(job({}), <WorkshopPage />);
  const row = await screen.findByRole('row', { name: /12 mm ply/ });
  expect(row.textContent).toContain('1200 mm');
  expect(screen.getByRole('row', { name: /cut rubber/ }).textContent).toBe(
    'cut rubber9 min a dm²in steps',
  );
  expect(screen.getByRole('row', { name: /^wax/ }).textContent).toContain('250');
  await user.click(within(row).getByRole('button', { name: /lengthMm/ }));
  await user.clear(within(row).getByRole('textbox'));
  await user.keyboard('1 m{Enter}');
  await waitFor(() =>
    expect(sent).toEqual([
      { version: 7, edits: [{ word: 'boards.PLY_12.lengthMm', text: '1 m' }] },
    ]),
  );
});
