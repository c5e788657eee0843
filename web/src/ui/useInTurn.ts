import { useMutation } from '@tanstack/react-query';
import { useCallback } from 'react';

/**
 * Sends changes one after the other, each begun when the one before is answered, so that quick
 * typing never trips over itself.
 *
 * @param of what is changed: changes of other things do not wait
 */
export function useInTurn(of: string) {
  const { mutateAsync } = useMutation({
    scope: { id: of },
    mutationFn: (send: () => Promise<unknown>) => send(),
  });
  return useCallback(<T>(send: () => Promise<T>) => mutateAsync(send) as Promise<T>, [mutateAsync]);
}
