import { act, cleanup, fireEvent, render, screen } from '@testing-library/react';
import { useState, type ReactElement } from 'react';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { CoatsOn, type Coat } from './CoatsOn';

const coat = (number: number, name: string): Coat => ({
  number,
  name,
  cloth: false,
  gap: '',
  key: `coat.${number}`,
  rubber: '100 g',
  thickener: '',
  thickness: '3 mm',
});

/** Coats are drawn at once, up to so many. */
function Held({ upTo }: { upTo: number }) {
  const [on, setOn] = useState(2);
  const coats = [coat(1, 'detail coat'), coat(2, 'build coat')];
  return <CoatsOn coats={coats} on={on} drawn={Math.min(on, upTo)} setOn={setOn} />;
}

let redraw: (ui: ReactElement) => void;

beforeEach(() => {
  vi.useFakeTimers();
  redraw = render(<Held upTo={2} />).rerender;
});

afterEach(() => {
  cleanup();
  vi.useRealTimers();
});

function pass(ms: number) {
  act(() => {
    vi.advanceTimersByTime(ms);
  });
}

const slider = () => screen.getByLabelText<HTMLInputElement>('coats on');

test('played, they go on one after the other from none, and stay on', () => {
  fireEvent.click(screen.getByRole('button', { name: 'Play' }));
  expect(slider().value).toBe('0');
  expect(screen.getByText(/none/)).toBeTruthy();
  pass(1500);
  expect(screen.getByText(/1 of 2, detail coat, 3 mm/)).toBeTruthy();
  pass(1500);
  expect(screen.getByText(/2 of 2, build coat, 3 mm/)).toBeTruthy();
  expect(screen.getByRole('button', { name: 'Play' })).toBeTruthy();
  pass(6000);
  expect(slider().value).toBe('2');
});

test('drawn back by hand, or paused, it stands still', () => {
  fireEvent.change(slider(), { target: { value: '0' } });
  fireEvent.click(screen.getByRole('button', { name: 'Play' }));
  pass(1500);
  fireEvent.click(screen.getByRole('button', { name: 'Pause' }));
  pass(6000);
  expect(slider().value).toBe('1');
  fireEvent.click(screen.getByRole('button', { name: 'Play' }));
  fireEvent.change(slider(), { target: { value: '0' } });
  pass(6000);
  expect(slider().value).toBe('0');
});

test('the next goes on once the last is drawn', () => {
  redraw(<Held upTo={0} />);
  fireEvent.click(screen.getByRole('button', { name: 'Play' }));
  pass(1500);
  expect(slider().value).toBe('1');
  pass(6000);
  expect(slider().value).toBe('1');
  redraw(<Held upTo={2} />);
  pass(1500);
  expect(slider().value).toBe('2');
});
