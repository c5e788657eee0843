import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { MemoryRouter, Route, Routes } from 'react-router-dom';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { words } from '../testing/job';
import { MouldPage } from './MouldPage';
import { MouldsPage } from './MouldsPage';

const LISTED = {
  code: 'K7Q2M',
  of: 'Ferry bollard',
  number: 2,
  job: 'j',
  place: 'rack 5',
  condition: 'GOOD',
  made: '1 Mar 2026',
  rubber: 'Marram 20',
  gave: 30,
  gives: '60',
  left: '30 casts',
  used: '2 Mar 2027',
  anew: '3 May 2028',
  wear: 'FINE',
  why: 'By its casts.',
};

const MOULD = {
  mould: LISTED,
  words: words('MouldWord', { place: 'rack 5', expects: '60 casts', gaveBefore: '0 casts' }),
  pace: '26 casts a year',
  worn: '3 May 2028',
  aged: '1 Mar 2036',
  master: 'drawer 9',
  said: [{ at: 'Mon 1 Mar 7:00', who: 'AK', what: 'Where it lies', said: 'rack 5' }],
};

let sent: [string, unknown][];
let retired: string | undefined;
let asked: string[];

beforeEach(() => {
  sent = [];
  asked = [];
  retired = undefined;
  vi.stubGlobal('fetch', async (request: Request) => {
    const { pathname, search } = new URL(request.url);
    if (request.method === 'POST') {
      const body = (await request.json()) as { why?: string };
      sent.push([pathname, body]);
      retired = body.why || undefined;
    }
    if (pathname === '/api/moulds') {
      asked.push(search);
      const none = search.includes('q=nothing') || search.includes('q=QQQQQ');
      return Response.json({
        found: none ? 0 : 1,
        counts: { IN_USE: 1, WEARING: 0, RETIRED: 3 },
        moulds: none ? [] : [LISTED],
      });
    }
    if (pathname.endsWith('/casts/made')) {
      const cast = { at: 'Tue 2 Mar 9:00', who: 'MB', result: 'GOOD', mass: '66 g', why: '' };
      return Response.json({
        casts: [
          { ...cast, number: 1, mould: 2, struck: '' },
          { ...cast, number: 2, mould: 1, struck: '', mass: '99 g' },
          { ...cast, number: 3, mould: 2, struck: 'pressed twice', mass: '88 g' },
        ],
      });
    }
    if (pathname.startsWith('/api/moulds/')) {
      return pathname.toUpperCase().includes('K7Q2M')
        ? Response.json({ ...MOULD, retired })
        : Response.json({ title: 'Not there', detail: 'It is not there.' }, { status: 404 });
    }
    return Response.json({ initials: '' });
  });
});

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

function show(at: string) {
  render(
    <QueryClientProvider
      client={new QueryClient({ defaultOptions: { queries: { retry: false } } })}
    >
      <MemoryRouter initialEntries={[at]}>
        <Routes>
          <Route path="/moulds" element={<MouldsPage />} />
          <Route path="/moulds/:code" element={<MouldPage />} />
        </Routes>
      </MemoryRouter>
    </QueryClientProvider>,
  );
  return userEvent.setup();
}

test('moulds are listed with what is left in them, and searched', async () => {
  const user = show('/moulds');
  const row = await screen.findByRole('row', { name: /K7Q2M/ });
  expect(row.textContent).toContain('Ferry bollard, mould 2');
  expect(row.textContent).toContain('30 of about 60');
  expect(row.textContent).toContain('by 3 May 2028');
  expect(row.querySelector('.gave')?.getAttribute('width')).toBe('50');
  await user.type(screen.getByRole('searchbox'), 'nothing');
  await screen.findByText('Of these, nothing is known by “nothing”.');
  await user.clear(screen.getByRole('searchbox'));
  await user.click(screen.getByRole('button', { name: 'retired 3' }));
  await waitFor(() => expect(asked.at(-1)).toContain('which=RETIRED'));
});

test('a label that is scanned opens its mould, whatever stands round the code', async () => {
  const user = show('/moulds');
  await user.type(screen.getByRole('searchbox'), 'http://bench:8123/moulds/k7q2m{Enter}');
  await screen.findByRole('heading', { name: 'Ferry bollard, mould 2' });
});

test('a code no mould has is said, and stays typed', async () => {
  const user = show('/moulds');
  await screen.findByRole('row', { name: /K7Q2M/ });
  await user.type(screen.getByRole('searchbox'), 'QQQQQ');
  await screen.findByText(/nothing is known by/);
  await user.keyboard('{Enter}');
  expect((await screen.findByRole('alert')).textContent).toBe('No mould has the code “QQQQQ”.');
  expect(screen.getByRole<HTMLInputElement>('searchbox').value).toBe('QQQQQ');
});

test('a mould says what is left in it, what came out of it, and is retired with a reason', async () => {
  const user = show('/moulds/K7Q2M');
  await screen.findByRole('heading', { name: 'Ferry bollard, mould 2' });
  await screen.findByText(/66 g/);
  const text = document.body.textContent;
  expect(text).toContain('30 casts left. It is used for 26 casts a year.');
  expect(text).toContain('Make it anew by 3 May 2028.');
  expect(text).toContain('Its master: drawer 9');
  expect(text).not.toContain('99 g');
  expect(text).not.toContain('88 g');
  await user.click(screen.getByRole('button', { name: 'Retire it' }));
  expect(sent).toEqual([]);
  await user.click(screen.getByRole('button', { name: 'It is torn.' }));
  await screen.findByText(/Retired: It is torn\./);
  expect(sent[0]).toMatchObject(['/api/moulds/K7Q2M/retired', { why: 'It is torn.' }]);
  await user.click(screen.getByRole('button', { name: 'Use it again' }));
  await waitFor(() => expect(sent[1]).toMatchObject(['/api/moulds/K7Q2M/retired', { why: '' }]));
});

test('a mould from before is put among the others', async () => {
  const user = show('/moulds');
  await user.type(screen.getByLabelText('what the mould is of'), 'Door knob');
  await user.click(screen.getByRole('button', { name: 'Put it among them' }));
  await waitFor(() => expect(sent[0]).toEqual(['/api/moulds', { of: 'Door knob' }]));
});
