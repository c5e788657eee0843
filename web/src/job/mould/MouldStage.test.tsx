import { cleanup, screen } from '@testing-library/react';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import type { Job } from '../../api/client';
import { drawn, job } from '../../testing/job';
import { MouldStage } from './MouldStage';
import type { JobDesk } from '../useJob';

const DESK = { apply: () => undefined } as unknown as JobDesk;

beforeEach(() => {
  vi.stubGlobal('fetch', (request: Request) =>
    Promise.resolve(
      Response.json(request.url.endsWith('/cutlist') ? { parts: [], besides: [] } : []),
    ),
  );
});

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const show = (of: Job) => drawn(of, <MouldStage job={of} desk={DESK} />);

test('without a master there is no box to speak of', () => {
  const { reads } = show(job({}, {}, { dipstick: undefined }));
  expect(reads()).toContain('The box follows the master.');
  expect(reads()).not.toContain('One mould holds');
});

test('one master on a plate needs no land, several do', () => {
  const alone = show(job({}, { 'plate.copies': '1 copy' }));
  expect(alone.reads()).toContain('One mould holds 1 copy of the master.');
  expect(alone.reads()).not.toContain('between any two');
  cleanup();
  const { reads } = show(
    job(
      { 'plate.masters': '6 masters', 'plate.land': '12.4 mm', 'cast.volume': '147 mL' },
      { 'plate.copies': '2 copies', 'plate.laying': 'close together', 'plate.landMm': '12 mm' },
    ),
  );
  expect(reads()).toContain(
    'One mould holds 2 copies of the master, 6 masters in all, laid close together, with at least 12 mm of rubber between any two (now 12.4 mm).',
  );
  expect(reads()).toContain('All casts of a pour take 147 mL');
});

test('what does not stand on the plate has no plate', () => {
  const { reads } = show(
    job(
      {},
      {},
      { box: { sided: true, ofPipe: false, onPlate: false, poured: true, cupped: false } },
    ),
  );
  expect(reads()).not.toContain('One mould holds');
});

test('a box one has says its inside, and that only its base is cut', () => {
  const own = { 'mould.insideLengthMm': '240 mm', 'mould.insideWidthMm': '160 mm' };
  const { reads } = show(job({ 'box.cost': '€0.37' }, { ...own, 'mould.shape': 'OWN' }));
  expect(reads()).toContain('Inside it is 240 mm long and 160 mm wide.');
  expect(reads()).toContain('leaving at least');
  expect(reads()).toContain('Sheet for the base€0.37');
  expect(reads()).not.toContain('Left');
});

test('of a master hollow from above it says where rubber is poured first', () => {
  const cupped = { sided: true, ofPipe: false, onPlate: true, poured: true, cupped: true };
  const { reads } = show(job({}, { 'mould.filling': 'inside the master first' }, { box: cupped }));
  expect(reads()).toContain('Rubber is poured inside the master first.');
  cleanup();
  expect(show(job({})).reads()).not.toContain('Rubber is poured');
});

test('a solid cast, a core being worked out, one that comes out and one that stays', () => {
  const solid = show(job({ 'cast.volume': '192 mL', 'cast.mass': '211 g' }));
  expect(solid.reads()).toContain('Casts are open. A cast takes 192 mL, 211 g');
  cleanup();
  const set = { 'hollow.wallMm': '3 mm' };
  const open = show(job({}, set));
  expect(open.reads()).toContain(
    'hollow, with a wall of 3 mm. What a cast takes is being worked out',
  );
  expect(open.reads()).not.toContain('A cast takes');
  cleanup();
  const core = { 'core.volume': '141 mL', 'core.pins': '4 pins', 'cast.volume': '51 mL' };
  const comes = show(job({ ...core, 'core.opening': '18.4 cm²', 'core.stretch': '20 %' }, set));
  expect(comes.reads()).toContain(
    'The core takes 141 mL and stands on 4 pins; it is drawn through 18.4 cm² and stretches by 20 %. A cast takes 51 mL',
  );
  cleanup();
  expect(show(job(core, set)).reads()).toContain('stands on 4 pins. A cast takes 51 mL');
});

test('a cast runs in through its sprue, or through the open base', () => {
  const cast = { 'cast.volume': '50 mL', 'fits.pot': 'fits, stood upright' };
  const sprue = show(
    job({ ...cast, 'sprue.diameter': '6 mm', 'sprue.fill': '20 s' }, { 'channels.ventMm': '2 mm' }),
  );
  expect(sprue.reads()).toContain('and fills in 20 s; vents are 2 mm across, open.');
  expect(sprue.reads()).toContain('In the pressure pot the mould: fits, stood upright.');
  cleanup();
  expect(show(job(cast)).reads()).toContain('It is poured in through the open base.');
});

test('halves say what they take, how they meet and what registers them', () => {
  const of = job(
    {
      'parting.upper': '500 mL',
      'parting.lower': '660 mL',
      'parting.locked': 'none',
      'parting.seam': '299 mm',
      'parting.clean': '12 mm',
      'parting.ring': '340 mm',
      'parting.riserLeft': '20 mm',
      'parting.riserRight': '28 mm',
    },
    {
      'parting.line': 'level',
      'parting.ring.offsetMm': '9 mm',
      'parting.ring.widthMm': '6 mm',
      'parting.ring.heightMm': '6 mm',
      'parting.riserLeftMm': 'a tenth of its length',
      'parting.riserRightMm': '24 mm',
    },
    { dipstick: { parting: {} } } as unknown as Partial<Job>,
  );
  const { reads } = show(of);
  expect(reads()).toContain(
    'The upper half takes 500 mL, the lower 660 mL. Locked as they come apart: none.',
  );
  expect(reads()).toContain(
    '12 mm of it on what is to stay clean; the seal ring is 340 mm round, ',
  );
  expect(reads()).toContain('its middle 9 mm off the cavity, 6 mm wide and 6 mm high.');
  expect(reads()).toContain(
    'Risers: 20 mm high, a tenth of its length in from the left end, and 28 mm high,' +
      ' 24 mm in from the right.',
  );
});

test('a cut says where it goes and what still holds', () => {
  const of = job(
    { 'cut.towards': 'the back', 'cut.area': '47 cm²', 'cut.locked': '63.8 mL' },
    { 'cut.extent': 'the other side stays whole as a hinge' },
    { cut: { degrees: 90, stepDegrees: 15 } },
  );
  expect(show(of).reads()).toContain(
    '(the back), and the other side stays whole as a hinge. To cut: 47 cm²',
  );
});

test('boards are a row once the rack says how large they are', async () => {
  const { user, written } = show(
    job({ 'fits.boards': '2 boards of 600 × 400 mm' }, { 'mould.sidesMm': '12 mm' }),
  );
  expect(screen.getByText('2 boards of 600 × 400 mm')).toBeTruthy();
  await user.click(screen.getByRole('button', { name: /mould.sidesMm/ }));
  await user.clear(screen.getByRole('textbox'));
  await user.keyboard('15{Enter}');
  expect(written).toEqual(['mould.sidesMm=15']);
  cleanup();
  show(job({}));
  expect(screen.queryByText(/boards of/)).toBeNull();
});

test('a side of its own is said only when wanted', async () => {
  const { user, reads } = show(job({}));
  expect(reads()).not.toContain('A box you have');
  await user.click(screen.getByRole('button', { name: /Set each side by itself/ }));
  expect(reads()).toContain('A box you have');
  cleanup();
  expect(show(job({}, { 'mould.leftMm': '20 mm' })).reads()).toContain('Left 20 mm, right open,');
});
