import { createContext, useContext } from 'react';
import type { WordState } from '../api/client';

/** The changeable words of whatever the page shows, and how to change them. */
export interface WordDesk {
  words: Record<string, WordState>;
  /** Resolves when saved; rejects with a Problem when refused. */
  write: (word: string, text: string) => Promise<unknown>;
  nudge: (word: string, steps: number) => Promise<unknown>;
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
