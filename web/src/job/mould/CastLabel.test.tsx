import { cleanup, fireEvent, screen } from '@testing-library/react';
import { afterEach, expect, test, vi } from 'vitest';
import type { Job } from '../../api/client';
import { drawn, job } from '../../testing/job';
import { CastLabel } from './CastLabel';
import type { JobDesk } from '../useJob';

const apply = vi.fn();
const DESK = { apply } as unknown as JobDesk;

afterEach(() => {
  cleanup();
  apply.mockReset();
  vi.unstubAllGlobals();
});

/** What the library answers when it is asked for a code. */
const shelf = (codes: string[]) =>
  vi.stubGlobal('fetch', () =>
    Promise.resolve(Response.json({ moulds: codes.map((code) => ({ code })), all: codes.length })),
  );

const WORDS = {
  'label.place': 'on a wall',
  'label.letterMm': '5 mm',
  'label.text': 'its code, the date and what a cast takes',
  'label.code': 'K7F3M',
};

const labelled = (more: Partial<Job> = {}) =>
  job({ 'label.size': '49 × 19.3 × 2.3 mm', 'label.volume': '1.5 mL' }, WORDS, {
    castLabel: {
      where: 'on the left wall, in the middle of it, 26 mm above the base',
      lines: ['K7F3M', '184.8 mL'],
      widthMm: 49,
      heightMm: 19.3,
      letters: 'M0 0L1 0L1 1Z',
    },
    ...more,
  });

const show = (of: Job) => drawn(of, <CastLabel job={of} desk={DESK} />);

test('without a label there is only the word to have one', () => {
  shelf([]);
  const of = job({}, { 'label.place': 'no label' });
  const { reads } = show({
    ...of,
    words: { ...of.words, 'label.place': { ...of.words['label.place'], value: 'NONE' } },
  } as Job);
  expect(reads()).toBe('Cast into the rubber: no label.');
});

test('it is shown as it reads in the rubber, with where it is set', () => {
  shelf([]);
  const { reads } = show(labelled());
  expect(screen.getByRole('img').getAttribute('aria-label')).toBe(
    'As it reads in the rubber: K7F3M, 184.8 mL',
  );
  expect(reads()).toContain('A label is set on a wall, in capitals 5 mm high.');
  expect(reads()).toContain('It is set on the left wall, in the middle of it');
  expect(screen.getByText('3MF').getAttribute('href')).toBe('/api/jobs/j/label.3mf');
});

test('where there is no room nothing is shown that could be printed', () => {
  shelf([]);
  const { reads } = show(labelled({ castLabel: undefined }));
  expect(screen.queryByRole('img')).toBeNull();
  expect(reads()).not.toContain('STL');
});

test('a code that a mould has is not for the next one', async () => {
  shelf(['K7F3M']);
  show(labelled());
  fireEvent.click(await screen.findByText('take another for the next'));
  expect(apply).toHaveBeenCalledWith([{ word: 'label.code', text: '' }]);
});
