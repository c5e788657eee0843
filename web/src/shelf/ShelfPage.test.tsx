import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, render, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { MemoryRouter, Route, Routes } from 'react-router-dom';
import { afterEach, expect, test, vi } from 'vitest';
import { handedOver } from '../job/master/handedOver';
import { ShelfPage } from './ShelfPage';

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const JOB = {
  id: 'a',
  name: 'Tile',
  demo: false,
  archived: false,
  stage: 'rubber',
  line: '1.2 L',
  next: 'Weigh 250 g + 25 g',
  stops: 0,
  checks: 0,
  trouble: '',
  note: '',
};

const WEARING = {
  found: 1,
  counts: {},
  moulds: [{ code: 'K7Q2M', of: 'Bell', condition: 'GOOD', anew: '3 May 2027', wear: 'SOON' }],
};

function show(answer: (path: string) => Response) {
  vi.stubGlobal('fetch', (request: Request) => {
    const { pathname } = new URL(request.url);
    return Promise.resolve(
      pathname === '/api/access'
        ? Response.json({ initials: 'AB' })
        : pathname === '/api/stock'
          ? Response.json({ products: [], missing: [] })
          : pathname === '/api/runs'
            ? Response.json([])
            : pathname === '/api/moulds'
              ? Response.json(WEARING)
              : answer(pathname),
    );
  });
  const queries = new QueryClient({ defaultOptions: { queries: { retry: false } } });
  render(
    <QueryClientProvider client={queries}>
      <MemoryRouter>
        <ShelfPage />
      </MemoryRouter>
    </QueryClientProvider>,
  );
}

test('a job that cannot be read says so on its card, the others stand as they are', async () => {
  const jobs = [
    JOB,
    { ...JOB, id: 'b', name: 'Bell', trouble: 'The model file “bell.stl” is missing.' },
    { ...JOB, id: 'c', name: 'Knot', note: 'It begins empty.' },
  ];
  show(() => Response.json({ workshop: 'Ours', demo: false, jobs }));
  const entries = await screen.findAllByRole('listitem');
  const [tile, bell, knot] = entries.map((e) => within(e));
  screen.getByText(/Moulds wearing out/);
  expect(screen.getByRole('link', { name: 'Bell, K7Q2M' }).getAttribute('href')).toBe(
    '/moulds/K7Q2M',
  );
  tile?.getByText('Weigh 250 g + 25 g');
  bell?.getByText(/bell.stl” is missing/);
  expect(bell?.queryByText(/Weigh/)).toBeNull();
  expect(bell?.getByRole('link', { name: 'What helps' }).getAttribute('href')).toBe(
    '/jobs/b/master',
  );
  knot?.getByText('It begins empty.');
});

test('a shelf that cannot be read never looks empty, and can be asked for again', async () => {
  let broken = true;
  show(() =>
    broken
      ? Response.json({ title: 'Mistake', detail: 'Nothing is lost.' }, { status: 500 })
      : Response.json({ workshop: 'Ours', demo: false, jobs: [JOB] }),
  );
  expect((await screen.findByRole('alert')).textContent).toContain(
    'The shelf cannot be read. Nothing is lost.',
  );
  expect(screen.queryByText(/A job begins with a master/)).toBeNull();
  broken = false;
  await userEvent.click(screen.getByRole('button', { name: 'Try again' }));
  await screen.findByText('Tile');
  expect(screen.queryByRole('alert')).toBeNull();
});

test('whoever signed in is named and can leave', async () => {
  show(() => Response.json({ workshop: 'Ours', demo: false, jobs: [] }));
  await screen.findByText('AB');
  screen.getByRole('button', { name: 'Sign out' });
});

test('a model begins a job that is called as its file is', async () => {
  const sent: unknown[] = [];
  vi.stubGlobal('fetch', async (request: Request) => {
    const { pathname } = new URL(request.url);
    if (request.method === 'POST') {
      sent.push([pathname, await request.json()]);
      return Response.json({ id: 'new' });
    }
    return Response.json(
      pathname === '/api/shelf'
        ? { workshop: 'Ours', unnamed: false, demo: false, jobs: [] }
        : { products: [], initials: 'AB', missing: [], found: 0 },
    );
  });
  render(
    <QueryClientProvider client={new QueryClient()}>
      <MemoryRouter>
        <Routes>
          <Route path="/" element={<ShelfPage />} />
          <Route path="/jobs/:id/proposal" element={<p>proposal</p>} />
        </Routes>
      </MemoryRouter>
    </QueryClientProvider>,
  );
  const model = new File(['solid'], 'Seal pup v1.2.stl');
  await userEvent.upload(await screen.findByTestId('model-file'), model);
  await screen.findByText('proposal');
  expect(sent).toEqual([['/api/jobs', { name: 'Seal pup v1.2' }]]);
  expect(handedOver('new')).toBe(model);
});

test('the workshop is asked its name until it is said', async () => {
  const sent: unknown[] = [];
  let unnamed = true;
  vi.stubGlobal('fetch', async (request: Request) => {
    const { pathname } = new URL(request.url);
    if (request.method === 'POST') {
      sent.push(await request.json());
      unnamed = false;
      return Response.json({ version: 4 });
    }
    return Response.json(
      pathname === '/api/shelf'
        ? { workshop: unnamed ? 'My workshop' : 'Quayside', unnamed, demo: false, jobs: [] }
        : { version: 3, products: [], initials: 'AB', missing: [], found: 0 },
    );
  });
  render(
    <QueryClientProvider client={new QueryClient()}>
      <MemoryRouter>
        <ShelfPage />
      </MemoryRouter>
    </QueryClientProvider>,
  );
  const asked = await screen.findByRole('textbox', { name: 'What is your workshop called?' });
  screen.getByRole('button', { name: 'Keep “My workshop”' });
  await userEvent.type(asked, 'Quayside{Enter}');
  await screen.findByRole('heading', { name: 'Quayside' });
  expect(sent).toEqual([{ version: 3, edits: [{ word: 'name', text: 'Quayside' }] }]);
  expect(screen.queryByRole('textbox', { name: /called/ })).toBeNull();
});
