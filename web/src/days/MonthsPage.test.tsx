import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, render, screen } from '@testing-library/react';
import { MemoryRouter } from 'react-router-dom';
import { afterEach, expect, test, vi } from 'vitest';
import { MonthsPage } from './MonthsPage';

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

function show(months: object[]) {
  vi.stubGlobal('fetch', (request: Request) =>
    Promise.resolve(Response.json(request.url.endsWith('/months') ? months : { initials: '' })),
  );
  render(
    <QueryClientProvider client={new QueryClient()}>
      <MemoryRouter>
        <MonthsPage />
      </MemoryRouter>
    </QueryClientProvider>,
  );
}

test('each month stands with what was used, made and lost, the bars to scale', async () => {
  const month = {
    month: 'March 2027',
    rubber: '2.4 kg',
    rubberG: 2400,
    thrown: '40 g',
    moulds: 2,
    usable: 11,
    scrap: 1,
    scrapShare: '8 %',
    hands: '5 h 10 min',
    otherwise: [
      { what: 'wait cut short', times: 2 },
      { what: 'short', times: 1 },
    ],
  };
  show([month, { ...month, month: 'January 2027', rubberG: 600, otherwise: [], scrap: 0 }]);
  const rows = (await screen.findAllByRole('row')).map((r) => r.textContent);
  expect(rows[1]).toBe('March 20272.4 kg40 g2111 (8 %)5 h 10 minwait cut short (2 times); short');
  const bars = [...document.querySelectorAll<HTMLElement>('.poured')].map((b) => b.style.width);
  expect(bars).toEqual(['5rem', '1.25rem']);
});

test('where nothing is on record it says what will be', async () => {
  show([]);
  await screen.findByText(/Nothing is on record yet/);
});
