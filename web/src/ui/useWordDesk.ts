import { useMemo } from 'react';
import type { Edit, WordState } from '../api/client';
import { useInTurn } from './useInTurn';
import type { WordDesk } from './words';

/**
 * The words of something that is saved as it is written, one change after the other.
 *
 * @param words as they stand; undefined while they are not known
 * @param send saves changes; rejects when they are refused
 */
export function useWordDesk(
  words: Record<string, WordState> | undefined,
  send: (edits: Edit[]) => Promise<void>,
  readOnly = false,
): WordDesk | null {
  const inTurn = useInTurn();
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
