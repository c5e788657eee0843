import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, expect, test } from 'vitest';
import type { Drawing } from '../api/client';
import { holdPointers } from './holdPointers';
import { Knife } from './Knife';

afterEach(cleanup);

/** Drawn so that a millimetre is a pixel, the middle at (100, 100). */
function drawn(degrees: number, round = false) {
  const dropped: number[] = [];
  holdPointers();
  render(
    <svg>
      <Knife
        label="Way of the cut"
        degrees={degrees}
        step={15}
        drawing={{ left: -50, right: 50, bottom: -40, top: 40 } as Drawing}
        scale={{ x: (mm) => 100 + mm, y: (mm) => 100 - mm }}
        cutting={{ drop: (at) => dropped.push(at) }}
        round={round}
      />
    </svg>,
  );
  return { dropped, knife: screen.getByRole('slider', { name: 'Way of the cut' }) };
}

test('round a skin its handle keeps the same distance all round', () => {
  const at = (degrees: number) => {
    drawn(degrees, true);
    const handle = document.querySelector('path.knife')?.getAttribute('transform') ?? '';
    cleanup();
    const [x = 0, y = 0] = (/translate\(([-\d.]+) ([-\d.]+)\)/.exec(handle) ?? [])
      .slice(1)
      .map(Number);
    return Math.hypot(x - 100, y - 100);
  };
  expect(at(45)).toBeCloseTo(at(0), 6);
});

test('it is dragged round the block in steps', () => {
  const { dropped, knife } = drawn(0);
  fireEvent.pointerDown(knife, { pointerId: 1, clientX: 150, clientY: 100 });
  fireEvent.pointerMove(knife, { pointerId: 1, clientX: 105, clientY: 20 });
  expect(knife.getAttribute('aria-valuenow')).toBe('90');
  fireEvent.pointerUp(knife, { pointerId: 1, clientX: 60, clientY: 141 });
  expect(dropped).toEqual([225]);
});

test('arrows turn it a step', () => {
  const { dropped, knife } = drawn(0);
  fireEvent.keyDown(knife, { key: 'ArrowRight' });
  fireEvent.keyDown(knife, { key: 'ArrowUp' });
  expect(dropped).toEqual([345, 15]);
});
