import { cleanup, render, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { afterEach, beforeEach, expect, test } from 'vitest';
import type { Edit, Job } from '../../api/client';
import type { Paint } from '../../viewer/marks';
import { Marks } from './Marks';
import type { JobDesk } from '../useJob';

let edits: Edit[];

beforeEach(() => {
  edits = [];
});

afterEach(cleanup);

const job = {
  marks: [
    { mark: 'KEEP_CLEAN', text: 'keep clean', meaning: 'no vent here', area: '1.5 cm²' },
    { mark: 'THREAD', text: 'thread', meaning: 'unscrews', area: '' },
  ],
} as Job;

function Page() {
  const [paint, setPaint] = useState<Paint | null>(null);
  const desk = { apply: (all: Edit[]) => edits.push(...all) } as unknown as JobDesk;
  return (
    <>
      <Marks job={job} desk={desk} paint={paint} setPaint={setPaint} />
      <output>{JSON.stringify(paint)}</output>
    </>
  );
}

const paint = () => JSON.parse(screen.getByRole('status').textContent) as Paint | null;

test('a mark is taken, its brush chosen, and put down again', async () => {
  const user = userEvent.setup();
  render(<Page />);
  expect(paint()).toBeNull();
  await user.click(screen.getByRole('button', { name: 'Thread' }));
  expect(paint()).toEqual({ mark: 'THREAD', erase: false, brushMm: 6, bendDegrees: 15 });
  await user.click(screen.getByRole('button', { name: 'brush: 6 mm' }));
  await user.click(screen.getByRole('button', { name: '10 mm' }));
  expect(paint()?.brushMm).toBe(10);
  await user.click(screen.getByRole('button', { name: 'Erase instead' }));
  await user.click(screen.getByRole('button', { name: 'Keep clean' }));
  // another mark keeps the brush
  expect(paint()).toEqual({ mark: 'KEEP_CLEAN', erase: true, brushMm: 10, bendDegrees: 15 });
  await user.click(screen.getByRole('button', { name: 'Keep clean' }));
  expect(paint()).toBeNull();
});

test('whole faces are painted up to a bend', async () => {
  const user = userEvent.setup();
  render(<Page />);
  await user.click(screen.getByRole('button', { name: 'Thread' }));
  await user.click(screen.getByRole('button', { name: 'whole faces' }));
  expect(paint()?.brushMm).toBeNull();
  await user.click(screen.getByRole('button', { name: 'bends that belong to a face: 15°' }));
  await user.click(screen.getByRole('button', { name: '30°' }));
  expect(paint()?.bendDegrees).toBe(30);
  await user.click(screen.getByRole('button', { name: 'with a brush' }));
  expect(paint()?.brushMm).toBe(6);
});

test('what is marked says how much, and is erased at once', async () => {
  const user = userEvent.setup();
  render(<Page />);
  const [clean, thread] = screen.getAllByRole('listitem');
  expect(clean?.textContent).toContain('1.5 cm²');
  expect(within(thread as HTMLElement).queryByRole('button', { name: /^Erase all/ })).toBeNull();
  await user.click(screen.getByRole('button', { name: 'Erase all that is marked “keep clean”' }));
  expect(edits).toEqual([{ word: 'marks.none', text: 'KEEP_CLEAN' }]);
});
