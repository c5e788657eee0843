import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { act, cleanup, renderHook, waitFor } from '@testing-library/react';
import type { ReactNode } from 'react';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { Problem } from '../api/client';
import { useJob } from './useJob';

/** What the server was asked, in order, and a job that counts its versions as the server does. */
let asked: string[];
let version: number;
let wall: string;

function answer(status: number, body: unknown): Response {
  return new Response(JSON.stringify(body), {
    status,
    headers: { 'Content-Type': status < 300 ? 'application/json' : 'application/problem+json' },
  });
}

function job() {
  return { id: 'j', name: 'Tide clock', version, words: { 'mould.sidesMm': { text: wall } } };
}

async function server(request: Request): Promise<Response> {
  const path = new URL(request.url).pathname;
  const body = (request.method === 'POST' ? await request.json().catch(() => ({})) : {}) as {
    version?: number;
    edits?: { word: string; text: string }[];
  };
  const text = body.edits?.[0]?.text ?? '';
  asked.push(`${request.method} ${path} ${body.version ?? ''} ${text}`.trim());
  if (request.method === 'GET') {
    return answer(200, job());
  }
  if (body.version !== undefined && body.version !== version) {
    return answer(409, { title: 'Changed in another window', detail: 'Look, then make it again.' });
  }
  if (text === 'lots') {
    return answer(422, { title: 'Not understood', detail: 'Write a length.', word: 'wall' });
  }
  version++;
  wall = text;
  return answer(200, job());
}

beforeEach(() => {
  asked = [];
  version = 1;
  wall = '12 mm';
  vi.stubGlobal('fetch', (input: Request) => server(input));
});

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

async function opened() {
  const queries = new QueryClient({ defaultOptions: { queries: { retry: false } } });
  const wrapper = ({ children }: { children: ReactNode }) => (
    <QueryClientProvider client={queries}>{children}</QueryClientProvider>
  );
  const hook = renderHook(() => useJob('j'), { wrapper });
  await waitFor(() => expect(hook.result.current.job?.version).toBe(1));
  return hook;
}

test('quick edits go out one after the other, each on the version the last one left', async () => {
  const { result } = await opened();
  await act(async () => {
    await Promise.all([
      result.current.write('wall', '13 mm'),
      result.current.write('wall', '14 mm'),
      result.current.write('wall', '15 mm'),
    ]);
  });
  expect(asked.slice(1)).toEqual([
    'POST /api/jobs/j/edits 1 13 mm',
    'POST /api/jobs/j/edits 2 14 mm',
    'POST /api/jobs/j/edits 3 15 mm',
  ]);
  expect(result.current.job?.words['mould.sidesMm']?.text).toBe('15 mm');
  expect(result.current.saving).toBe(false);
});

test('a refused edit is told to whoever typed it, and the next one still goes', async () => {
  const { result } = await opened();
  let refused: unknown;
  await act(async () => {
    await result.current.write('wall', 'lots').catch((e: unknown) => (refused = e));
    await result.current.write('wall', '20 mm');
  });
  expect(refused).toBeInstanceOf(Problem);
  expect((refused as Problem).message).toBe('Write a length.');
  expect((refused as Problem).word).toBe('wall');
  expect(result.current.problem).toBeNull();
  expect(result.current.job?.words['mould.sidesMm']?.text).toBe('20 mm');
});

test('another window’s change is fetched and shown, mine is not made', async () => {
  const { result } = await opened();
  version = 7;
  wall = '30 mm';
  await act(async () => {
    await result.current.write('wall', '20 mm').catch(() => undefined);
  });
  await waitFor(() => expect(result.current.job?.version).toBe(7));
  expect(result.current.job?.words['mould.sidesMm']?.text).toBe('30 mm');
  expect(result.current.problem?.title).toBe('Changed in another window');
  await act(async () => {
    await result.current.write('wall', '20 mm');
  });
  expect(result.current.job?.words['mould.sidesMm']?.text).toBe('20 mm');
  expect(result.current.problem).toBeNull();
});

test('a server that does not answer is said to be gone', async () => {
  const { result } = await opened();
  vi.stubGlobal('fetch', () => Promise.reject(new TypeError('refused')));
  act(() => result.current.apply([{ word: 'wall', text: '20 mm' }]));
  await waitFor(() => expect(result.current.problem).not.toBeNull());
  expect(result.current.problem?.message).toContain('Is it still running');
});

test('an answer asked for before a change does not undo it on the page', async () => {
  const { result } = await opened();
  let arrive = () => {};
  const held = new Promise<void>((done) => (arrive = done));
  const before = job();
  vi.stubGlobal('fetch', async (input: Request) => {
    if (input.method === 'GET') {
      await held;
      return answer(200, before);
    }
    return server(input);
  });
  await act(async () => {
    void result.current.refresh();
    await result.current.write('wall', '20 mm');
    arrive();
    await held;
  });
  await waitFor(() => expect(result.current.saving).toBe(false));
  expect(result.current.job?.version).toBe(2);
  expect(result.current.job?.words['mould.sidesMm']?.text).toBe('20 mm');
});

test('a first answer from before a change does not stay', async () => {
  const held: (() => void)[] = [];
  vi.stubGlobal('fetch', async (input: Request) => {
    const early = await server(input);
    if (held.length === 0) {
      await new Promise<void>((go) => held.push(go));
    }
    return early;
  });
  const queries = new QueryClient({ defaultOptions: { queries: { retry: false } } });
  const { result } = renderHook(() => useJob('j'), {
    wrapper: ({ children }: { children: ReactNode }) => (
      <QueryClientProvider client={queries}>{children}</QueryClientProvider>
    ),
  });
  await waitFor(() => expect(held).toHaveLength(1));
  // a model is taken in meanwhile
  version = 2;
  const refreshed = result.current.refresh();
  held[0]?.();
  await act(() => refreshed);
  await waitFor(() => expect(result.current.job?.version).toBe(2));
});
