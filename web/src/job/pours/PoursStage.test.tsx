import { cleanup, screen } from '@testing-library/react';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import type { Job } from '../../api/client';
import { drawn, job } from '../../testing/job';
import { PoursStage } from './PoursStage';

/** Batches that are recorded, and what was sent to get there. */
let mixed: {
  id: string;
  number?: number;
  name: string;
  text: string;
  planned: string;
  again: boolean;
}[];
let sent: unknown[];

const record = (more: { number?: number; name?: string; again?: boolean }) => ({
  id: 'm',
  name: '',
  text: '300 g + 345 g',
  planned: '294 g + 345 g',
  again: false,
  ...more,
});

beforeEach(() => {
  mixed = [];
  sent = [];
  vi.stubGlobal('fetch', async (request: Request) => {
    if (request.method === 'POST') {
      const body = (await request.json()) as { batch: number; base: string };
      sent.push(body);
      if (body.base === 'much') {
        return Response.json({ title: 'Not understood', detail: 'not a mass' }, { status: 422 });
      }
      mixed.push(record({ number: body.batch }));
      return Response.json({ mixed, said: '20 g of it were not on the shelf.' });
    }
    if (request.method === 'DELETE') {
      sent.push(new URL(request.url).pathname);
      mixed = [];
    }
    return Response.json(mixed);
  });
});

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const batch = (number: number, of = '') => ({
  number,
  pour: 1,
  batch: number,
  of,
  key: `batch.${String(number)}`,
  base: 'mix.base',
  hardener: 'mix.hardener',
  additives: [],
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

test('a sealing pour is said where it can be asked for', () => {
  const batches = { each: [batch(1)], reason: '', fewer: [] };
  const unset = { ...PICKED, 'rubber.sealingMm': 'nothing' };
  expect(show({ batches }, FIGURES, unset).reads()).toContain(
    'Before that, nothing is poured to seal the joints',
  );
  cleanup();
  const asked = show({ batches }, FIGURES, {
    ...PICKED,
    'rubber.sealingMm': '6 mm',
  } as typeof PICKED);
  expect(asked.reads()).toContain(
    'Before that, 6 mm is poured to seal the joints and left until tacky.',
  );
});

test('under a stop about the mould batches say no weights', () => {
  const { reads } = show({
    stopped: 'The mould tears coming off',
    batches: { each: [batch(1)], reason: '', fewer: [] },
  });
  expect(reads()).toContain('Nothing is weighed for this mould yet: The mould tears coming off.');
  expect(screen.getAllByRole('row')[1]?.textContent).not.toContain('294 g');
});

test('without a rubber nothing is mixed', () => {
  const { reads } = show({}, {}, {} as typeof PICKED);
  expect(reads()).toContain('Choose a rubber on the Rubber stage');
  cleanup();
  expect(show({}, {}).reads()).toContain('Nothing can be weighed yet');
});

test('batches stand with what is known of each, why they are no larger, and what would help', () => {
  const { reads } = show({
    batches: {
      each: [batch(1), batch(2)],
      reason: 'The scale carries no more.',
      fewer: ['1 batch on a larger scale', '1 batch with two who pour'],
    },
  });
  expect(reads()).toContain(': 2 equal batches of 639 g. The scale carries no more.');
  expect(reads()).toContain('It would be 1 batch on a larger scale or 1 batch with two who pour.');
  const heads = screen.getAllByRole('columnheader').map((h) => h.textContent);
  expect(heads).toEqual(['Batch', 'Weigh', 'Fill mark', 'Begin', 'Mixed']);
  const rows = screen.getAllByRole('row');
  expect(rows[2]?.textContent).toContain('294 g + 345 g');
  expect(rows[2]?.textContent).toContain('0:15');
});

test('the coats of a skin are batches of their own', () => {
  const box = { sided: false, ofPipe: false, onPlate: false, poured: false, cupped: false };
  const { reads } = show({
    box,
    batches: { each: [batch(1, 'detail coat')], reason: '', fewer: [] },
  });
  expect(reads()).toContain('Each coat is a batch of its own');
  expect(reads()).not.toContain('equal batches');
  expect(reads()).toContain('1 detail coat');
});

const TWO = { each: [batch(1), batch(2)], reason: '', fewer: [] };

test('a batch is recorded as it was weighed, and the record can be taken back', async () => {
  const { user, reads } = show({ batches: TWO });
  await user.click(screen.getByRole('button', { name: 'Batch 2 is mixed' }));
  await user.type(screen.getByLabelText('First part, as weighed'), '300');
  await user.click(screen.getByRole('button', { name: 'Record' }));
  await user.click(await screen.findByRole('button', { name: 'Remove the record: Batch 2' }));
  await screen.findByRole('button', { name: 'Batch 2 is mixed' });
  expect(sent).toEqual([{ batch: 2, base: '300', hardener: '' }, '/api/jobs/j/mixed/m']);
  expect(reads()).not.toContain('was mixed of');
});

test('what was missing is said, and what is not understood stays typed', async () => {
  const { user, reads } = show({ batches: TWO });
  await user.click(screen.getByRole('button', { name: 'Batch 1 is mixed' }));
  const field = screen.getByLabelText<HTMLInputElement>('First part, as weighed');
  await user.type(field, 'much{Enter}');
  expect((await screen.findByRole('status')).textContent).toBe('not a mass');
  expect(field.value).toBe('much');
  await user.clear(field);
  await user.keyboard('{Enter}');
  await screen.findByText(/20 g of it were not on the shelf/);
  expect(reads()).toContain('Batch 1 was mixed of 300 g + 345 g (planned 294 g + 345 g).');
});

test('records the plan has no batch for any more stay, and one made twice is told', async () => {
  mixed = [record({ name: 'Batch 3' }), { ...record({ number: 1, again: true }), id: 'n' }];
  const { reads } = show({ batches: TWO });
  await screen.findByText(/Batch 3 was mixed of/);
  expect(reads()).toContain('Recorded a second time: batch 1 was mixed of');
  screen.getByRole('button', { name: 'Batch 1 is mixed' });
});
