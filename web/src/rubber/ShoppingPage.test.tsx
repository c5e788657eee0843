import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { MemoryRouter } from 'react-router-dom';
import { afterEach, expect, test, vi } from 'vitest';
import { figure, figures } from '../testing/job';
import { ShoppingPage } from './ShoppingPage';
import { TogetherPage } from './TogetherPage';

const asked: string[] = [];

function show(at: string, page: React.ReactNode, answer: (path: string) => unknown) {
  asked.length = 0;
  vi.stubGlobal('fetch', (request: Request) => {
    const { pathname, search } = new URL(request.url);
    if (pathname === '/api/access') {
      return Promise.resolve(Response.json({ initials: '' }));
    }
    asked.push(pathname + decodeURIComponent(search));
    return Promise.resolve(Response.json(answer(pathname)));
  });
  render(
    <QueryClientProvider client={new QueryClient()}>
      <MemoryRouter initialEntries={[at]}>{page}</MemoryRouter>
    </QueryClientProvider>,
  );
  return userEvent.setup();
}

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const NOTHING = { ...figure('toBuy', '0.0 g'), value: 0 };

const line = (product: string, more: object) => ({
  product,
  name: product,
  jobs: ['tile', 'bell'],
  needed: figure('needed', '2 400 g'),
  there: figure('there', '1 100 g'),
  toBuy: figure('toBuy', '1 300 g'),
  packs: '2 × 1.1 kg',
  price: figure('price', '€ 76.00'),
  left: '900 g',
  unknown: '',
  ...more,
});

test('what is needed, there and to buy stands in a row, with the whole price', async () => {
  show('/shopping', <ShoppingPage />, () => ({
    lines: [
      line('Marram', {}),
      line('Dulse', { toBuy: NOTHING, packs: '', price: undefined, left: '' }),
      line('Own', { packs: '', price: undefined, left: '', unknown: 'its sheet names no packs' }),
    ],
    price: figure('together', '€ 76.00'),
    missing: ['Mooring post: Not worked out yet: the coats.'],
    working: false,
  }));
  const cells = async (name: RegExp) => (await screen.findByRole('row', { name })).textContent;
  expect(await cells(/^Marram/)).toBe(
    'Marramtile, bell2 400 g1 100 g1 300 g2 × 1.1 kg€ 76.00900 g',
  );
  expect(await cells(/^Dulse/)).toContain('nothing');
  expect(await cells(/^Own/)).toContain('its sheet names no packs');
  screen.getByText('Mooring post: Not worked out yet: the coats.');
  expect(await cells(/^Together/)).toContain('€ 76.00');
  expect(screen.getByRole('link', { name: 'Print the list' }).getAttribute('href')).toBe(
    '/api/shopping/list.pdf',
  );
});

test('one job is asked for by its id, on paper too', async () => {
  show('/shopping?job=j7', <ShoppingPage />, () => ({
    lines: [line('Marram', {})],
    price: figure('together', '€ 1'),
    missing: [],
    working: false,
  }));
  const csv = await screen.findByRole('link', { name: 'Save as CSV' });
  expect(csv.getAttribute('href')).toBe('/api/shopping/list.csv?job=j7');
  expect(asked).toEqual(['/api/shopping?job=j7']);
});

test('when nothing is needed it says so', async () => {
  show('/shopping', <ShoppingPage />, () => ({
    lines: [],
    price: figure('together', '€ 0'),
    missing: [],
    working: false,
  }));
  await screen.findByText(/No open job needs anything/);
  expect(screen.queryByRole('link', { name: 'Print the list' })).toBeNull();
});

const GROUPS = [
  {
    product: 'a',
    name: 'Lone',
    moulds: [{ id: '1', name: 'tile', volume: figure('pour.first', '1 L') }],
  },
  {
    product: 'b',
    name: 'Samphire',
    moulds: [
      { id: '2', name: 'pup', volume: figure('pour.first', '1.4 L') },
      { id: '3', name: 'finial', volume: figure('pour.first', '0.8 L') },
    ],
  },
];

test('moulds of one rubber share batches, and one can be left out', async () => {
  const user = show('/together', <TogetherPage />, (path) =>
    path === '/api/together'
      ? { groups: GROUPS, missing: [] }
      : {
          batches: [{ key: 'batch.1', into: ['1.4 L into pup', '0.8 L into finial'] }],
          figures: figures({ 'batch.1.base': '969 g', 'batch.1.hardener': '1137 g' }),
          reason: 'More is not stirred evenly.',
          air: 'vibrated after pouring',
        },
  );
  await screen.findByText('1.4 L into pup; 0.8 L into finial');
  screen.getByText('The rubber is vibrated after pouring. More is not stirred evenly.');
  expect(screen.queryByRole('columnheader', { name: 'Fill mark' })).toBeNull();
  expect(asked.at(-1)).toBe('/api/together/b?jobs=2&jobs=3');
  await user.click(screen.getByLabelText(/finial/));
  expect(asked.at(-1)).toBe('/api/together/b?jobs=2');
  await user.click(screen.getByLabelText(/pup/));
  expect(screen.getByText('Pick a mould to pour.')).toBeTruthy();
});

test('moulds poured together are recorded together', async () => {
  let groups = GROUPS;
  const user = show('/together', <TogetherPage />, (path) => {
    if (path === '/api/together/b/mixed') {
      groups = GROUPS.slice(0, 1);
      return { said: 'Recorded as mixed for pup, finial.' };
    }
    return path === '/api/together'
      ? { groups, missing: [] }
      : { batches: [{ key: 'batch.1', into: ['2.2 L'] }], figures: {}, reason: '', air: 'thin' };
  });
  await user.click(await screen.findByRole('button', { name: 'Record as mixed' }));
  expect((await screen.findByRole('status')).textContent).toBe(
    'Recorded as mixed for pup, finial.',
  );
  await screen.findByText(/No two open jobs/);
});

test('with nothing to share the page says when there would be', async () => {
  show('/together', <TogetherPage />, () => ({
    groups: [GROUPS[0]],
    missing: ['Bell cannot be read and is left out.'],
  }));
  await screen.findByText(/No two open jobs/);
  screen.getByText('Bell cannot be read and is left out.');
});

test('a list that cannot be read does not look empty', async () => {
  vi.stubGlobal('fetch', () =>
    Promise.resolve(Response.json({ title: 'Mistake', detail: 'Load it again.' }, { status: 500 })),
  );
  const queries = new QueryClient({ defaultOptions: { queries: { retry: false } } });
  render(
    <QueryClientProvider client={queries}>
      <MemoryRouter>
        <ShoppingPage />
      </MemoryRouter>
    </QueryClientProvider>,
  );
  expect((await screen.findByRole('alert')).textContent).toContain(
    'The list cannot be read. Load it again.',
  );
  expect(screen.queryByText(/No open job needs/)).toBeNull();
});
