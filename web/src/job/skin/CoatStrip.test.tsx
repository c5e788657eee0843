import { cleanup, render, screen } from '@testing-library/react';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { sized } from '../../testing/sized';
import { CoatStrip } from './CoatStrip';

beforeEach(() => {
  vi.stubGlobal('ResizeObserver', sized(434));
});

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const coat = (number: number, fromMin: number, toMin: number, window?: [number, number]) => ({
  number,
  fromMin,
  toMin,
  opensMin: window?.[0] ?? toMin,
  closesMin: window?.[1] ?? toMin,
  window: '',
  missed: '',
});

const draw = (...clock: ReturnType<typeof coat>[]) => {
  render(<CoatStrip clock={{ coats: clock, days: ['Mon', 'Tue'] }} />);
  const strip = screen.getByRole('img');
  const bars = (kind: string) =>
    [...strip.querySelectorAll(`rect.${kind}`)].map((r) => ({
      x: Number(r.getAttribute('x')),
      width: Number(r.getAttribute('width')),
    }));
  const times = [...strip.querySelectorAll('text')].map((t) => t.textContent);
  return { bars, times };
};

test('a minute is a pixel here, work and window side by side', () => {
  const { bars } = draw(coat(1, 480, 500, [540, 880]), coat(2, 540, 560));
  expect(bars('hands')).toEqual([
    { x: 26, width: 20 },
    { x: 86, width: 20 },
  ]);
  expect(bars('window')).toEqual([{ x: 86, width: 340 }]);
});

test('nights take no room', () => {
  const morning = (24 + 8) * 60;
  const { bars, times } = draw(
    coat(1, 480, 540, [morning, morning + 540]),
    coat(2, morning, morning + 60),
  );
  const [first, second] = bars('hands');
  // nine hours of the first day lie between them, not twenty-four
  expect((second?.x ?? 0) - (first?.x ?? 0)).toBeCloseTo(9 * (first?.width ?? 0), 6);
  expect(times.some((t) => t.startsWith('Tue '))).toBe(true);
});

test('what takes no time can still be seen', () => {
  const { bars } = draw(coat(1, 480, 480, [540, 880]), coat(2, 880, 880));
  expect(bars('hands').every((b) => b.width >= 2)).toBe(true);
});
