import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { MemoryRouter } from 'react-router-dom';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { figures } from '../testing/job';
import { MixPage } from './MixPage';

const asked: URLSearchParams[] = [];

const PRODUCTS = [
  { id: 'a', name: 'Marram', retired: false, parts: ['base', 'hardener'] },
  { id: 'b', name: 'Old one', retired: true, parts: ['base', 'hardener'] },
  { id: 'c', name: 'Oyster', retired: false, parts: ['part A', 'part B'] },
  { id: 'd', name: 'Release', retired: false, parts: [] },
];

beforeEach(() => {
  asked.length = 0;
  vi.stubGlobal('fetch', (request: Request) => {
    const url = new URL(request.url);
    if (url.pathname === '/api/products') {
      return Promise.resolve(Response.json(PRODUCTS));
    }
    asked.push(url.searchParams);
    const poured = url.searchParams.get('poured');
    if (url.searchParams.get('ratio') === '4 : 1' && url.searchParams.get('meant') !== 'true') {
      return Promise.resolve(
        Response.json({ figures: {}, sentence: 'for every …', now: '', stop: '25 g against 4 g.' }),
      );
    }
    return Promise.resolve(
      url.searchParams.get('amount') === '2 bananas'
        ? Response.json({ title: 'Not understood', detail: 'neither' }, { status: 422 })
        : Response.json({
            figures: figures({
              'now.base': '1 000 g',
              'now.hardener': '100 g',
              'now.total': '1.1 kg',
              'now.volume': '1.02 L',
              ...(poured ? { 'now.second': '124 g' } : {}),
            }),
            sentence: 'for every 100 g of base, 10 g of hardener',
            now: poured ? 'Now pour 124 g of hardener.' : '',
            stop: '',
          }),
    );
  });
  render(
    <QueryClientProvider client={new QueryClient()}>
      <MemoryRouter>
        <MixPage />
      </MemoryRouter>
    </QueryClientProvider>,
  );
});

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

test('an amount becomes its parts, and what was poured sets the other', async () => {
  const user = userEvent.setup();
  await user.type(await screen.findByLabelText('how much'), '1.1 kg');
  expect(await screen.findByText('1 000 g')).toBeTruthy();
  expect(screen.getByText(/for every 100 g of base/)).toBeTruthy();
  await user.type(screen.getByLabelText('really poured of it'), '1240');
  expect(await screen.findByText('Now pour 124 g of hardener.')).toBeTruthy();
  expect(screen.getByText('hardener, now')).toBeTruthy();
  expect(asked.at(-1)?.get('poured')).toBe('1240');
});

test('what was poured is not taken for another amount or another product', async () => {
  const user = userEvent.setup();
  const amount = await screen.findByLabelText('how much');
  await user.type(amount, '11 kg');
  const poured = await screen.findByLabelText<HTMLInputElement>('really poured of it');
  await user.type(poured, '8970');
  await screen.findByText('hardener, now');
  await user.clear(amount);
  await user.type(amount, '960 g');
  await waitFor(() => expect(asked.at(-1)?.get('amount')).toBe('960 g'));
  expect(asked.at(-1)?.get('poured')).toBe('');
  expect(screen.queryByText('hardener, now')).toBeNull();
  await user.type(await screen.findByLabelText('really poured of it'), '873');
  await screen.findByText('hardener, now');
  await user.click(screen.getByText('Marram'));
  await user.click(screen.getByText('Oyster'));
  await waitFor(() => expect(asked.at(-1)?.get('product')).toBe('c'));
  expect(asked.at(-1)?.get('poured')).toBe('');
});

test('what is not understood stays as typed, with what would be', async () => {
  const user = userEvent.setup();
  const input = await screen.findByLabelText<HTMLInputElement>('how much');
  await user.type(input, '2 bananas');
  expect((await screen.findByRole('alert')).textContent).toBe('neither');
  expect(input.value).toBe('2 bananas');
  expect(screen.queryByText('1 000 g')).toBeNull();
});

test('only what is mixed is offered, and goes by the names of its parts', async () => {
  const user = userEvent.setup();
  await user.click(await screen.findByText('Marram'));
  expect(screen.queryByText('Old one')).toBeNull();
  expect(screen.queryByText('Release')).toBeNull();
  await user.click(screen.getByText('Oyster'));
  await user.type(screen.getByLabelText('how much'), '5 g');
  await screen.findByText('1 000 g');
  expect(asked.at(-1)?.get('product')).toBe('c');
  expect(screen.getAllByRole('term').map((t) => t.textContent)).toEqual(['part A', 'part B']);
});

test('a ratio far off the sheet stops until it is meant', async () => {
  const user = userEvent.setup();
  await user.type(await screen.findByLabelText('how much'), '5 g');
  await user.type(screen.getByLabelText('ratio'), '4 : 1');
  expect((await screen.findByRole('alert')).textContent).toContain('25 g against 4 g.');
  expect(screen.queryByText('1 000 g')).toBeNull();
  await user.click(screen.getByRole('button', { name: 'I mean 4 : 1' }));
  await screen.findByText('1 000 g');
  await user.type(screen.getByLabelText('ratio'), ' ');
  await screen.findByRole('alert');
  await user.click(screen.getByRole('button', { name: /Use the sheet/ }));
  await screen.findByText('1 000 g');
  expect(asked.at(-1)?.get('ratio')).toBe('');
});

test('either part may go in first', async () => {
  const user = userEvent.setup();
  await user.type(await screen.findByLabelText('how much'), '1.1 kg');
  await user.click(await screen.findByRole('button', { name: 'goes in first: base' }));
  await user.click(screen.getByRole('button', { name: 'hardener' }));
  await user.type(await screen.findByLabelText('really poured of it'), '118');
  await screen.findByText('base, now');
  expect(asked.at(-1)?.get('secondFirst')).toBe('true');
});
