import 'fake-indexeddb/auto';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { act, cleanup, renderHook, waitFor } from '@testing-library/react';
import type { ReactNode } from 'react';
import { afterEach, expect, test, vi } from 'vitest';
import { actStore } from './browserStore';
import { runQuery } from './runQueries';
import { useActs } from './useActs';

afterEach(() => {
  cleanup();
  vi.restoreAllMocks();
  vi.unstubAllGlobals();
});

interface Sent {
  id: string;
  kind: string;
  value?: string;
  agoMs: number;
  who: string;
}

/** A server that is there or not, and what it was sent. */
function server() {
  const state = { there: true, refuses: '', status: 422, sent: [] as Sent[] };
  vi.stubGlobal('fetch', async (request: Request) => {
    if (!state.there) {
      throw new TypeError('not reached');
    }
    const body = (await request.json()) as Sent;
    if (body.value === state.refuses) {
      return Response.json({ title: 'Not now', detail: 'First: pour.' }, { status: state.status });
    }
    state.sent.push(body);
    return Response.json({ version: state.sent.length });
  });
  return state;
}

function screen(run: string, answered?: number) {
  const queries = new QueryClient();
  const wrapper = ({ children }: { children: ReactNode }) => (
    <QueryClientProvider client={queries}>{children}</QueryClientProvider>
  );
  return renderHook(() => useActs(run, 'MB', answered), { wrapper });
}

const grams = (value: string) => [{ kind: 'GRAMS', value } as const, `${value} g`] as const;

test('what is pressed while the server is lost is delivered once, in order', async () => {
  const at = server();
  const { result } = screen('lost');
  at.there = false;
  for (const g of ['1', '2', '3']) {
    await act(() => result.current.act(...grams(g)));
  }
  expect(result.current.waiting.map((w) => w.text)).toEqual(['1 g', '2 g', '3 g']);
  at.there = true;
  await waitFor(() => expect(result.current.waiting).toHaveLength(0), { timeout: 5000 });
  expect(at.sent.map((s) => s.value)).toEqual(['1', '2', '3']);
  expect(new Set(at.sent.map((s) => s.id)).size).toBe(3);
  expect(at.sent.every((s) => s.who === 'MB' && s.agoMs >= 0)).toBe(true);
});

test('what another page delivered waits here no longer', async () => {
  server().there = false;
  const { result } = screen('both');
  await act(() => result.current.act(...grams('5')));
  expect(result.current.waiting).toHaveLength(1);
  // both pages of one browser deliver what either of them kept
  await actStore.remove((await actStore.of('both'))[0]?.number ?? -1);
  await waitFor(() => expect(result.current.waiting).toHaveLength(0), { timeout: 5000 });
});

test('an answer that never comes is not waited for, and the deed happens once', async () => {
  const ids: string[] = [];
  vi.stubGlobal('fetch', async (request: Request) => {
    ids.push(((await request.json()) as Sent).id);
    if (ids.length > 1) {
      return Response.json({ version: 1 });
    }
    return new Promise<Response>((_, no) => {
      request.signal.addEventListener('abort', () => no(new TypeError('aborted')));
    });
  });
  const { result } = screen('hangs', 50);
  await act(() => result.current.act(...grams('4')));
  await waitFor(() => expect(result.current.waiting).toHaveLength(0), { timeout: 5000 });
  expect(ids).toHaveLength(2);
  expect(ids[0]).toBe(ids[1]);
});

test('what waits is there after the page is loaded again', async () => {
  const at = server();
  at.there = false;
  const first = screen('again');
  await act(() => first.result.current.act(...grams('7')));
  first.unmount();
  expect(await actStore.of('again')).toHaveLength(1);
  at.there = true;
  const second = screen('again');
  await waitFor(() => expect(at.sent.map((s) => s.value)).toEqual(['7']), { timeout: 5000 });
  await waitFor(() => expect(second.result.current.waiting).toHaveLength(0));
});

test('what is refused is told, and the rest goes on', async () => {
  const at = server();
  at.refuses = '2';
  at.there = false;
  const { result } = screen('refused');
  for (const g of ['1', '2', '3']) {
    await act(() => result.current.act(...grams(g)));
  }
  at.there = true;
  await waitFor(() => expect(at.sent.map((s) => s.value)).toEqual(['1', '3']), { timeout: 5000 });
  await waitFor(() => expect(result.current.refused).toBe('2 g: First: pour.'));
});

test('two screens of one browser do not lose what the other did', async () => {
  const at = server();
  const a = screen('two');
  const b = screen('two');
  await act(() =>
    Promise.all([a.result.current.act(...grams('1')), b.result.current.act(...grams('2'))]),
  );
  await waitFor(() => expect(a.result.current.waiting).toHaveLength(0), { timeout: 5000 });
  // sent twice it has one name: the server keeps it once
  expect(new Set(at.sent.map((s) => s.id)).size).toBe(2);
});

test('what waits for somebody to sign in again is not lost', async () => {
  const at = server();
  at.refuses = '5';
  at.status = 403;
  const { result } = screen('signed');
  await act(() => result.current.act(...grams('5')));
  expect(result.current.waiting).toHaveLength(1);
  at.refuses = '';
  await waitFor(() => expect(at.sent.map((s) => s.value)).toEqual(['5']), { timeout: 5000 });
});

test('a page opened while the server is lost shows a run as it was, with its clock gone on', async () => {
  let there = true;
  let clock = 5000;
  vi.spyOn(Date, 'now').mockImplementation(() => clock);
  vi.stubGlobal('fetch', (request: Request) => {
    const id = request.url.replace(/.*\//, '');
    return there
      ? Promise.resolve(
          Response.json({ id, rehearsal: id === 'rehearsal', now: 700_000, speed: 1, done: 3 }),
        )
      : Promise.reject(new TypeError('not reached'));
  });
  const read = (id: string) =>
    new QueryClient().query({ ...runQuery(id), retry: false }) as Promise<object>;
  await read('kept');
  await read('rehearsal');
  there = false;
  clock += 60_000;
  await waitFor(async () => expect(await read('kept')).toMatchObject({ done: 3, now: 760_000 }));
  await expect(read('rehearsal')).rejects.toThrow('does not answer');
  await expect(read('unknown')).rejects.toThrow('does not answer');
});
