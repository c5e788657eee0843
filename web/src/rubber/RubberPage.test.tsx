import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, render, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { MemoryRouter, Route, Routes } from 'react-router-dom';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { figure, words } from '../testing/job';
import { RubberPage } from './RubberPage';

const sheet = (id: string, role: string, more: object = {}) => ({
  id,
  version: 1,
  shipped: false,
  retired: false,
  name: id,
  role,
  parts: ['base', 'hardener'],
  kit: true,
  pack: '1.1 kg',
  cast: false,
  summary: '20 A',
  sentence: '',
  gaps: [],
  contradiction: false,
  substitutes: [],
  words: words('ProductWord', { name: id }),
  ...more,
});

const PRODUCTS = [
  sheet('Marram', 'RUBBER', {
    words: words('ProductWord', { name: 'Marram', ratio: '100 : 10 by weight' }),
    sentence: 'for every 100 g of base, 10 g of hardener',
    gaps: ['the pot life: whether the pour fits into it'],
    substitutes: [{ product: 'Tern', name: 'Tern', text: 'harder, 40 A' }],
  }),
  sheet('Skua', 'RELEASE', {
    parts: [],
    kit: false,
    words: words('ProductWord', { name: 'Skua', dryMin: '5 min' }),
  }),
];

const lot = (more: object = {}) => ({
  id: 'l1',
  version: 4,
  words: words('LotWord', { number: 'L7', baseLeftG: '600 g', hardenerLeftG: '40 g' }),
  keeping: 'SOON',
  until: '14 Dec 2026',
  drift: '',
  ...more,
});

let stock: object[];
let sent: [string, unknown][];

beforeEach(() => {
  sent = [];
  stock = [
    {
      product: 'Marram',
      name: 'Marram',
      usable: figure('usable', '440 g'),
      low: true,
      needed: '900 g',
      lots: [lot({ drift: '20 % more hardener than base was used' })],
    },
  ];
  vi.stubGlobal('fetch', async (request: Request) => {
    const { pathname, search } = new URL(request.url);
    if (request.method === 'POST') {
      const body = await request.text();
      sent.push([pathname + search, body ? (JSON.parse(body) as unknown) : null]);
      if (body.includes('some')) {
        return Response.json({ title: 'Not understood', detail: 'not a mass' }, { status: 422 });
      }
      if (body.includes('bad file')) {
        return Response.json({ title: 'Not read', detail: 'Product 1: no' }, { status: 422 });
      }
      return Response.json({ added: 2, changed: 1, same: 20, id: 'new' });
    }
    return Response.json(
      pathname === '/api/stock'
        ? { products: stock, missing: [] }
        : pathname === '/api/access'
          ? { initials: '' }
          : PRODUCTS,
    );
  });
});

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

function show(at: string) {
  render(
    <QueryClientProvider client={new QueryClient()}>
      <MemoryRouter initialEntries={[at]}>
        <Routes>
          <Route path="/rubber/:product?" element={<RubberPage />} />
        </Routes>
      </MemoryRouter>
    </QueryClientProvider>,
  );
  return userEvent.setup();
}

test('products stand by what they are for, with what runs low', async () => {
  show('/rubber');
  const rubbers = await screen.findByRole('list', { name: 'Mould rubbers' });
  await within(rubbers).findByText(/low, soon over its date/);
  expect(screen.getByRole('list', { name: 'Releases' }).textContent).toContain('Skua');
  expect(screen.queryByRole('list', { name: 'Waxes' })).toBeNull();
});

test('a sheet states its ratio in words, what it leaves out, and what could be taken instead', async () => {
  show('/rubber/Marram');
  await screen.findByText('For every 100 g of base, 10 g of hardener.');
  screen.getByText(/whether the pour fits into it/);
  expect(screen.getByRole('link', { name: 'Tern' })).toBeTruthy();
  expect(screen.getByText('Elongation at break')).toBeTruthy();
  expect(screen.queryByText('Each dry after')).toBeNull();
});

test('a sheet asks only for what its product has', async () => {
  show('/rubber/Skua');
  await screen.findByText('Each dry after');
  expect(screen.queryByText('Ratio')).toBeNull();
  expect(screen.queryByText('Elongation at break')).toBeNull();
  screen.getByText(/None recorded/);
});

test('packs show what is left, until when, and what their use points to', async () => {
  const user = show('/rubber/Marram');
  const shelf = await screen.findByRole('region', { name: 'On the shelf' });
  await within(shelf).findByText('14 Dec 2026, soon over');
  expect(shelf.textContent).toContain('440 g can be mixed of it; the open jobs still need 900 g.');
  within(shelf).getByText(/20 % more hardener/);
  await user.click(within(shelf).getByRole('button', { name: /baseLeftG: 600 g/ }));
  await user.keyboard('500{Enter}');
  await waitFor(() =>
    expect(sent).toEqual([
      ['/api/stock/l1/edits', { version: 4, edits: [{ word: 'baseLeftG', text: '500' }] }],
    ]),
  );
  await user.click(within(shelf).getByRole('button', { name: 'used up' }));
  await user.click(await screen.findByRole('button', { name: 'Put it back' }));
  const mass = within(shelf).getByLabelText('mass of the pack');
  await user.clear(mass);
  await user.type(mass, '5.5 kg{Enter}');
  await waitFor(() =>
    expect(sent.slice(1)).toEqual([
      ['/api/stock/l1/gone?gone=true', null],
      ['/api/stock/l1/gone?gone=false', null],
      ['/api/stock', { product: 'Marram', mass: '5.5 kg' }],
    ]),
  );
});

test('a pack begins as the smallest it is sold in, and what is no mass stays typed', async () => {
  const user = show('/rubber/Skua');
  const mass = await screen.findByLabelText<HTMLInputElement>('mass of the pack');
  expect(mass.value).toBe('1.1 kg');
  await user.clear(mass);
  await user.type(mass, 'some{Enter}');
  expect((await screen.findByRole('alert')).textContent).toBe('not a mass');
  expect(mass.value).toBe('some');
});

/** A file as a browser hands it over. */
const sheets = (name: string, text: string) =>
  Object.assign(new File([text], name), { text: () => Promise.resolve(text) });

test('a file of sheets is taken in, and what is wrong with one is said', async () => {
  const user = show('/rubber');
  const input = await screen.findByLabelText('Sheets to take in');
  await user.upload(input, sheets('sheets.csv', 'name\nA'));
  await screen.findByText('sheets.csv: 2 new, 1 brought up to date, 20 there already.');
  expect(sent).toEqual([['/api/products/imported', { text: 'name\nA' }]]);
  await user.upload(input, sheets('other.csv', 'bad file'));
  expect((await screen.findByRole('alert')).textContent).toContain('other.csv: Product 1: no');
});
