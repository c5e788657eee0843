import { expect, test } from 'vitest';
import type { Drawing } from '../api/client';
import { DIPSTICK, scaleOf } from './scale';

const drawing: Drawing = {
  cut: 'FRONT',
  at: 0,
  from: -40,
  to: 40,
  left: -72,
  right: 72,
  bottom: -6,
  top: 67,
  shapes: [],
  dimensions: [],
};

test('a millimetre is as long across as it is up', () => {
  for (const [w, h] of [
    [700, 640],
    [500, 300],
    [300, 900],
  ] as const) {
    const s = scaleOf(drawing, w, h, DIPSTICK);
    expect(s.x(10) - s.x(0)).toBeCloseTo(s.y(0) - s.y(10), 9);
  }
});

test('the drawing stays inside its room', () => {
  const s = scaleOf(drawing, 700, 640, DIPSTICK);
  expect(s.x(drawing.left)).toBeGreaterThanOrEqual(80);
  expect(s.x(drawing.right)).toBeLessThanOrEqual(700 - 170);
  expect(s.y(drawing.top)).toBeGreaterThanOrEqual(20);
  expect(s.y(drawing.bottom)).toBeLessThanOrEqual(640 - 60);
});
