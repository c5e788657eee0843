import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { MemoryRouter } from 'react-router-dom';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import type { Job } from '../../api/client';
import type { JobDesk } from '../useJob';
import { Diagnosis } from './Diagnosis';

interface Sent {
  path: string;
  body: { seen?: string; cast?: number; answers?: Record<string, string>; cause?: string };
}

let sent: Sent[];
let cases: object[];

const cause = (name: string, points: number, forIt: string[]) => ({
  cause: name,
  text: name.replaceAll('_', ' '),
  score: String(points),
  begins: '2',
  points,
  forIt,
  against: [],
  now: 'Warm it.',
  next: 'Warm the room.',
  stage: 'days',
  fix: { label: 'Set a vent there', price: '', edits: [{ word: 'casting.vent', text: '3 0 0' }] },
  habit: { word: 'roomC', text: 'room temperature', now: '21 °C' },
});

beforeEach(() => {
  sent = [];
  cases = [];
  vi.stubGlobal('fetch', async (request: Request) => {
    const path = new URL(request.url).pathname.replace('/api/jobs/j1/', '');
    if (request.method === 'POST') {
      const body = (await request.json()) as Sent['body'] & { wasIt?: boolean };
      sent.push({ path, body });
      if (path.endsWith('/outcome')) {
        cases = cases.map((c) => ({ ...c, wasIt: body.wasIt }));
      } else if (path.endsWith('/cases')) {
        cases = [{ id: 'c1', at: 'Mon 1 Mar', who: 'AK', seen: 'soft', cast: 2, cause: 'Cold' }];
      } else {
        const cold = body.answers?.roomC !== undefined;
        return Response.json({
          known: [{ fact: 'secondCup', text: 'a second cup' }],
          place: { x: 1, y: 2, z: 3, told: ['No air stays in a cast.', 'It is thin here.'] },
          causes: cold
            ? [cause('TOO_COLD', 4, ['the room was cold (+2)']), cause('SHORT', 2, [])]
            : [cause('SHORT', 2, []), cause('TOO_COLD', 2, [])],
          questions: cold
            ? []
            : [
                { fact: 'roomC', text: 'How warm was it?', answers: [], unit: '°C' },
                {
                  fact: 'witness',
                  text: 'Is the cup hard?',
                  answers: [{ text: 'hard', facts: { witness: 'hard' } }],
                  unit: '',
                },
              ],
        });
      }
    }
    return Response.json(
      path.endsWith('made')
        ? {
            casts: [
              { number: 2, struck: '' },
              { number: 1, struck: 'twice' },
            ],
          }
        : { seen: [{ seen: 'SOFT', text: 'soft rubber' }], cases },
    );
  });
});

const apply = vi.fn();
const DESK = { apply } as unknown as JobDesk;

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

function show(at: string) {
  render(
    <QueryClientProvider client={new QueryClient()}>
      <MemoryRouter initialEntries={[at]}>
        <Diagnosis job={{ id: 'j1' } as unknown as Job} desk={DESK} />
      </MemoryRouter>
    </QueryClientProvider>,
  );
  return userEvent.setup();
}

const first = () => document.querySelector('.causes > li')?.textContent;

test('the record is read first, and an answer turns the order', async () => {
  const user = show('/');
  await user.click(await screen.findByRole('button', { name: /what is wrong/ }));
  await user.click(screen.getByRole('button', { name: 'soft rubber' }));
  await screen.findByText('On record: a second cup.');
  expect(sent[0]?.body).toEqual({ seen: 'SOFT', cast: 0, answers: {} });
  expect(first()).toContain('SHORT');
  await user.type(screen.getByRole('textbox', { name: 'How warm was it?' }), '14,5');
  await user.click(screen.getByRole('button', { name: 'Say so' }));
  await waitFor(() => expect(first()).toContain('TOO COLD'));
  expect(sent[1]?.body.answers).toEqual({ roomC: '14.5' });
  expect(first()).toContain('for it: the room was cold (+2)');
  expect(first()).toContain('4 points: 2 to begin with, and');
  screen.getByText(/How warm was it\? 14,5 °C/);
  expect(screen.getByRole('link', { name: 'Change it on Days' }).getAttribute('href')).toBe(
    '/jobs/j1/days',
  );
});

test('what it was taken for is kept with its cast, and whether it was that', async () => {
  const user = show('/?seen=SOFT&cast=2');
  await screen.findByRole('button', { name: 'hard' });
  await user.click(screen.getByRole('button', { name: 'hard' }));
  await waitFor(() => expect(sent.at(-1)?.body.answers).toEqual({ witness: 'hard' }));
  await user.click(screen.getAllByRole('button', { name: 'I take it for this' })[0] as HTMLElement);
  await screen.findByText(/Was it that\?/);
  expect(sent.at(-1)).toMatchObject({
    path: 'diagnosis/cases',
    body: { seen: 'SOFT', cast: 2, cause: 'SHORT', answers: { witness: 'hard' } },
  });
  await user.click(screen.getByRole('button', { name: 'Yes, it helped' }));
  await screen.findByText(/It was\./);
  expect(screen.queryByRole('button', { name: 'Yes, it helped' })).toBeNull();
});

test('what changes it is offered, and what the shape makes of the place is told', async () => {
  const user = show('/?seen=SOFT&cast=2');
  await screen.findByText('At the place that was shown: No air stays in a cast. It is thin here.');
  expect(screen.getByRole('link', { name: 'change it there' }).getAttribute('href')).toBe(
    '/workshop#roomC',
  );
  await user.click(screen.getByRole('button', { name: 'Set a vent there' }));
  expect(apply).toHaveBeenCalledWith([{ word: 'casting.vent', text: '3 0 0' }]);
});
