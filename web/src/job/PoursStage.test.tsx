import { cleanup, screen } from '@testing-library/react';
import { afterEach, expect, test } from 'vitest';
import type { Job } from '../api/client';
import { drawn, job } from '../testing/job';
import { PoursStage } from './PoursStage';

afterEach(cleanup);

const batch = (number: number, of = '') => ({
  number,
  of,
  key: `batch.${String(number)}`,
  base: 'mix.base',
  hardener: 'mix.hardener',
  additive: '',
  build: false,
});

const FIGURES = {
  'mix.base': '294 g',
  'mix.hardener': '345 g',
  'mix.total': '639 g',
  'batch.count': '2 equal batches',
  'batch.minutes': '15 min',
  'rubber.potLife': '53 min',
  'batch.1.fill': '40 mm, jug',
  'batch.2.fill': '40 mm, jug',
  'batch.1.start': '0:00',
  'batch.2.start': '0:15',
};

const PICKED = { 'rubber.product': 'marram-20', 'rubber.bubbles': 'poured high and thin' };

const show = (more: Partial<Job>, figures: Record<string, string> = FIGURES, set = PICKED) => {
  const of = job(figures, set, more);
  return drawn(of, <PoursStage job={of} />);
};

test('without a rubber nothing is mixed', () => {
  const { reads } = show({}, {}, {} as typeof PICKED);
  expect(reads()).toContain('Pick a rubber on the Rubber stage');
  cleanup();
  expect(show({}, {}).reads()).toContain('Nothing can be weighed yet');
});

test('batches stand with what is known of each, why they are no larger, and what would help', () => {
  const { reads } = show({
    batches: {
      each: [batch(1), batch(2)],
      reason: 'The scale carries no more.',
      fewer: ['1 batch on a larger scale', '1 batch with two who pour'],
      pourMm3: 1e6,
    },
  });
  expect(reads()).toContain('(2 equal batches) of 639 g. The scale carries no more.');
  expect(reads()).toContain('It would be 1 batch on a larger scale or 1 batch with two who pour.');
  const heads = screen.getAllByRole('columnheader').map((h) => h.textContent);
  expect(heads).toEqual(['Batch', 'Weigh', 'Fill mark', 'Begin']);
  const rows = screen.getAllByRole('row');
  expect(rows[2]?.textContent).toContain('294 g + 345 g');
  expect(rows[2]?.textContent).toContain('0:15');
});

test('the coats of a skin are batches of their own', () => {
  const box = { sided: false, ofPipe: false, onPlate: false, poured: false };
  const { reads } = show({
    box,
    batches: { each: [batch(1, 'detail coat')], reason: '', fewer: [], pourMm3: 1e6 },
  });
  expect(reads()).toContain('Each coat is a batch of its own');
  expect(reads()).not.toContain('equal batches');
  expect(reads()).toContain('1 detail coat');
});
