import { expect, test } from 'vitest';
import type { Drawing } from '../api/client';
import { marginsOf, scaleOf } from './scale';

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
    const s = scaleOf(drawing, w, h, marginsOf(drawing, w, []), true);
    expect(s.x(10) - s.x(0)).toBeCloseTo(s.y(0) - s.y(10), 9);
  }
});

test('the drawing stays inside its room', () => {
  const s = scaleOf(drawing, 700, 640, marginsOf(drawing, 700, []), true);
  expect(s.x(drawing.left)).toBeGreaterThanOrEqual(80);
  expect(s.x(drawing.right)).toBeLessThanOrEqual(700 - 170);
  expect(s.y(drawing.top)).toBeGreaterThanOrEqual(20);
  expect(s.y(drawing.bottom)).toBeLessThanOrEqual(640 - 60);
});

test('heights stand beside each other with room for their texts, also on a phone', () => {
  const height = (row: number, text: string): Drawing['dimensions'][number] => ({
    side: 'LEFT',
    row,
    of: 'HEIGHT',
    from: 0,
    to: 60,
    text,
  });
  const tall = { ...drawing, dimensions: [height(1, '10 mm'), height(2, '76 mm')] };
  const m = marginsOf(tall, 390, ['26.2 US fl oz']);
  const s = scaleOf(tall, 390, 250, m, true);
  const [near, far] = m.rows;
  expect((far ?? 0) - (near ?? 0)).toBeGreaterThan(5 * 7);
  expect(s.x(tall.left) - (far ?? 0) - 5 * 7).toBeGreaterThanOrEqual(0);
  expect(s.x(tall.right)).toBeLessThanOrEqual(390 - m.beside);
});
