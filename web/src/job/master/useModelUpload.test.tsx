import { act, cleanup, renderHook, waitFor } from '@testing-library/react';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { useModelUpload } from './useModelUpload';

interface Sent {
  url: string;
  answer: (status: number, body: unknown) => void;
}

let sent: Sent[];
let refreshed: number;
const FILE = new File(['solid'], 'cube one.stl');
const DONE = { id: 't', state: 'DONE', doing: '', fraction: 1, problem: '' };

beforeEach(() => {
  sent = [];
  refreshed = 0;
  class Request {
    upload = {};
    status = 0;
    response: unknown = null;
    onload = () => undefined;
    onabort = () => undefined;
    setRequestHeader() {}
    open(_: string, url: string) {
      sent.push({
        url,
        answer: (status, body) => {
          this.status = status;
          this.response = body;
          this.onload();
        },
      });
    }
    send() {}
    abort() {
      this.onabort();
    }
  }
  vi.stubGlobal('XMLHttpRequest', Request);
});

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const upload = () =>
  renderHook(() =>
    useModelUpload('j', () => {
      refreshed++;
      return Promise.resolve();
    }),
  ).result;

test('a file takes the place of the model, or goes beside it', async () => {
  const desk = upload();
  act(() => desk.current.start(FILE));
  expect(sent[0]?.url).toBe('/api/jobs/j/model?name=cube%20one.stl');
  expect(desk.current.upload?.doing).toContain('cube one.stl');
  act(() => sent[0]?.answer(200, DONE));
  await waitFor(() => expect(desk.current.upload).toBeNull());
  act(() => desk.current.startBeside(FILE));
  expect(sent[1]?.url).toBe('/api/jobs/j/model/beside?name=cube%20one.stl');
  act(() => sent[1]?.answer(200, DONE));
  await waitFor(() => expect(desk.current.upload).toBeNull());
  expect(refreshed).toBe(2);
  expect(desk.current.problem).toBeNull();
});

test('what was not taken is said, with why', async () => {
  const desk = upload();
  act(() => desk.current.start(FILE));
  act(() => sent[0]?.answer(200, { ...DONE, state: 'FAILED', problem: 'It is a letter.' }));
  await waitFor(() =>
    expect(desk.current.problem).toBe('cube one.stl was not taken. It is a letter.'),
  );
  act(() => desk.current.startBeside(FILE));
  act(() => sent[1]?.answer(404, { title: 'No shape', detail: 'Only measures are known.' }));
  await waitFor(() => expect(desk.current.problem).toContain('Only measures are known.'));
  act(() => desk.current.dismiss());
  expect(desk.current.problem).toBeNull();
});

test('stopping it is no problem', async () => {
  const desk = upload();
  act(() => desk.current.start(FILE));
  act(() => desk.current.upload?.cancel());
  await waitFor(() => expect(desk.current.upload).toBeNull());
  expect(desk.current.problem).toBeNull();
  expect(refreshed).toBe(0);
});
