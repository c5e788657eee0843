import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import type { Edit, Job, Study, Work } from '../../api/client';
import { figure, words } from '../../testing/job';
import { WordContext } from '../../ui/words';
import { ShapePart, type SolidTool } from './ShapePart';
import type { JobDesk } from '../useJob';
import { useStudy } from '../useStudy';

/** What the server answers next, what it was asked, and what was decided on the page. */
let answers: Partial<Study>[];
let asked: string[];
let edits: Edit[];

function work(part: Partial<Work>): Work {
  return { state: 'READY', doing: '', fraction: 0, problem: '', ...part };
}

function study(part: Partial<Study>): Study {
  return {
    work: work({}),
    spruePlaced: false,
    open: 0,
    inlet: 'in through the open base',
    poured: [],
    cast: [],
    vents: [],
    thinnestText: '',
    castUp: { x: 0, y: 0, z: -1 },
    attitudes: [],
    ...part,
  };
}

function job(version: number, ...figures: string[]): Job {
  const all = Object.fromEntries(figures.map((k) => [k, figure(k, `${k} text`)]));
  const box = { poured: true };
  const said = words('JobWord', { 'lying.on': 'turned over' });
  return { id: 'j', version, hasShape: true, figures: all, box, words: said } as unknown as Job;
}

const ALL = [
  'air.poured',
  'air.cast',
  'locks.volume',
  'locks.two',
  'locks.stretch',
  'wall.thinnest',
];

beforeEach(() => {
  answers = [];
  asked = [];
  edits = [];
  vi.stubGlobal('fetch', (request: Request) => {
    asked.push(`${request.method} ${new URL(request.url).pathname}`);
    const next = answers.length > 1 ? answers.shift() : answers[0];
    return Promise.resolve(
      new Response(JSON.stringify(study(next ?? {})), {
        headers: { 'Content-Type': 'application/json' },
      }),
    );
  });
});

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const desk = { apply: (made: Edit[]) => edits.push(...made) } as unknown as JobDesk;

function Page({ of }: { of: Job }) {
  const shape = useStudy(of);
  const [tool, setTool] = useState<SolidTool>({ placing: null, show: null });
  return (
    <>
      <ShapePart job={of} desk={desk} shape={shape} tool={tool} setTool={setTool} />
      <output>{`${tool.placing ?? 'nothing'} ${String(tool.show)} ${shape.stale}`}</output>
    </>
  );
}

function show(of: Job) {
  const queries = new QueryClient({ defaultOptions: { queries: { retry: false } } });
  const said = { words: of.words, write: () => Promise.resolve(), nudge: () => Promise.resolve() };
  const page = (next: Job) => (
    <QueryClientProvider client={queries}>
      <WordContext.Provider value={said}>
        <Page of={next} />
      </WordContext.Provider>
    </QueryClientProvider>
  );
  const { rerender } = render(page(of));
  return { user: userEvent.setup(), next: (job: Job) => rerender(page(job)) };
}

const text = () => screen.getByRole('region', { name: 'Air and coming off' }).textContent;

test('a study nobody asked for is asked for, and shows how far it is', async () => {
  answers = [
    { work: work({ state: 'OPEN' }) },
    { work: work({ state: 'WORKING', doing: 'Filling', fraction: 0.4 }) },
  ];
  const { user } = show(job(1));
  const bar = await screen.findByRole('progressbar', { name: 'Filling' });
  expect(bar.getAttribute('aria-valuenow')).toBe('40');
  expect(asked.slice(0, 2)).toEqual(['GET /api/jobs/j/study', 'POST /api/jobs/j/study']);
  await user.click(screen.getByRole('button', { name: 'Stop' }));
  expect(asked).toContain('DELETE /api/jobs/j/study');
});

test('one that was stopped says so, and can be asked for again', async () => {
  answers = [{ work: work({ state: 'STOPPED' }) }, {}];
  const { user } = show(job(1));
  await user.click(await screen.findByRole('button', { name: 'Work it out' }));
  await waitFor(() => expect(asked).toContain('POST /api/jobs/j/study'));
  await waitFor(() => expect(text()).not.toContain('Stopped'));
});

test('the sentences say what the core says', async () => {
  answers = [{ inlet: 'through the sprue', vents: [VENT] }];
  show(job(1, ...ALL));
  await waitFor(() => expect(text()).toContain('poured through the sprue, with one vent, keeps'));
  expect(text()).toContain('to come off it stretches locks.stretch text');
});

test('a mould without a way off in one piece is cut', async () => {
  show(job(1, 'air.poured', 'air.cast', 'locks.volume'));
  await waitFor(() => expect(text()).toContain('the block is cut to take the master out'));
});

test('after a change the last pictures stay, marked, until the new ones are in', async () => {
  answers = [{}, { work: work({ state: 'WORKING' }) }];
  const { next } = show(job(1, ...ALL));
  await waitFor(() => expect(screen.getByText('nothing null false')).toBeTruthy());
  await waitFor(() => expect(text()).toContain('the open base'));
  next(job(2));
  await waitFor(() => expect(screen.getByText('nothing null true')).toBeTruthy());
});

test('tools stay pressed until pressed again, and vents are taken away', async () => {
  answers = [{ vents: [VENT] }];
  const { user } = show(job(1, ...ALL));
  await user.click(await screen.findByRole('button', { name: 'Place a vent' }));
  await user.click(screen.getByRole('button', { name: 'Show what locks' }));
  expect(screen.getByText('vent LOCKED false')).toBeTruthy();
  await user.click(screen.getByRole('button', { name: 'Place a vent' }));
  expect(screen.getByText('nothing LOCKED false')).toBeTruthy();
  await user.click(screen.getByRole('button', { name: 'Remove the vents' }));
  expect(edits).toEqual([{ word: 'casting.noVents', text: '' }]);
});

const VENT = {
  path: [
    { x: 1, y: 2, z: 3 },
    { x: 1, y: 2, z: 0 },
  ],
};

const WAY: Study['attitudes'][number] = {
  text: 'turned over',
  held: '',
  now: true,
  pot: '',
  edits: [{ word: 'lying.on', text: 'TOP' }],
  figures: {
    vents: figure('vents', '3 vents'),
    rubber: { ...figure('rubber', '49 mm'), value: 49 },
    left: figure('left', 'none'),
  },
};

test('ways to lie stand side by side, and one click lays it so', async () => {
  answers = [
    {
      attitudes: [
        {
          ...WAY,
          text: 'lying on its front, its base raised 14°',
          held: 'A wedge 28 mm high under that edge holds it.',
          pot: 'too large for the pot so',
          now: false,
          edits: [{ word: 'lying.on', text: 'FRONT' }],
        },
        WAY,
      ],
    },
  ];
  const { user } = show(job(1, ...ALL));
  const rows = await screen.findAllByRole('row');
  expect(rows[1]?.textContent).toContain('A wedge 28 mm high under that edge holds it.');
  expect(rows[1]?.textContent).toContain('It is too large for the pot so.');
  expect(rows[1]?.textContent).toContain('3 ventsthrough 49 mm');
  expect(screen.getByRole('button', { name: 'Cast it turned over' }).hasAttribute('disabled')).toBe(
    true,
  );
  await user.click(
    screen.getByRole('button', { name: 'Cast it lying on its front, its base raised 14°' }),
  );
  expect(edits).toEqual([{ word: 'lying.on', text: 'FRONT' }]);
});

test('where there is no choice it is turned over', async () => {
  answers = [{ attitudes: [] }];
  show(job(1, ...ALL));
  await waitFor(() => expect(text()).toContain('It is cast turned over. A cast poured'));
  expect(screen.queryByText('Ways to lay it to be cast in')).toBeNull();
});
