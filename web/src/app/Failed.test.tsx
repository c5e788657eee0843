import { act, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { expect, test } from 'vitest';
import { Problem } from '../api/client';
import { Failed } from './Failed';

function reject(reason: unknown): Event {
  const event = Object.assign(new Event('unhandledrejection', { cancelable: true }), { reason });
  act(() => {
    window.dispatchEvent(event);
  });
  return event;
}

test('what was asked for and not done is said until it is closed', async () => {
  render(<Failed />);
  expect(screen.queryByRole('alert')).toBeNull();
  // what is no answer of ours is left to others
  expect(reject(new Error('other')).defaultPrevented).toBe(false);
  expect(screen.queryByRole('alert')).toBeNull();
  expect(reject(new Problem(500, 'Not copied', 'Try it again.')).defaultPrevented).toBe(true);
  expect(screen.getByRole('alert').textContent).toContain('Not copied. Try it again.');
  await userEvent.click(screen.getByRole('button', { name: 'Close' }));
  expect(screen.queryByRole('alert')).toBeNull();
});
