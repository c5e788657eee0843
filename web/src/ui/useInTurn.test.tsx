import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { renderHook } from '@testing-library/react';
import { expect, test, vi } from 'vitest';
import { useInTurn } from './useInTurn';

test('a change waits for the answer to the one before, whether that was made or refused', async () => {
  const queries = new QueryClient();
  const { result, rerender } = renderHook(() => useInTurn('any'), {
    wrapper: ({ children }) => (
      <QueryClientProvider client={queries}>{children}</QueryClientProvider>
    ),
  });
  const begun: string[] = [];
  let answer: (error?: Error) => void = () => undefined;
  const first = result.current(
    () =>
      new Promise<void>((done, fail) => {
        begun.push('first');
        answer = (error) => {
          begun.push('answered');
          if (error) {
            fail(error);
          } else {
            done();
          }
        };
      }),
  );
  rerender();
  const second = result.current(() => {
    begun.push('second');
    return Promise.resolve(2);
  });
  await vi.waitFor(() => expect(begun).toEqual(['first']));
  answer(new Error('refused'));
  await expect(first).rejects.toThrow('refused');
  expect(await second).toBe(2);
  expect(begun).toEqual(['first', 'answered', 'second']);
});
