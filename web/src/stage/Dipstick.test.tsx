import { cleanup, fireEvent, render, screen, waitFor } from '@testing-library/react';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import type { Reading } from '../api/client';
import { Dipstick } from './Dipstick';
import { holdPointers } from './holdPointers';

const stick = {
  heightMm: 100,
  lineMm: 52,
  masterTopMm: 42,
  ticks: [
    { mm: 0, text: '0' },
    { mm: 50, text: '50' },
    { mm: 100, text: '100' },
  ],
  line: {
    heightMm: 52,
    overTopMm: 10,
    upMm: 52,
    height: '52 mm',
    volume: '242.4 mL',
    mass: '261.8 g',
  },
};

let heights: number[];

beforeEach(() => {
  heights = [];
  vi.stubGlobal('fetch', (request: Request) => {
    const at = Math.round(Number(new URL(request.url).searchParams.get('at')));
    heights.push(at);
    return Promise.resolve(
      new Response(
        JSON.stringify({
          heightMm: at,
          overTopMm: at - 42,
          upMm: at - 5,
          height: `${at} mm`,
          volume: `${at} mL`,
          mass: '',
        }),
        { headers: { 'Content-Type': 'application/json' } },
      ),
    );
  });
});

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

/** Drawn so that a millimetre is two pixels, the plate at y = 300. */
function drawn(parting?: Reading, batches: { number: number; mm: number }[] = []) {
  const dropped: number[] = [];
  const parted: number[] = [];
  const nudged: number[] = [];
  holdPointers();
  render(
    <svg>
      <Dipstick
        jobId="j"
        stick={parting ? { ...stick, parting } : stick}
        x={500}
        wide={40}
        scale={{ x: (mm) => mm, y: (mm) => 300 - 2 * mm }}
        cut="FRONT"
        line={{
          drop: (at) => dropped.push(at.overTopMm),
          nudge: (steps) => nudged.push(steps),
        }}
        parting={{
          drop: (at) => parted.push(at.upMm),
          nudge: (steps) => nudged.push(100 * steps),
        }}
        batches={batches}
      />
    </svg>,
  );
  return { dropped, parted, nudged, handle: screen.getByRole('slider', { name: 'Pour line' }) };
}

test('batch lines stand where each comes up to', () => {
  drawn(undefined, [{ number: 1, mm: 20 }]);
  const line = document.querySelector('.batch line');
  expect(line?.getAttribute('y1')).toBe('260');
  expect(document.querySelector('.batch text')?.textContent).toBe('1');
});

test('says height, volume and mass', () => {
  const { handle } = drawn();
  expect(handle.getAttribute('aria-valuenow')).toBe('52');
  expect(handle.getAttribute('aria-valuetext')).toBe('52 mm, 242.4 mL 261.8 g');
  expect(screen.getByText('50')).toBeTruthy();
});

test('a drag asks the server for each height and ends where it says', async () => {
  const { handle, dropped } = drawn();
  fireEvent.pointerDown(handle, { pointerId: 1, clientY: 196 });
  fireEvent.pointerMove(handle, { pointerId: 1, clientY: 180 });
  await waitFor(() => expect(screen.getByText('60 mm')).toBeTruthy());
  fireEvent.pointerUp(handle, { pointerId: 1, clientY: 160 });
  await waitFor(() => expect(dropped).toEqual([28]));
  expect(heights).toEqual([60, 70]);
});

test('a drag stops at the top of the box', async () => {
  const { handle, dropped } = drawn();
  fireEvent.pointerDown(handle, { pointerId: 1, clientY: 196 });
  fireEvent.pointerUp(handle, { pointerId: 1, clientY: -500 });
  await waitFor(() => expect(dropped).toEqual([58]));
});

test('without an answer the line goes back', async () => {
  vi.stubGlobal('fetch', () => Promise.reject(new TypeError('refused')));
  const { handle, dropped } = drawn();
  fireEvent.pointerDown(handle, { pointerId: 1, clientY: 196 });
  fireEvent.pointerMove(handle, { pointerId: 1, clientY: 180 });
  fireEvent.pointerUp(handle, { pointerId: 1, clientY: 160 });
  await waitFor(() => expect(screen.getByText('52 mm')).toBeTruthy());
  expect(dropped).toEqual([]);
});

test('moving without holding does nothing', () => {
  const { handle, dropped } = drawn();
  fireEvent.pointerMove(handle, { pointerId: 1, clientY: 100 });
  fireEvent.pointerUp(handle, { pointerId: 1, clientY: 100 });
  expect(heights).toEqual([]);
  expect(dropped).toEqual([]);
});

test('arrows nudge, with Shift ten times as far', () => {
  const { handle, nudged } = drawn();
  fireEvent.keyDown(handle, { key: 'ArrowUp' });
  fireEvent.keyDown(handle, { key: 'ArrowDown', shiftKey: true });
  fireEvent.keyDown(handle, { key: 'Enter' });
  expect(nudged).toEqual([1, -10]);
});

test('a mould in parts has a second mark, which drags by itself', async () => {
  const { dropped, parted, nudged } = drawn({ ...stick.line, heightMm: 30, height: '30 mm' });
  const mark = screen.getByRole('slider', { name: 'Parting' });
  expect(mark.getAttribute('aria-valuenow')).toBe('30');
  fireEvent.pointerDown(mark, { pointerId: 1, clientY: 240 });
  fireEvent.pointerUp(mark, { pointerId: 1, clientY: 250 });
  await waitFor(() => expect(parted).toEqual([20]));
  expect(dropped).toEqual([]);
  fireEvent.keyDown(mark, { key: 'ArrowUp' });
  expect(nudged).toEqual([100]);
});
