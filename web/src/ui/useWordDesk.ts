import { useMemo } from 'react';
import type { Edit } from '../api/client';
import { useInTurn } from './useInTurn';
import type { WordDesk, Words } from './words';

/**
 * The words of something that is saved as it is written, one change after the other.
 *
 * @param of what is changed
 * @param words as they stand; undefined while they are not known
 * @param send saves changes; rejects when they are refused
 */
export function useWordDesk(
  of: string,
  words: Words | undefined,
  send: (edits: Edit[]) => Promise<void>,
  readOnly = false,
): WordDesk | null {
  const inTurn = useInTurn(of);
  return useMemo(() => {
    const edit = (edits: Edit[]) => inTurn(() => send(edits));
    return words
      ? {
          words,
          write: (word, text) => edit([{ word, text }]),
          nudge: (word, nudge) => edit([{ word, nudge }]).catch(() => undefined),
          readOnly,
        }
      : null;
  }, [words, send, readOnly, inTurn]);
}
