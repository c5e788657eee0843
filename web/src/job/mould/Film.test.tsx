import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, fireEvent, render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, expect, test, vi } from 'vitest';
import type { Filling } from '../../api/client';
import { filmed } from '../../viewer/film';
import { Film } from './Film';

/** A square of 10 mm, of which the upper fifth is sealed off when 60 are poured. */
const FILM: Filling = {
  says: 'Full after 80 s.',
  shapes: [
    { role: 'ROOM', rings: [[0, 0, 10, 0, 10, 10, 0, 10]] },
    { role: 'AIR', rings: [[0, 8, 5, 8, 5, 10, 0, 10]] },
  ],
  course: [
    { mm3: 0, afterS: 0, levelMm: 0, alongMm: 3, text: '0 mL, 0 min' },
    { mm3: 40, afterS: 90, levelMm: 5, alongMm: 8, text: '40 mL, 1.5 min' },
    { mm3: 80, afterS: 120, levelMm: 10, alongMm: 13, text: '80 mL, 2 min' },
  ],
  ends: [
    { across: 9, up: 1, late: false, text: 'The last of it arrives here' },
    { across: 1, up: 1, late: true, text: '3 mL here may gel before it is full' },
  ],
  sealed: [{ mm3: 60, across: 2, up: 10, volume: '20 mL' }],
};

let asked: string[] = [];

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

function show(still = false, film = FILM) {
  asked = [];
  vi.stubGlobal('fetch', (request: Request) => {
    asked.push(new URL(request.url).pathname + new URL(request.url).search);
    return Promise.resolve(Response.json(film));
  });
  vi.stubGlobal('matchMedia', () => ({ matches: still }));
  const { container } = render(
    <QueryClientProvider client={new QueryClient()}>
      <Film id="j" version={3} of="CAST" />
    </QueryClientProvider>,
  );
  return {
    user: userEvent.setup(),
    picture: () => container.querySelector('svg'),
    text: () => container.textContent,
  };
}

test('it begins full, and says what stays behind', async () => {
  const { picture, text } = show();
  await screen.findByRole('slider');
  expect(asked).toEqual(['/api/jobs/j/filling?of=CAST']);
  expect(picture()?.dataset).toMatchObject({ level: '10.0', sealed: '1' });
  expect(text()).toContain('80 mL, 2 min');
  expect(text()).toContain('Full after 80 s. 20 mL of air is sealed off.');
});

test('several pockets are told in one sentence', async () => {
  const two = [...FILM.sealed, { mm3: 70, across: 8, up: 10, volume: '5 mL' }];
  const { text } = show(false, { ...FILM, sealed: two });
  await screen.findByRole('slider');
  expect(text()).toContain('Air is sealed off in 2 places: 20 mL, 5 mL.');
});

test('drawn back, the level sinks and nothing is sealed off yet', async () => {
  const { picture, text } = show();
  const slider = await screen.findByRole('slider');
  fireEvent.change(slider, { target: { value: '0.5' } });
  expect(picture()?.dataset).toMatchObject({ level: '5.0', sealed: '0' });
  expect(slider.getAttribute('aria-valuetext')).toBe('40 mL, 1.5 min');
  expect(text()).not.toContain('sealed off');
});

test('the solid is told how high it stands, until nobody watches', async () => {
  show();
  const slider = await screen.findByRole('slider');
  expect(filmed()).toEqual({ of: 'CAST', alongMm: 13 });
  fireEvent.change(slider, { target: { value: '0.5' } });
  expect(filmed()).toEqual({ of: 'CAST', alongMm: 8 });
  cleanup();
  expect(filmed()).toBeNull();
});

test('by time it moves on as slowly as it runs in', async () => {
  const { picture, user, text } = show();
  const slider = await screen.findByRole('slider');
  await user.click(screen.getByRole('button', { name: 'by time' }));
  fireEvent.change(slider, { target: { value: '0.5' } });
  expect(picture()?.dataset.level).toBe('5.0');
  fireEvent.change(slider, { target: { value: '0.8' } });
  expect(picture()?.dataset.level).toBe('10.0');
  expect(screen.getByRole('button', { name: 'by time', pressed: true })).toBeTruthy();
  expect(text()).toContain('may gel before it is full');
  expect(picture()?.querySelectorAll('.end').length).toBe(2);
});

test('it plays from the beginning and pauses; without motion in steps', async () => {
  const { picture, user } = show(true);
  await user.click(await screen.findByRole('button', { name: 'Play' }));
  expect(picture()?.dataset.level).toBe('0.0');
  await waitFor(() => expect(picture()?.dataset.level).toBe('5.0'), { timeout: 3000 });
  await user.click(screen.getByRole('button', { name: 'Pause' }));
  expect(screen.getByRole('button', { name: 'Play' })).toBeTruthy();
});
