import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { ReactElement } from 'react';
import { MemoryRouter } from 'react-router-dom';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { job } from '../testing/job';
import { WordContext } from '../ui/words';
import { ApproachStage } from './approach/ApproachStage';
import type { ApproachDesk } from './approach/useApproaches';
import { Stands } from './master/Stands';
import { BoxShapes, CutList } from './mould/BoxParts';
import { Rubbers } from './rubber/Rubbers';
import type { JobDesk } from './useJob';

const DESK = {} as JobDesk;
const IDLE = { data: undefined, error: null, working: null } as unknown as ApproachDesk;
const of = job({});

/** What is asked for, and what stands in its place when it cannot be read. */
const PARTS: [string, ReactElement][] = [
  ['The other boxes', <BoxShapes key="boxes" job={of} desk={DESK} />],
  ['The cut list', <CutList key="cut" job={of} />],
  ['The comparison of rubbers', <Rubbers key="rubbers" job={of} picked={false} />],
  ['How it can stand', <Stands key="stands" job={of} desk={DESK} />],
  ['What is kept', <ApproachStage key="kept" job={of} desk={DESK} approaches={IDLE} />],
];

let asked: number;

beforeEach(() => {
  asked = 0;
  vi.stubGlobal('fetch', () => {
    asked++;
    return Promise.resolve(
      new Response(JSON.stringify({ title: 'Broken', detail: 'The disk is full.' }), {
        status: 500,
        headers: { 'Content-Type': 'application/problem+json' },
      }),
    );
  });
});

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

test.each(PARTS)(
  '%s: a failed question says so in its place, with try again',
  async (what, part) => {
    const words = {
      words: of.words,
      write: () => Promise.resolve(),
      nudge: () => Promise.resolve(),
    };
    render(
      <QueryClientProvider
        client={new QueryClient({ defaultOptions: { queries: { retry: false } } })}
      >
        <MemoryRouter>
          <WordContext.Provider value={words}>{part}</WordContext.Provider>
        </MemoryRouter>
      </QueryClientProvider>,
    );
    const alert = await screen.findByText(`${what} cannot be read.`);
    expect(alert.closest('[role="alert"]')?.textContent).toContain('The disk is full.');
    const before = asked;
    const again = alert.closest('[role="alert"]')?.querySelector('button');
    await userEvent.click(again as HTMLElement);
    expect(asked).toBeGreaterThan(before);
  },
);
