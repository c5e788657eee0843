import { cleanup, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, expect, test, vi } from 'vitest';
import { Boundary } from './Boundary';

afterEach(() => {
  cleanup();
  vi.restoreAllMocks();
});

test('what goes wrong says so in its place, and is tried again', async () => {
  vi.spyOn(console, 'error').mockImplementation(() => undefined);
  let broken = true;
  function Drawing() {
    if (broken) {
      throw new Error('no such thing');
    }
    return <p>drawn</p>;
  }
  render(
    <>
      <Boundary what="The drawing">
        <Drawing />
      </Boundary>
      <p>the rest</p>
    </>,
  );
  expect(screen.getByRole('alert').textContent).toContain('The drawing cannot be read.');
  expect(screen.getByText('the rest')).toBeTruthy();
  broken = false;
  await userEvent.click(screen.getByRole('button', { name: 'Try again' }));
  expect(screen.getByText('drawn')).toBeTruthy();
});
