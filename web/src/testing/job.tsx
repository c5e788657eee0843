import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { render } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { ReactNode } from 'react';
import { MemoryRouter } from 'react-router-dom';
import type { Figure, Job, WordState } from '../api/client';
import { WordContext } from '../ui/words';
import WORDS from './words.json';

export function figure(key: string, text: string): Figure {
  return {
    key,
    label: key,
    value: 1,
    text,
    exact: text,
    working: { formula: '', givens: [], steps: [], rounding: '', plusMinus: '' },
  };
}

/** Figures by their keys, each shown as given. */
export function figures(shown: Record<string, string>): Record<string, Figure> {
  return Object.fromEntries(Object.entries(shown).map(([key, text]) => [key, figure(key, text)]));
}

/**
 * Every word of a thing, as the core names them (a test there keeps the list): those named stand as
 * given, all others are open. What is no word is refused, as the server would.
 */
export function words(
  set: Record<string, string>,
  of: keyof typeof WORDS = 'job',
): Record<string, WordState> {
  const known = new Set(WORDS[of]);
  const check = (key: string) => {
    if (!known.has(key)) {
      throw new Error(`A ${of} has no word “${key}”.`);
    }
  };
  Object.keys(set).forEach(check);
  const all = WORDS[of].map((key): [string, WordState] => [
    key,
    {
      label: key,
      kind: 'length',
      text: set[key] ?? 'open',
      exact: set[key] ?? 'open',
      unset: set[key] === undefined,
      clearable: true,
      value: set[key] ?? '',
      options: [],
    },
  ]);
  return Object.fromEntries(all);
}

/** A job with so much of it that a stage can be drawn. */
export function job(
  shown: Record<string, string>,
  set: Record<string, string> = {},
  more: Partial<Job> = {},
): Job {
  return {
    id: 'j',
    version: 3,
    hasShape: true,
    figures: figures(shown),
    words: words(set),
    order: [],
    casting: [],
    packs: [],
    rubbers: [],
    casts: [],
    catalysts: [],
    touching: [],
    parts: [],
    batches: { each: [], reason: '', fewer: [] },
    measures: [],
    marks: [],
    stages: {},
    ratioSentence: '',
    shapeKey: 's',
    box: { sided: true, ofPipe: false, onPlate: true, poured: true },
    dipstick: {},
    ...more,
  } as unknown as Job;
}

/** Draws part of a job's page; what is written into its words comes out as “word=text”. */
export function drawn(of: Job, part: ReactNode) {
  const written: string[] = [];
  const desk = {
    words: of.words,
    write: (word: string, text: string) => {
      written.push(`${word}=${text}`);
      return Promise.resolve();
    },
    nudge: () => Promise.resolve(),
  };
  const { container } = render(
    <QueryClientProvider client={new QueryClient()}>
      <MemoryRouter>
        <WordContext.Provider value={desk}>{part}</WordContext.Provider>
      </MemoryRouter>
    </QueryClientProvider>,
  );
  /** All that stands there, as it reads. */
  const reads = () => container.textContent.replace(/\s+/g, ' ');
  return { written, reads, user: userEvent.setup() };
}
