import { cleanup, renderHook, waitFor } from '@testing-library/react';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import type { Job, Work } from '../api/client';
import { job } from '../testing/job';
import { useSheet } from './useSheet';

let opened: string[];

beforeEach(() => {
  opened = [];
  vi.stubGlobal('open', (address: string) => {
    opened.push(address);
    return window;
  });
});

afterEach(() => {
  vi.useRealTimers();
  cleanup();
  vi.unstubAllGlobals();
});

const OPEN: Job['parts'] = [{ text: 'the coats', state: 'BEING_WORKED_OUT', why: '' }];

/** What the server answers, one after the other; the last for ever. */
function answers(states: Work['state'][]) {
  let asked = 0;
  vi.stubGlobal('fetch', () => {
    const state = states[Math.min(asked++, states.length - 1)];
    return Promise.resolve(
      Response.json({ work: { state, doing: 'Measuring', fraction: 0.4, problem: '' } }),
    );
  });
  return () => asked;
}

test('what is all worked out is opened at once', () => {
  const asked = answers(['READY']);
  const { result } = renderHook(() => useSheet(job({})));
  result.current.open('sheet.pdf?paper=A4');
  expect(opened).toEqual(['/api/jobs/j/sheet.pdf?paper=A4']);
  expect(asked()).toBe(0);
});

test('what is not waits with a bar until it is', async () => {
  answers(['OPEN', 'WORKING', 'READY']);
  const { result } = renderHook(() => useSheet(job({}, {}, { parts: OPEN })));
  result.current.open('sheet.pdf');
  await waitFor(() => expect(result.current.work?.doing).toBe('Measuring'));
  expect(opened).toEqual([]);
  await waitFor(() => expect(opened).toEqual(['/api/jobs/j/sheet.pdf']));
  await waitFor(() => expect(result.current.work).toBeNull());
});

test('stopped, nothing is opened', async () => {
  const asked = answers(['WORKING', 'STOPPED']);
  const { result } = renderHook(() => useSheet(job({}, {}, { parts: OPEN })));
  result.current.open('sheet.pdf');
  await waitFor(() => expect(asked()).toBe(2));
  await waitFor(() => expect(result.current.work).toBeNull());
  expect(opened).toEqual([]);
});

test('stopped here, it is not asked for again', async () => {
  vi.useFakeTimers({ shouldAdvanceTime: true });
  const asked = answers(['WORKING']);
  const { result } = renderHook(() => useSheet(job({}, {}, { parts: OPEN })));
  result.current.open('sheet.pdf');
  await waitFor(() => expect(result.current.work).not.toBeNull());
  result.current.stop();
  const before = asked();
  await waitFor(() => expect(result.current.work).toBeNull());
  await vi.advanceTimersByTimeAsync(2000);
  expect(asked()).toBe(before);
  expect(opened).toEqual([]);
});
