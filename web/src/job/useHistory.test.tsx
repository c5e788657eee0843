import { act, cleanup, renderHook, waitFor } from '@testing-library/react';
import type { ReactNode } from 'react';
import { MemoryRouter, useLocation } from 'react-router-dom';
import { afterEach, expect, test } from 'vitest';
import type { Job } from '../api/client';
import { useHistory } from './useHistory';
import type { JobDesk } from './useJob';

afterEach(cleanup);

/** A desk whose job goes from version to version, and what it was asked. */
function history(job: Partial<Job>, stage: string) {
  const asked: number[] = [];
  let now = { id: 'j', version: 4, ...job } as Job;
  const desk = () =>
    ({
      job: now,
      step: (by: -1 | 1) => {
        asked.push(by);
        now = { ...now, version: now.version + 1 };
        return Promise.resolve(now);
      },
    }) as unknown as JobDesk;
  const wrapper = ({ children }: { children: ReactNode }) => (
    <MemoryRouter>{children}</MemoryRouter>
  );
  const hook = renderHook(() => ({ ...useHistory(desk(), stage), path: useLocation().pathname }), {
    wrapper,
  });
  return { hook, asked };
}

test('undo says what it undid and where, and goes there', async () => {
  const undo = { what: 'material of the master', stages: ['master'] };
  const { hook, asked } = history({ undo }, 'rubber');
  act(() => hook.result.current.step(-1));
  await waitFor(() => expect(hook.result.current.path).toBe('/jobs/j/master'));
  expect(hook.result.current.told).toBe('Undone: material of the master, on Master');
  expect(asked).toEqual([-1]);
});

test('where the stage shows it too, it stays', async () => {
  const redo = { what: 'rubber below the master', stages: ['mould', 'master'] };
  const { hook } = history({ redo }, 'master');
  act(() => hook.result.current.step(1));
  await waitFor(() =>
    expect(hook.result.current.told).toBe('Made again: rubber below the master, on Mould'),
  );
  expect(hook.result.current.path).toBe('/');
});

test('with nothing to undo nothing is asked', () => {
  const { hook, asked } = history({}, 'mould');
  act(() => hook.result.current.step(-1));
  expect(asked).toEqual([]);
  expect(hook.result.current.told).toBeNull();
});
