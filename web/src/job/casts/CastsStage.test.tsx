import { cleanup, screen, waitFor } from '@testing-library/react';
import { afterEach, expect, test, vi } from 'vitest';
import { drawn, job } from '../../testing/job';
import { CastsDrawing } from './CastsDrawing';
import { CastsStage } from './CastsStage';
import type { JobDesk } from '../useJob';

const RUNS = {
  amount: '',
  closing: 'Lay 1.20 kg on a board over all of it, or put bands round two boards.',
  packs: ['A pack of Oyster, opened 1 May 2026, was good until 29 Aug 2026.'],
  missing: '',
  startMs: 0,
  start: 'Wed 3 Mar 8:28',
  each: '8 min to mix and pour',
  rows: [1, 2].map((moulds) => ({
    moulds,
    used: moulds + 1,
    done: `Mon ${8 - moulds} Mar`,
    promise: `Tue ${9 - moulds} Mar`,
    cost: '',
    each: '',
    heldUp: 'moulds',
    chosen: moulds === 1,
  })),
  points: [1, 2, 3].map((casts) => ({
    casts,
    soonMs: 900 * casts,
    ms: 1000 * casts,
    lateMs: 1200 * casts,
  })),
  days: [{ ms: 2000, text: '4 Mar' }],
  deedsOn: '3 Mar',
  deeds: [{ at: '8:28', what: 'fill mould 1' }],
};

const MADE = { usable: 0, repair: 0, scrap: 0, cleanings: 0, moulds: [], casts: [], lastG: '' };

const DESK = {} as unknown as JobDesk;

function serves(runs: object) {
  vi.stubGlobal('fetch', (request: Request) =>
    Promise.resolve(
      Response.json(
        request.url.endsWith('/made')
          ? MADE
          : request.url.endsWith('/runs')
            ? []
            : { ...RUNS, ...runs },
      ),
    ),
  );
}

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const casts = (shown: Parameters<typeof job>[0], written: Parameters<typeof job>[1] = {}) =>
  job(shown, {
    'cast.product': 'Oyster',
    'cast.amount.way': 'MODEL',
    'cast.amount.lossPct': '6 %',
    'cast.wanted': '3 casts',
    'rubber.moulds': 'one mould',
    'cast.series.perMix': '1 mould',
    'cast.series.scrapPct': '5 %',
    'cast.series.spreadPct': '20 %',
    ...written,
  });

const print = vi.fn();

test('a cast is weighed in two parts, and the moulds are chosen by when all are done', async () => {
  serves({});
  const at = casts({
    'cast.first': '82.3 g',
    'cast.second': '74.0 g',
    'cast.mixed': '148 mL',
    'cast.opens': '2.33 kg',
  });
  const { reads, user, written } = drawn(
    at,
    <CastsStage job={at} showPlace={() => undefined} print={print} />,
  );
  await screen.findByText('Mon 7 Mar', { selector: 'strong' });
  expect(reads()).toContain('82.3 gcast.first');
  expect(reads()).toContain('Lay 1.20 kg on a board over all of it');
  expect(reads()).toContain('was good until 29 Aug 2026');
  expect(reads()).toContain('Promise Tue 8 Mar: nine times of ten');
  expect(reads()).not.toContain('it held');
  expect(screen.getByRole('row', { name: /^1 of 2 in all/ }).className).toBe('chosen');
  await user.click(screen.getByRole('button', { name: '2' }));
  await waitFor(() => expect(written).toEqual(['rubber.moulds=2']));
});

test('what is missing is said in its place', async () => {
  serves({ amount: 'A density is missing.', missing: 'Say how many.', rows: [], points: [] });
  const at = casts({}, { 'cast.amount.way': 'HELD', 'cast.amount.heldMm3': '?' });
  const { reads } = drawn(
    at,
    <>
      <CastsStage job={at} showPlace={() => undefined} print={print} />
      <CastsDrawing job={at} desk={DESK} showing={null} show={() => undefined} />
    </>,
  );
  await screen.findByText('Say how many.');
  expect(reads()).toContain('A density is missing.');
  expect(reads()).toContain('it held');
  expect(reads()).toContain('drawn here once their number is known');
  expect(screen.queryByText('Keeping it shut')).toBeNull();
});

test('casts against time rise in steps, and are said', async () => {
  serves({});
  const at = casts({});
  drawn(at, <CastsDrawing job={at} desk={DESK} showing={null} show={() => undefined} />);
  const plot = await screen.findByRole('img');
  expect(plot.getAttribute('aria-label')).toContain('3 casts, half of the time done by Mon 7 Mar');
  const line = plot.querySelector('.middle')?.getAttribute('points')?.split(' ') ?? [];
  expect(line).toHaveLength(7);
  const [x1, x2] = [line[1], line[2]].map((p) => p?.split(',')[0]);
  expect(x1).toBe(x2);
  expect(plot.textContent).toContain('4 Mar');
});

test('what is done when, a price and the factor of own casts are told', async () => {
  serves({ factor: { factor: '0.78', said: 'by 4 jobs of your own' } });
  const at = casts(
    { 'cast.price': '€ 12.40', 'cast.bubble': '59 %', 'cast.fill': '20 %', 'cast.also': '2 g' },
    { 'cast.amount.way': 'WEIGHT', 'cast.amount.filler.dosePct': '2 %' },
  );
  const { reads, written, user } = drawn(
    at,
    <CastsStage job={at} showPlace={() => undefined} print={print} />,
  );
  await screen.findByText(/What is done when on 3 Mar/);
  expect(reads()).toContain('8:28 fill mould 1');
  expect(reads()).toContain('The price of one: € 12.40.');
  expect(reads()).toContain('A bubble shrinks to 59 % of its width.');
  expect(reads()).toContain('It foams up');
  expect(reads()).toContain('It is 0.78 by 4 jobs of your own.');
  await user.click(screen.getByRole('button', { name: 'Take 0.78' }));
  expect(written).toEqual(['cast.amount.factor=0.78']);
});

test('one mix fills as many moulds as it is said to, from the one that is picked', async () => {
  const begun: string[] = [];
  vi.stubGlobal('fetch', (request: Request) => {
    if (request.method === 'POST') {
      begun.push(new URL(request.url).search);
      return Promise.resolve(Response.json({ detail: 'no plan' }, { status: 409 }));
    }
    return Promise.resolve(
      Response.json(
        request.url.endsWith('/made')
          ? {
              ...MADE,
              moulds: [1, 2, 3].map((mould) => ({
                mould,
                casts: 0,
                gives: 40,
                filled: [mould, (mould % 3) + 1],
              })),
            }
          : request.url.endsWith('/runs')
            ? [{ id: 'r7', job: 'j', name: 'Lid', begun: '7:05', moulds: [2], presses: '' }]
            : RUNS,
      ),
    );
  });
  const at = casts({}, { 'cast.series.perMix': '2 moulds' });
  const { reads, user } = drawn(
    at,
    <CastsStage job={at} showPlace={() => undefined} print={print} />,
  );
  await screen.findByText(/Mould 2: begun 7:05/);
  const picks = screen.getByLabelText(/begin with mould/);
  await user.selectOptions(picks, '3');
  await user.click(screen.getByRole('button', { name: 'Fill moulds 3 and 1' }));
  await screen.findByText(/It was not begun/);
  expect(begun).toEqual(['?moulds=3%2C1']);
  expect(reads()).toContain('Go on');
  await user.click(screen.getByRole('button', { name: 'Print run sheet' }));
  expect(print).toHaveBeenLastCalledWith('casts/sheet.pdf');
});
