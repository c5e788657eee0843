import { createContext, useContext } from 'react';
import type { WordKey, WordState } from '../api/client';

/** Of whatever has words: a job, a data sheet, a pack, the workshop. */
export type Words = { [key in WordKey]?: WordState };

/** The changeable words of whatever the page shows, and how to change them. */
export interface WordDesk {
  words: Words;
  /** Resolves when saved; rejects with a Problem when refused. */
  write: (word: WordKey, text: string) => Promise<unknown>;
  nudge: (word: WordKey, steps: number) => Promise<unknown>;
  readOnly?: boolean;
}

export const WordContext = createContext<WordDesk | null>(null);

export function useWords(): WordDesk {
  const desk = useContext(WordContext);
  if (!desk) {
    throw new Error('A word stands outside any sentence');
  }
  return desk;
}
