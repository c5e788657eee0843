import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { act, cleanup, fireEvent, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import type { Approach, Approaches, Edit, Figure, Job } from '../../api/client';
import { ApproachStage } from './ApproachStage';
import { ApproachTable } from './ApproachTable';
import type { ApproachDesk } from './useApproaches';
import type { JobDesk } from '../useJob';

let edits: Edit[];
let asked: string[];
let variants: unknown[];
let saved: () => void;
let partition: unknown;

beforeEach(() => {
  edits = [];
  asked = [];
  variants = [];
  partition = {
    work: { state: 'OPEN', doing: '', fraction: 0, problem: '' },
    says: '',
    pieces: [],
  };
  vi.stubGlobal('fetch', (request: Request) => {
    const url = new URL(request.url);
    asked.push(`${request.method} ${url.pathname}${url.search}`);
    const answer = url.pathname.endsWith('/partition') ? partition : variants;
    return Promise.resolve(Response.json(answer));
  });
});

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

function figure(key: string, text: string): Figure {
  return {
    key,
    label: key,
    value: 1,
    text,
    exact: text,
    working: { formula: 'as it is', givens: [], steps: [], rounding: '', plusMinus: '' },
  };
}

function approach(title: string, more: Partial<Approach>): Approach {
  return {
    kind: 'CUT',
    title,
    picture: '/p',
    now: false,
    reason: '',
    edits: [{ word: 'mould.kind', text: title }],
    figures: { rubber: figure('rubber', `1 L ${title}`) },
    ...more,
  };
}

function show(...approaches: Approach[]) {
  const desk = {
    apply: (all: Edit[]) => edits.push(...all),
    write: (word: string, text: string) => {
      edits.push({ word, text });
      return new Promise<void>((go) => {
        saved = go;
      });
    },
    after: (send: () => Promise<unknown>) => void send(),
    refresh: () => undefined,
  } as unknown as JobDesk;
  const data: Approaches = {
    work: { state: 'READY', doing: '', fraction: 0, problem: '' },
    says: 'Choose the cut mould: it is cheap.',
    approaches,
  };
  const found = { data, working: null } as unknown as ApproachDesk;
  const words = Object.fromEntries(
    ['money', 'time', 'ease', 'finish'].map((k) => [`weights.${k}`, { text: '5 ' }]),
  );
  const job = { id: 'j', version: 3, hasShape: true, words } as unknown as Job;
  render(
    <QueryClientProvider client={new QueryClient()}>
      <ApproachTable approaches={found} desk={desk} />
      <ApproachStage job={job} desk={desk} approaches={found} />
    </QueryClientProvider>,
  );
  return userEvent.setup();
}

test('what works stands side by side, what cannot is listed with the reason', async () => {
  const user = show(
    approach('cut mould, as it stands now', { now: true }),
    approach('two-part mould, upside down', {}),
    approach('open mould, upside down', { reason: 'It has no flat face.' }),
  );
  expect(screen.getByText('Choose the cut mould: it is cheap.')).toBeTruthy();
  expect(screen.getAllByRole('columnheader')).toHaveLength(2);
  expect(screen.getByText('1 L two-part mould, upside down')).toBeTruthy();
  expect(screen.getByText(/It has no flat face/)).toBeTruthy();
  expect(
    screen
      .getByRole('button', { name: 'Choose the cut mould, as it stands now' })
      .hasAttribute('disabled'),
  ).toBe(true);
  await user.click(screen.getByRole('button', { name: 'Choose the two-part mould, upside down' }));
  await user.click(screen.getByRole('button', { name: 'Choose the open mould, upside down' }));
  expect(edits.map((e) => e.text)).toEqual([
    'two-part mould, upside down',
    'open mould, upside down',
  ]);
});

test('a weight is set once its slider is let go, and stays there until it is saved', async () => {
  show(approach('cut mould, as it stands now', {}));
  const money = screen.getByRole('slider', { name: 'money' });
  fireEvent.change(money, { target: { value: '9' } });
  expect(edits).toEqual([]);
  fireEvent.pointerUp(money);
  expect(edits).toEqual([{ word: 'weights.money', text: '9' }]);
  expect(money).toHaveProperty('value', '9');
  await act(() => {
    saved();
    return Promise.resolve();
  });
  expect(money).toHaveProperty('value', '5'); // what the job says, which did not change here
});

test('variants are kept, taken on the version that was seen, and forgotten', async () => {
  variants = [{ id: 'v', name: '1. cut mould', now: false, figures: {}, cautions: 2 }];
  const user = show(approach('cut mould, as it stands now', {}));
  await user.click(await screen.findByRole('button', { name: 'Choose variant 1. cut mould' }));
  await user.click(screen.getByRole('button', { name: 'Remove variant 1. cut mould' }));
  await user.click(screen.getByRole('button', { name: 'Keep the mould as it is now' }));
  expect(asked).toContain('POST /api/jobs/j/variants/v/taken?version=3');
  expect(asked).toContain('DELETE /api/jobs/j/variants/v');
  expect(asked).toContain('POST /api/jobs/j/variants');
});

test('pieces are shown once they are asked for, each with what it frees', async () => {
  const user = show(approach('cut mould, as it stands now', {}));
  const look = await screen.findByRole('button', { name: 'See what each would free' });
  partition = {
    work: { state: 'READY', doing: '', fraction: 1, problem: '' },
    says: 'Two pieces free it.',
    pieces: [
      { pull: 'pulled up', freed: figure('freed', '52 %'), picture: '/p0' },
      { pull: 'pulled down', freed: figure('freed', '99 %'), picture: '/p1' },
    ],
  };
  await user.click(look);
  expect(asked).toContain('POST /api/jobs/j/partition');
  expect(await screen.findByText('Two pieces free it.')).toBeTruthy();
  expect(screen.getByText('1. pulled up')).toBeTruthy();
  expect(screen.getByText('99 %').closest('li')?.textContent).toContain('with it 99 %');
});
