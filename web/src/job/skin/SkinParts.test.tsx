import { cleanup, screen, within } from '@testing-library/react';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import type { Job } from '../../api/client';
import { drawn, job } from '../../testing/job';
import { sized } from '../../testing/sized';
import { SkinParts } from './SkinParts';
import type { JobDesk } from '../useJob';

const applied: { word: string; text: string }[] = [];
const DESK = {
  apply: (edits: { word: string; text: string }[]) => applied.push(...edits),
} as unknown as JobDesk;

beforeEach(() => {
  vi.stubGlobal('ResizeObserver', sized(400));
});

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
  applied.length = 0;
});

type Skin = NonNullable<Job['skin']>;

const coat = (number: number, name: string, more: Partial<Skin['coats'][number]> = {}) => ({
  key: `coat.${number}`,
  number,
  name,
  thickness: '2 mm',
  thickener: 'thickened',
  rubber: '',
  cloth: false,
  gap: 'TACKY',
  ...more,
});

const brushing = (number: number, fromMin: number, window: string, missed = '') => ({
  number,
  fromMin,
  toMin: fromMin + 20,
  opensMin: fromMin + 60,
  closesMin: window ? fromMin + 120 : fromMin + 20,
  window,
  missed,
});

const SKIN: Skin = {
  coats: [coat(1, 'detail'), coat(2, 'build'), coat(3, 'smoothing', { gap: '' })],
  clock: {
    coats: [
      brushing(1, 0, '1:00 to 2:00', 'Missed? Let it cure.'),
      brushing(2, 60, '2:00 to 3:00', 'Missed? Let it cure.'),
      brushing(3, 120, ''),
    ],
    days: ['Mon'],
  },
  gaps: [
    { value: 'TACKY', text: 'while tacky' },
    { value: 'SET', text: 'over set rubber' },
  ],
  off: 'is pulled off like a sock',
  partings: [45, 165, 285],
  moved: false,
  stepDegrees: 15,
  needs: ['jacket.need.0'],
};

const FIGURES = {
  'coat.1.volume': '220 mL',
  'coat.1.flat': '218 mL',
  'coat.2.volume': '571 mL',
  'coat.2.flat': '545 mL',
  'coat.3.volume': '267 mL',
  'coat.3.flat': '218 mL',
  'skin.area': '0.218 m²',
  'skin.thinnest': '12 mm',
  'skin.flange': '249 mL',
};

const show = (
  figures: Record<string, string>,
  skin: Partial<Skin> = {},
  set: Record<string, string> = {},
) => {
  const of = job(
    { ...FIGURES, ...figures },
    { 'site.place': 'WORKSHOP', ...set },
    { skin: { ...SKIN, ...skin } },
  );
  return drawn(of, <SkinParts job={of} desk={DESK} />);
};

test('while the room round it is worked out there are no coats', () => {
  const of = job({}, {}, { skin: undefined });
  const { reads } = drawn(of, <SkinParts job={of} desk={DESK} />);
  expect(reads()).toContain('What each coat takes is being worked out');
  expect(screen.queryByRole('table')).toBeNull();
});

test('each coat stands with its rubber beside surface times thickness', () => {
  show({});
  const rows = within(screen.getByLabelText('Coats')).getAllByRole('row');
  expect(rows).toHaveLength(4);
  expect(rows[1]?.textContent).toBe('1 detail2 mm220 mL218 mL');
  expect(screen.queryByText('To mix')).toBeNull();
});

test('weighed, a coat says its parts, and what its sheet leaves open', () => {
  const parts = { 'coat.1.mass': '279 g', 'coat.1.base': '254 g', 'coat.1.hardener': '25 g' };
  show({ ...parts, 'coat.1.thickener': '3 g' });
  const rows = within(screen.getByLabelText('Coats')).getAllByRole('row');
  expect(rows[1]?.textContent).toContain('254 g + 25 g + 3 g');
  expect(rows[2]?.textContent).toContain('its sheet gives no ratio');
});

test('a coat that comes ready has one part, and is taken as it comes or as putty', async () => {
  const thickeners = [
    { value: 'NORMAL', text: 'as it comes' },
    { value: 'PUTTY', text: 'kneaded with starch to a putty' },
  ];
  const parts = { 'coat.1.mass': '279 g', 'coat.1.base': '279 g' };
  const set = { 'skin.buildProduct': 'limpet', 'skin.thickener': 'NORMAL' };
  const of = job({ ...FIGURES, ...parts }, set, { skin: SKIN, thickeners });
  const { user, written } = drawn(of, <SkinParts job={of} desk={DESK} />);
  const rows = within(screen.getByLabelText('Coats')).getAllByRole('row');
  expect(rows[1]?.textContent).toMatch(/279 g$/);
  await user.click(screen.getByRole('button', { name: 'skin.thickener: as it comes' }));
  await user.click(screen.getByRole('button', { name: 'kneaded with starch to a putty' }));
  expect(written).toEqual(['skin.thickener=PUTTY']);
});

test('every gap is chosen on its own, with its window beside it', async () => {
  const { user } = show({});
  const table = within(screen.getByLabelText('When the coats go on')).getByRole('table');
  const rows = within(table).getAllByRole('row');
  expect(rows).toHaveLength(3);
  expect(rows[2]?.textContent).toContain('2:00 to 3:00');
  await user.click(screen.getByRole('button', { name: 'after coat 2: while tacky' }));
  await user.click(screen.getByRole('button', { name: 'over set rubber' }));
  expect(applied).toEqual([{ word: 'skin.gap', text: '2 SET' }]);
});

test('the strip draws a bar for each coat and a window for each but the last', () => {
  show({});
  const strip = screen.getByRole('img', { name: 'When each coat goes on' });
  expect(strip.querySelectorAll('rect.hands')).toHaveLength(3);
  expect(strip.querySelectorAll('rect.window')).toHaveLength(2);
  // what to do once it is missed is said once
  expect(screen.getAllByText('Missed? Let it cure.', { selector: 'p' })).toHaveLength(1);
});

test('without the times of its rubber there is no clock', () => {
  const { reads } = show({}, { clock: undefined });
  expect(reads()).toContain('Choose a rubber whose sheet gives its times');
  expect(screen.queryByRole('img')).toBeNull();
});

test('a jacket moved by hand can be divided where it is best again', async () => {
  const jacket = { 'jacket.sections': '3 sections', 'jacket.need.0': '10' };
  show(jacket);
  expect(screen.queryByText('Divide it where it is best')).toBeNull();
  cleanup();
  const { user, reads } = show({ ...jacket, 'jacket.locators': '12 locators' }, { moved: true });
  await user.click(screen.getByText('Divide it where it is best'));
  expect(applied).toEqual([{ word: 'jacket.even', text: '' }]);
  expect(reads()).toContain('12 locators');
});

test('on a site wind, warmth and trips are asked for', () => {
  const here = show({});
  expect(here.reads()).not.toContain('carried at a time');
  cleanup();
  const out = show(
    { 'site.trips': '3 trips', 'site.bucket': '822 g' },
    {},
    { 'site.place': 'OUTDOORS', 'site.wind': 'a breeze', 'site.tripG': '5 kg' },
  );
  expect(out.reads()).toContain(
    'in a breeze, open, with 5 kg carried at a time: 3 trips, the heaviest bucket 822 g.',
  );
});

test('clay in the recesses comes out again', async () => {
  const { user } = show({ 'skin.plugs': '6.7 mL' });
  await user.click(screen.getByText('Take the clay out of the recesses'));
  expect(applied).toEqual([{ word: 'skin.open', text: '' }]);
});
