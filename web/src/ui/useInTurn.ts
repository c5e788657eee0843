import { useCallback, useRef } from 'react';

/**
 * Sends changes one after the other, each begun when the one before is answered, so that quick
 * typing never trips over itself.
 */
export function useInTurn() {
  const line = useRef<Promise<unknown>>(Promise.resolve());
  return useCallback(<T>(send: () => Promise<T>): Promise<T> => {
    const turn = line.current.then(send);
    line.current = turn.catch(() => undefined);
    return turn;
  }, []);
}
