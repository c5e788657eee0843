import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import type { Days } from '../../api/client';
import { holdPointers } from '../../stage/holdPointers';
import { sized } from '../../testing/sized';
import { bars, shown } from './axis';
import { Timeline } from './Timeline';

beforeEach(() => {
  vi.stubGlobal('ResizeObserver', sized(716));
  holdPointers();
});

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const figure = {
  key: '',
  label: '',
  value: 0,
  text: '',
  exact: '',
  working: { formula: '', givens: [], steps: [], rounding: '', plusMinus: '' },
};

const step = (
  key: string,
  kind: 'HANDS' | 'WAIT',
  pieces: [number, number, number][],
  group = '',
): Days['steps'][number] => ({
  key,
  kind,
  part: '',
  label: group || key,
  what: `Do ${key}.`,
  group,
  from: '',
  to: '',
  begin: '',
  end: '',
  at: '',
  takes: figure,
  pieces: pieces.map(([day, from, to]) => ({ day, from, to })),
  pinned: false,
});

const day = (date: string, name: string) => ({
  date,
  name,
  text: date,
  today: false,
  hours: [
    { from: 480, to: 720 },
    { from: 780, to: 1020 },
  ],
  taken: [],
});

const DAYS: Days = {
  rule: '',
  begin: 'Mon 1 Mar 8:00',
  held: false,
  told: { hands: figure, waits: figure, finish: { ...figure, label: 'first cast out' } },
  days: [day('2027-03-01', 'Mon'), day('2027-03-02', 'Tue')],
  steps: [
    step('seal', 'HANDS', [[0, 480, 510]]),
    step('weigh', 'HANDS', [[0, 600, 603]], 'pour 1'),
    step('stir', 'HANDS', [[0, 603, 606]], 'pour 1'),
    step('cures', 'WAIT', [
      [0, 606, 1440],
      [1, 0, 480],
    ]),
    step('open', 'HANDS', [[1, 480, 500]]),
  ],
  chain: ['seal', 'weigh', 'stir', 'cures', 'open'],
  notes: [],
  offers: [],
  schools: [],
};

const show = (cost: Parameters<typeof Timeline>[0]['begin']['cost'] = null, stale = false) => {
  const begin = { drag: vi.fn(), drop: vi.fn(), leave: vi.fn(), dragged: null, cost, stale };
  const pick = vi.fn();
  render(
    <Timeline days={DAYS} zoom="hours" setZoom={vi.fn()} picked={null} pick={pick} begin={begin} />,
  );
  return { begin, pick, mark: screen.getByRole('slider', { name: 'Beginning' }) };
};

test('what belongs together is one bar, what lasts over midnight one a day', () => {
  const hands = bars(DAYS, false);
  expect(hands.map((b) => [b.label, b.day, b.from, b.to])).toEqual([
    ['seal', 0, 480, 510],
    ['pour 1', 0, 600, 606],
    ['open', 1, 480, 500],
  ]);
  expect(bars(DAYS, true).map((b) => b.day)).toEqual([0, 1]);
  expect(shown(DAYS, 'hours')).toEqual([420, 1140]);
  expect(shown(DAYS, 'day')).toEqual([0, 1440]);
});

test('every stretch of work can be picked by pointer and key, and names its times', () => {
  const { pick } = show();
  fireEvent.click(screen.getByRole('button', { name: 'pour 1, 10:00 to 10:06' }));
  expect(pick).toHaveBeenLastCalledWith('weigh');
  fireEvent.keyDown(screen.getByRole('button', { name: 'open, 8:00 to 8:20' }), { key: 'Enter' });
  expect(pick).toHaveBeenLastCalledWith('open');
  expect(screen.getByText('back 8:00')).toBeTruthy();
  expect(screen.getByText(/first cast out 8:20/)).toBeTruthy();
});

test('the beginning moves by keys over midnight, and waits while what is shown is old', () => {
  const { begin, mark } = show();
  fireEvent.keyDown(mark, { key: 'ArrowRight' });
  expect(begin.drag).toHaveBeenLastCalledWith('2027-03-01T08:10');
  fireEvent.keyDown(mark, { key: 'PageDown' });
  expect(begin.drag).toHaveBeenLastCalledWith('2027-03-02T08:00');
  fireEvent.keyDown(mark, { key: 'Escape' });
  expect(begin.leave).toHaveBeenCalled();
  cleanup();
  const old = show(null, true);
  fireEvent.keyDown(old.mark, { key: 'ArrowRight' });
  fireEvent.pointerDown(old.mark, { pointerId: 1 });
  fireEvent.pointerMove(old.mark, { pointerId: 1, clientX: 400 });
  expect(old.begin.drag).not.toHaveBeenCalled();
});

test('dragged, it says a time on full ten minutes', () => {
  const { begin, mark } = show();
  fireEvent.pointerDown(mark, { pointerId: 1, clientX: 120, clientY: 60 });
  fireEvent.pointerMove(mark, { pointerId: 1, clientX: 403, clientY: 60 });
  expect(begin.drag).toHaveBeenCalledWith(expect.stringMatching(/^2027-03-01T1\d:\d0$/));
});
