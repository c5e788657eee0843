import { renderHook } from '@testing-library/react';
import { expect, test } from 'vitest';
import { useInTurn } from './useInTurn';

test('a change waits for the answer to the one before, whether that was made or refused', async () => {
  const { result, rerender } = renderHook(() => useInTurn());
  const begun: string[] = [];
  let answer: (error?: Error) => void = () => undefined;
  const first = result.current(
    () =>
      new Promise<void>((done, fail) => {
        begun.push('first');
        answer = (error) => (error ? fail(error) : done());
      }),
  );
  rerender();
  const second = result.current(() => {
    begun.push('second');
    return Promise.resolve(2);
  });
  await Promise.resolve();
  await Promise.resolve();
  expect(begun).toEqual(['first']);
  answer(new Error('refused'));
  await expect(first).rejects.toThrow('refused');
  expect(await second).toBe(2);
  expect(begun).toEqual(['first', 'second']);
});
