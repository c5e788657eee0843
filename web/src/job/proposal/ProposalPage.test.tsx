import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { MemoryRouter, Route, Routes } from 'react-router-dom';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import type { Proposal } from '../../api/client';
import { figures, job } from '../../testing/job';
import { handOver } from '../master/handedOver';
import { ProposalPage } from './ProposalPage';

const MASTER = { ...job({ 'master.size': '40 × 60 × 80 mm' }), id: 'j', hasShape: true };
const EDITS = [{ word: 'mould.kind', text: 'CUT' }];
const PROPOSED = {
  title: 'cut mould, laid on its front',
  picture: '/p',
  rubber: { name: 'Marram 20', text: 'Enough on the shelf.', stock: '1.5 kg' },
  edits: EDITS,
  rests: ['file in millimetres', '21 °C'],
  figures: figures({ 'rubber.box': '1.021 L', 'mix.base': '900 g', 'mix.hardener': '90 g' }),
  stops: [],
};
const READY: Proposal = {
  ...found('READY'),
  says: 'Choose the cut mould, laid on its front. Nothing else works.',
  proposal: PROPOSED,
};

function found(state: Proposal['work']['state']): Proposal {
  return { work: { state, doing: '', fraction: 0, problem: '' }, says: '' };
}

let shown: unknown;
let answers: Proposal[];
let sent: { path: string; body: unknown }[];

beforeEach(() => {
  shown = MASTER;
  answers = [READY];
  sent = [];
  vi.stubGlobal('fetch', async (request: Request) => {
    const { pathname } = new URL(request.url);
    if (request.method === 'POST' && pathname.endsWith('/edits')) {
      sent.push({ path: pathname, body: await request.json() });
      return Response.json(MASTER);
    }
    if (pathname.endsWith('/proposal')) {
      sent.push({ path: `${request.method} proposal`, body: null });
      const [next] = answers.length > 1 ? answers.splice(0, 1) : answers;
      return Response.json(next);
    }
    return Response.json(pathname === '/api/access' ? { initials: 'AB' } : shown);
  });
});

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

function show() {
  render(
    <QueryClientProvider
      client={new QueryClient({ defaultOptions: { queries: { retry: false } } })}
    >
      <MemoryRouter initialEntries={['/jobs/j/proposal']}>
        <Routes>
          <Route path="/jobs/:id/proposal" element={<ProposalPage />} />
          <Route path="/jobs/:id/pours" element={<p>pours</p>} />
          <Route path="/jobs/:id/approach" element={<p>approach</p>} />
        </Routes>
      </MemoryRouter>
    </QueryClientProvider>,
  );
}

test('one button chooses all that is proposed and shows what to weigh', async () => {
  answers = [found('OPEN'), READY];
  show();
  await screen.findByText('40 × 60 × 80 mm');
  const region = await screen.findByRole('region', { name: 'Proposed' });
  expect(region.textContent).toContain('Choose the cut mould, laid on its front.');
  expect(region.textContent).toContain('Marram 20 (you have 1.5 kg). Enough on the shelf.');
  expect(region.textContent).toContain('900 g + 90 g');
  expect(region.textContent).toContain('file in millimetres · 21 °C');
  expect(sent.map((s) => s.path)).toEqual(['GET proposal', 'POST proposal']);
  await userEvent.click(screen.getByRole('button', { name: 'Use this' }));
  await screen.findByText('pours');
  expect(sent.at(-1)).toEqual({
    path: '/api/jobs/j/edits',
    body: { version: MASTER.version, edits: EDITS },
  });
});

test('what would stop it is said before it is used', async () => {
  const stops = ['The master is not closed'];
  answers = [{ ...READY, proposal: { ...PROPOSED, rubber: undefined, stops } }];
  show();
  await screen.findByText('Stop: The master is not closed');
  await screen.findByText('None of your rubbers is suitable.');
});

test('where no mould works there is nothing to use, and the way to why', async () => {
  answers = [found('READY')];
  show();
  await screen.findByText(/No mould works for this master as it is/);
  expect(screen.queryByRole('button', { name: 'Use this' })).toBeNull();
  await userEvent.click(screen.getByRole('button', { name: 'Compare' }));
  await screen.findByText('approach');
});

test('a search that was stopped is not the end', async () => {
  answers = [found('STOPPED'), READY];
  show();
  await screen.findByText('The search for a mould was stopped.');
  await userEvent.click(screen.getByRole('button', { name: 'Search again' }));
  await screen.findByText(/Nothing else works/);
});

test('a file handed over is taken in once, and nothing is proposed before it is there', async () => {
  shown = { ...MASTER, hasShape: false };
  const opened: string[] = [];
  vi.stubGlobal(
    'XMLHttpRequest',
    class {
      upload = {};
      open(_: string, address: string) {
        opened.push(address);
      }
      setRequestHeader() {
        // nothing of it matters here
      }
      send() {
        // never answered
      }
    },
  );
  handOver('j', new File(['solid'], 'shell one.stl'));
  show();
  await screen.findByText(/Taking in shell one.stl/);
  await waitFor(() => expect(opened).toEqual(['/api/jobs/j/model?name=shell%20one.stl']));
  expect(sent).toEqual([]);
  cleanup();
  show();
  await screen.findByText(/Give the model of the master/);
  expect(opened).toHaveLength(1);
});
