import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { render } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { ReactNode } from 'react';
import { MemoryRouter } from 'react-router-dom';
import type { Figure, Job, JobFigure, JobWord, WordState } from '../api/client';
import type { components } from '../api/schema';
import { WordContext } from '../ui/words';
import contract from '../../../api/openapi.json';

export function figure(key: string, text: string): Figure {
  return {
    key,
    label: key,
    value: 1,
    text,
    exact: text,
    working: { formula: 'as it is', givens: [], steps: [], rounding: '', plusMinus: '' },
  };
}

/** Figures by their keys, each shown as given. */
export function figures<K extends string>(shown: { [key in K]?: string }) {
  return Object.fromEntries(
    Object.entries<string | undefined>(shown).map(([key, text]) => [key, figure(key, text ?? '')]),
  ) as { [key in K]?: Figure };
}

type Lists = 'JobWord' | 'ProductWord' | 'LotWord' | 'WorkshopWord' | 'MouldWord';

/** All words of a list of the contract: those named stand as given, all others are open. */
export function words<L extends Lists>(
  list: L,
  set: { [key in components['schemas'][L]]?: string },
): { [key in components['schemas'][L]]?: WordState } {
  const given: Record<string, string | undefined> = set;
  const all = contract.components.schemas[list].enum.map((key): [string, WordState] => [
    key,
    {
      label: key,
      kind: 'length',
      text: given[key] ?? 'open',
      exact: given[key] ?? 'open',
      unset: given[key] === undefined,
      assumed: false,
      clearable: true,
      value: given[key] ?? '',
      options: [],
    },
  ]);
  return Object.fromEntries(all) as { [key in components['schemas'][L]]?: WordState };
}

/** A job with so much of it that a stage can be drawn. */
export function job(
  shown: { [key in JobFigure]?: string },
  set: { [key in JobWord]?: string } = {},
  more: Partial<Job> = {},
): Job {
  return {
    id: 'j',
    version: 3,
    hasShape: true,
    figures: figures(shown),
    words: words('JobWord', set),
    order: [],
    casting: [],
    packs: [],
    rubbers: [],
    sealants: [],
    thickeners: [],
    casts: [],
    catalysts: [],
    touching: [],
    parts: [],
    batches: { each: [], reason: '', fewer: [] },
    measures: [],
    marks: [],
    cautions: [],
    undecided: [],
    solids: [],
    assumed: [],
    stopped: '',
    stages: {},
    ratioSentence: '',
    shapeKey: 's',
    box: { sided: true, ofPipe: false, onPlate: true, poured: true, cupped: false },
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
