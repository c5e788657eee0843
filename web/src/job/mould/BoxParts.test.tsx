import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import type { Edit, Job } from '../../api/client';
import type { JobDesk } from '../useJob';
import { BoxShapes, CutList } from './BoxParts';

const JOB = { id: 'j', version: 1 } as Job;
let edits: Edit[];

const figure = (key: string, text: string) => ({
  key,
  label: key,
  value: 1,
  text,
  exact: text,
  working: { formula: '', givens: [], steps: [], rounding: '', plusMinus: '' },
});

const box = (shape: string, text: string, rubber: string, now: boolean, own = false) => ({
  shape,
  text,
  own,
  now,
  edits: [{ word: 'mould.shape', text: shape }],
  figures: {
    rubber: figure('rubber', rubber),
    saved: figure('saved', '30 % less'),
    thinnest: figure('thinnest', '12 mm'),
    sheet: figure('sheet', '0.1 m²'),
  },
});

beforeEach(() => {
  edits = [];
  vi.stubGlobal('fetch', (request: Request) =>
    Promise.resolve(
      Response.json(
        request.url.endsWith('/shapes')
          ? [
              box('RECTANGLE', 'rectangular box', '1.4 L', true),
              box('OUTLINE', 'box that follows the outline', '950 mL', false),
            ]
          : {
              parts: [
                { name: 'Base', count: 1, size: '156 × 131 mm', note: 'marked' },
                { name: 'Wall', count: 2, size: '104 × 67 mm', note: '' },
              ],
              besides: ['617 mm of joints to seal.'],
            },
      ),
    ),
  );
});

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

function show(part: React.ReactNode) {
  render(<QueryClientProvider client={new QueryClient()}>{part}</QueryClientProvider>);
  return userEvent.setup();
}

test('boxes are compared and one click takes one', async () => {
  const desk = { apply: (all: Edit[]) => edits.push(...all) } as unknown as JobDesk;
  const user = show(<BoxShapes job={JOB} desk={desk} />);
  const take = await screen.findByRole('button', {
    name: 'Choose the box that follows the outline',
  });
  expect(screen.getByRole('row', { name: /follows the outline/ }).textContent).toContain('950 mL');
  const taken = screen.getByRole('button', { name: 'Choose the rectangular box' });
  expect(taken.textContent).toBe('Chosen');
  expect((taken as HTMLButtonElement).disabled).toBe(true);
  await user.click(take);
  expect(edits).toEqual([{ word: 'mould.shape', text: 'OUTLINE' }]);
});

test('what one has can be taken with its size', async () => {
  const size = [
    { word: 'mould.shape', text: 'OWN' },
    { word: 'mould.insideLengthMm', text: '200 mm' },
  ];
  const own = {
    ...box('OWN', 'box you have, 200 × 160 × 120 mm', '1.5 L', false, true),
    edits: size,
  };
  vi.stubGlobal('fetch', () => Promise.resolve(Response.json([own])));
  const desk = { apply: (all: Edit[]) => edits.push(...all) } as unknown as JobDesk;
  const user = show(<BoxShapes job={JOB} desk={desk} />);
  await user.click(
    await screen.findByRole('button', {
      name: 'Choose the box you have, 200 × 160 × 120 mm',
    }),
  );
  expect(edits).toEqual(size);
});

test('the cut list counts pieces alike and is drawn on one page, on pages to glue, for cutters', async () => {
  show(<CutList job={JOB} />);
  expect((await screen.findByRole('row', { name: /2 × Wall/ })).textContent).toContain('104 × 67');
  expect(screen.getByText('617 mm of joints to seal.')).toBeTruthy();
  const links = screen.getAllByRole('button').map((a) => a.getAttribute('href'));
  expect(links).toEqual(
    ['pdf', 'pdf?tiled=true', 'dxf', 'svg'].map((f) => `/api/jobs/j/box/cutlist.${f}`),
  );
});
