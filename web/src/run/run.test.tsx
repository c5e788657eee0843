import 'fake-indexeddb/auto';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { act, cleanup, fireEvent, render, renderHook, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { MemoryRouter, Route, Routes } from 'react-router-dom';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import type { Run, RunClock, RunLive, RunTask, Weighing } from '../api/client';
import { Clocks, left } from './Clocks';
import { glued } from '../ui/glued';
import { Keypad } from './Keypad';
import { RunPage } from './RunPage';
import { nextOf, comingAfter } from './steps';
import { useMainKey } from './useMainKey';
import { useLive } from './useLive';
import { useRings } from './useRings';

const task = (key: string, kind: RunTask['kind'], more: Partial<RunTask> = {}): RunTask => ({
  key,
  kind,
  part: 'Pour',
  label: key,
  what: `What to do at ${key}.`,
  why: '',
  batch: '',
  status: 'OPEN',
  at: '',
  takes: '',
  first: '',
  opens: '',
  notGood: '',
  shows: [],
  cares: [],
  lot: false,
  pictures: [],
  ...more,
});

const clock = (key: string, fromMs: number, untilMs: number): RunClock => ({
  key,
  what: 'POT_LIFE',
  label: `${key} stays workable`,
  fromMs,
  untilMs,
  from: '10:00',
  until: '10:30',
  rings: [
    { atMs: fromMs + (untilMs - fromMs) / 2, says: `${key}: half is gone.` },
    { atMs: untilMs, says: `${key}: over.` },
  ],
});

const WEIGHING: Weighing = {
  batch: 'pour.1.1',
  part: 'BASE',
  which: 0,
  name: 'base',
  headline: 'Pour base until the mark stands in the green.',
  follows: 'The batch, 423.2 g of base.',
  now: '0.0',
  unit: 'g',
  target: '423.2 g',
  working: { formula: 'as planned', givens: [], steps: [], rounding: '', plusMinus: '' },
  left: '423.2 g to go',
  place: 'UNDER',
  spoilt: false,
  cup: { layers: [{ name: 'base', first: true, top: 0 }], low: 0.4, mark: 0.42, high: 0.44 },
  toZero: false,
};

const RUN: Run = {
  id: 'r1',
  job: 'j1',
  name: 'Finial',
  begun: '7:00',
  version: 1,
  now: 1000,
  next: 'gate',
  done: 0,
  lengthUnit: 'mm',
  massUnit: 'g',
  tasks: [
    task('gate', 'GATE', { status: 'READY' }),
    task('cure', 'WAIT', { takes: '2 h' }),
    task('pour.1.1.weigh', 'WEIGH', { batch: 'pour.1.1' }),
    task('open', 'HANDS'),
  ],
  batches: [
    {
      key: 'pour.1.1',
      name: 'the batch',
      turned: false,
      poured: false,
      first: 'base',
      mayTakeBase: false,
      stillBase: false,
      cup: false,
      expected: '',
    },
  ],
  clocks: [],
  entries: [],
  sharing: [],
  casts: [],
  rehearsal: false,
  speed: 1,
};

const LIVE: RunLive = {
  laden: false,
  version: 1,
  now: 1000,
  scale: '',
  settled: false,
  scaleSays: 'no scale: type it',
  scaleThere: false,
  elsewhere: '',
  others: [],
  room: '',
  gauge: '',
  trend: [],
  clock: '',
  speed: 1,
};

/** What the server sends all screens. */
class Stream {
  static last: Stream | null = null;
  readyState = 1;
  private hear: ((e: { data: string }) => void) | null = null;
  private fail: (() => void) | null = null;
  constructor(readonly url: string) {
    Stream.last = this;
  }
  addEventListener(type: string, hear: (e: { data: string }) => void) {
    if (type === 'message') {
      this.hear = hear;
    } else {
      this.fail = hear as () => void;
    }
  }
  close() {
    this.hear = null;
  }
  /** It was answered with an error: the browser gives it up. */
  refuse() {
    this.readyState = 2;
    act(() => this.fail?.());
  }
  say(live: Partial<RunLive>) {
    act(() => this.hear?.({ data: JSON.stringify({ ...LIVE, ...live }) }));
  }
}

beforeEach(() => {
  vi.stubGlobal('EventSource', Stream);
  localStorage.clear();
});

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
  vi.useRealTimers();
});

function open(run: Partial<Run>) {
  const sent: { kind: string; key?: string; yes?: boolean; value?: string }[] = [];
  vi.stubGlobal('fetch', async (request: Request) => {
    const { pathname } = new URL(request.url);
    if (request.method === 'POST') {
      sent.push((await request.json().catch(() => ({}))) as (typeof sent)[number]);
    }
    return pathname === '/api/devices'
      ? Response.json([])
      : pathname.endsWith('/lots')
        ? Response.json([
            {
              id: 'l1',
              product: 'Marram 20',
              number: '3180-62',
              left: '3\u00a0180 g + 322 g left',
              picked: false,
            },
          ])
        : pathname === '/api/access'
          ? Response.json({ initials: 'AB' })
          : pathname.endsWith('/section')
            ? Response.json({ left: 0, right: 10, top: 10, bottom: 0, shapes: [], dimensions: [] })
            : pathname.endsWith('/score')
              ? Response.json({
                  points: 95,
                  marks: [{ subject: 'GATE', lost: 5, says: 'Skipped: cups ready.' }],
                })
              : pathname.endsWith('/hand')
                ? Response.json({ said: 'done: put 45' })
                : Response.json({ ...RUN, ...run });
  });
  render(
    <QueryClientProvider client={new QueryClient()}>
      <MemoryRouter initialEntries={['/runs/r1']}>
        <Routes>
          <Route path="/runs/:id" element={<RunPage />} />
        </Routes>
      </MemoryRouter>
    </QueryClientProvider>,
  );
  return sent;
}

const at = (next: string) => ({
  next,
  tasks: RUN.tasks.map((t): RunTask => ({ ...t, status: t.key === next ? 'READY' : 'OPEN' })),
});

test('a gate is seen to by any key, or skipped by its own', async () => {
  const sent = open({});
  await screen.findByRole('heading', { name: 'What to do at gate.' });
  await userEvent.keyboard('x');
  await userEvent.click(screen.getByRole('button', { name: 'Skip' }));
  await vi.waitFor(() => expect(sent).toHaveLength(2));
  expect(sent[0]).toMatchObject({ kind: 'GATE', key: 'gate', yes: true, who: 'AB' });
  expect(sent[1]).toMatchObject({ kind: 'GATE', key: 'gate', yes: false });
});

test('a foot ends no wait', async () => {
  const sent = open({
    ...at('cure'),
    clocks: [{ ...clock('cure', 0, 7_200_000), what: 'WAIT', until: '9:00' }],
  });
  await screen.findByText('Come back at 9:00');
  await userEvent.keyboard(' ');
  expect(sent).toHaveLength(0);
  await userEvent.click(screen.getByRole('button', { name: 'It is over already' }));
  await vi.waitFor(() => expect(sent).toMatchObject([{ kind: 'TICK', key: 'cure' }]));
});

test('looking back, what was wrong is struck out with a reason', async () => {
  const entry = { at: '7:01', who: 'AB', counts: true, correctable: true };
  const sent = open({
    ...at('pour.1.1.weigh'),
    tasks: RUN.tasks.map((t): RunTask =>
      t.key === 'gate' ? { ...t, status: 'DONE', at: '7:01' } : t,
    ),
    entries: [
      { ...entry, number: 1, step: 'gate', text: 'Seen to: cups.' },
      { ...entry, number: 2, step: 'other', text: 'Done: other.' },
    ],
  });
  const back = await screen.findByRole('button', { name: 'Back' });
  await userEvent.click(back);
  await userEvent.click(back);
  await userEvent.click(await screen.findByRole('button', { name: 'Strike it out' }));
  expect(screen.getByText('Why does this not count? “Seen to: cups.”')).toBeTruthy();
  await userEvent.click(screen.getByRole('button', { name: 'It was pressed by mistake.' }));
  await vi.waitFor(() =>
    expect(sent).toMatchObject([{ kind: 'CORRECT', number: 1, why: 'It was pressed by mistake.' }]),
  );
});

test('an exercise says what is to be done, and how it went when it is done', async () => {
  open({ rehearsal: true, exercise: { title: 'Mix it', task: 'Weigh one batch.', done: true } });
  expect(await screen.findByText('Mix it.')).toBeTruthy();
  expect(await screen.findByText('Done.')).toBeTruthy();
  expect(await screen.findByText('95')).toBeTruthy();
});

test('a pack is picked by one key where rubber is asked for', async () => {
  const sent = open({
    tasks: RUN.tasks.map((t): RunTask => (t.key === 'gate' ? { ...t, lot: true } : t)),
  });
  const pack = await screen.findByRole('button', { name: /Lot 3180-62/ });
  expect(pack.textContent).toContain('Marram 20, 3\u00a0180\u00a0g + 322\u00a0g left');
  expect(pack.getAttribute('aria-pressed')).toBe('false');
  await userEvent.click(pack);
  await vi.waitFor(() => expect(sent).toMatchObject([{ kind: 'LOT', key: 'l1' }]));
});

test('another scale that is heard is read by one key', async () => {
  const sent = open({ ...at('pour.1.1.weigh'), weighing: WEIGHING });
  await screen.findByRole('button', { name: 'Type the grams' });
  Stream.last?.say({ scale: '0.0 g', others: [{ id: 'd2', name: 'Fine scale' }] });
  await userEvent.click(await screen.findByRole('button', { name: 'Read Fine scale' }));
  await vi.waitFor(() => expect(sent).toMatchObject([{ kind: 'SCALE', key: 'd2' }]));
});

test('without a scale grams are typed by large keys', async () => {
  const sent = open({ ...at('pour.1.1.weigh'), weighing: WEIGHING });
  await userEvent.click(await screen.findByRole('button', { name: 'Type the grams' }));
  for (const key of ['4', '2', '.', '.', '5', 'Take the last digit back', '6']) {
    await userEvent.click(screen.getByRole('button', { name: key }));
  }
  await userEvent.click(screen.getByRole('button', { name: 'Take it' }));
  await vi.waitFor(() =>
    expect(sent).toMatchObject([{ kind: 'GRAMS', key: 'pour.1.1', part: 'BASE', value: '42.6 g' }]),
  );
});

test('a scale that is heard says what is in the cup, and asks for zero first', async () => {
  const sent = open({ ...at('pour.1.1.weigh'), weighing: WEIGHING });
  await screen.findByText('423.2 g to go');
  const scale = { scale: '45.0 g', scaleThere: true, scaleSays: 'scale heard', settled: true };
  // an empty scale is no cup, and no foot goes past it
  Stream.last?.say({ ...scale, laden: false, weighing: { ...WEIGHING, toZero: true } });
  await screen.findByRole('button', { name: 'Put the cup on' });
  fireEvent.keyDown(document.body, { key: ' ' });
  Stream.last?.say({ ...scale, laden: true, weighing: { ...WEIGHING, toZero: true } });
  await vi.waitFor(() => expect(screen.queryByText('Put the cup on')).toBeNull());
  fireEvent.keyDown(document.body, { key: ' ' });
  await vi.waitFor(() => expect(sent).toMatchObject([{ kind: 'TARE' }]));
  Stream.last?.say({
    ...scale,
    settled: false,
    weighing: { ...WEIGHING, now: '431.0', left: '7.8 g too much', place: 'OVER' },
  });
  await screen.findByText('7.8 g too much');
  screen.getByRole('button', { name: 'Settles by itself when the scale is still' });
  // read for another mould it says nothing here, but can be taken over
  Stream.last?.say({ ...scale, elsewhere: 'Bell' });
  await userEvent.click(
    await screen.findByRole('button', { name: 'Scale is at Bell: take it here' }),
  );
  await vi.waitFor(() => expect(sent).toHaveLength(2));
  expect(sent[1]).toMatchObject({ kind: 'SCALE' });
});

test('when the scale falls silent no foot opens the keypad, and a finger types', async () => {
  open({ ...at('pour.1.1.weigh'), weighing: WEIGHING });
  await screen.findByText('423.2 g to go');
  Stream.last?.say({ scale: '12.0 g', laden: true, weighing: { ...WEIGHING, now: '12.0' } });
  await screen.findByRole('button', { name: 'Settles by itself when the scale is still' });
  Stream.last?.say({ scale: '' });
  await screen.findByRole('button', { name: 'The scale is not heard' });
  fireEvent.keyDown(document.body, { key: ' ' });
  expect(document.querySelector('.keypad')).toBeNull();
  await userEvent.click(screen.getByRole('button', { name: 'Type it' }));
  screen.getByRole('button', { name: 'Take it' });
});

test('what waits to be delivered counts as done, until the server says', () => {
  const run = { ...RUN, next: 'gate' };
  expect(nextOf(run, new Set())).toBe('gate');
  expect(nextOf(run, new Set(['gate']))).toBe('pour.1.1.weigh');
  expect(comingAfter(run, 'gate', new Set(['cure'])).map((t) => t.key)).toEqual([
    'pour.1.1.weigh',
    'open',
  ]);
});

test('clocks count down, and on with a minus', () => {
  expect(left(0)).toBe('0:00');
  expect(left(59_001)).toBe('1:00');
  expect(left(3_661_000)).toBe('1:01:01');
  expect(left(-5000)).toBe('−0:05');
  render(<Clocks clocks={[clock('batch 1', 0, 100_000)]} now={85_000} />);
  screen.getByText('0:15');
  expect(screen.getByRole('listitem').className).toBe('late');
});

test('an alarm rings once, and not again when the page is loaded again', () => {
  const sounds = vi.fn();
  vi.stubGlobal(
    'AudioContext',
    class {
      destination = null;
      currentTime = 0;
      createOscillator = () => ({
        frequency: { value: 0 },
        connect: () => ({ connect: () => undefined }),
        start: sounds,
        stop: () => undefined,
      });
      createGain = () => ({ gain: { value: 0 } });
    },
  );
  const clocks = [clock('batch 1', 0, 100_000)];
  const { result, rerender } = renderHook(({ now }) => useRings('r1', clocks, now), {
    initialProps: { now: 49_000 },
  });
  expect(result.current.due).toHaveLength(0);
  rerender({ now: 51_000 });
  rerender({ now: 52_000 });
  expect(result.current.due.map((r) => r.says)).toEqual(['batch 1: half is gone.']);
  expect(sounds).toHaveBeenCalledTimes(3);
  act(() => result.current.put(result.current.due[0]?.id ?? ''));
  expect(result.current.due).toHaveLength(0);
  const again = renderHook(() => useRings('r1', clocks, 53_000));
  expect(again.result.current.due).toHaveLength(0);
  rerender({ now: 100_001 });
  expect(result.current.due.map((r) => r.says)).toEqual(['batch 1: over.']);
});

test('what was pressed with a finger is not pressed again by the foot', () => {
  const main = vi.fn();
  const pressed = vi.fn();
  renderHook(() => useMainKey(main, () => undefined));
  render(<button onClick={pressed}>Skip</button>);
  const skip = screen.getByRole('button', { name: 'Skip' });
  skip.focus();
  fireEvent.click(skip, { detail: 1 });
  fireEvent.keyDown(document.body, { key: ' ' });
  expect(main).toHaveBeenCalledTimes(1);
  expect(pressed).toHaveBeenCalledTimes(1);
  fireEvent.keyDown(document.body, { key: 'Tab' });
  fireEvent.keyDown(document.body, { key: 'a', ctrlKey: true });
  expect(main).toHaveBeenCalledTimes(1);
});

test('the keypad takes what a keyboard types, with its own unit', async () => {
  const take = vi.fn();
  render(<Keypad ask="How much?" unit="g" take={take} close={() => undefined} />);
  await userEvent.type(screen.getByRole('textbox'), '1 lb 2 oz{Enter}');
  expect(take).toHaveBeenCalledWith('1 lb 2 oz');
});

test('a number stays with its unit', () => {
  expect(glued('Read 149.6 mm, then 2 min more')).toBe('Read 149.6\u00a0mm, then 2\u00a0min more');
  expect(glued('12 locators')).toBe('12 locators');
});

test('a rehearsal says that nothing is kept, is hurried, and says how it goes', async () => {
  const sent = open({ ...at('pour.1.1.weigh'), weighing: WEIGHING, rehearsal: true });
  await screen.findByText('Rehearsal: nothing of it is kept.');
  expect(screen.queryByRole('button', { name: 'Add a picture' })).toBeNull();
  await userEvent.click(screen.getByRole('button', { name: '× 60' }));
  await userEvent.click(screen.getByRole('button', { name: 'Put a cup on' }));
  await vi.waitFor(() => expect(sent).toHaveLength(2));
  expect(sent[1]).toMatchObject({ kind: 'SCALE', deed: 'put 45' });
  Stream.last?.say({ speed: 60 });
  expect(screen.getByRole('button', { name: '× 60' }).getAttribute('aria-pressed')).toBe('true');
  await userEvent.click(screen.getByRole('button', { name: 'How does it go?' }));
  await screen.findByText('Skipped: cups ready.');
});

test('a stream that was refused is opened again', async () => {
  open({});
  await screen.findByRole('heading', { level: 1 });
  const first = Stream.last;
  first?.refuse();
  await screen.findByText(/The server is not heard/);
  await vi.waitFor(() => expect(Stream.last).not.toBe(first), 5000);
  Stream.last?.say({});
  await vi.waitFor(() => expect(screen.queryByText(/The server is not heard/)).toBeNull());
});

test('a stream that hangs without a word is opened anew', async () => {
  const { result } = renderHook(() => useLive('r1', 100));
  const first = Stream.last;
  await vi.waitFor(() => expect(Stream.last).not.toBe(first), 5000);
  Stream.last?.say({ scale: '7.0 g' });
  expect(result.current.live?.scale).toBe('7.0 g');
  expect(result.current.lost).toBe(false);
});

/** A cast that is out: only how it came out is open. */
const OUT: Partial<Run> = {
  casts: [2],
  next: 'cast.result.2',
  tasks: [{ ...task('cast.result.2', 'RESULT'), what: 'Look the cast over.' }],
};

test('a cast is counted by one large key, with what the scale shows', async () => {
  const sent = open(OUT);
  await screen.findByText('Finial: cast, mould 2');
  Stream.last?.say({ scale: '66.5 g', settled: true, scaleSays: 'scale heard' });
  await userEvent.click(await screen.findByRole('button', { name: 'It weighs 66.5 g' }));
  await userEvent.click(screen.getByRole('button', { name: 'A good cast, 66.5 g' }));
  await vi.waitFor(() => expect(sent).toHaveLength(1));
  expect(sent[0]).toMatchObject({
    kind: 'RESULT',
    key: 'cast.result.2',
    result: 'GOOD',
    value: '66.5 g',
  });
});

test('scrap is asked why, by keys; a clean-out is not', async () => {
  const sent = open(OUT);
  await userEvent.click(await screen.findByRole('button', { name: 'Scrap' }));
  expect(sent).toHaveLength(0);
  await userEvent.click(screen.getByRole('button', { name: 'It stayed sticky.' }));
  await vi.waitFor(() => expect(sent).toHaveLength(1));
  expect(sent[0]).toMatchObject({ result: 'SCRAP', why: 'It stayed sticky.', value: '' });
  cleanup();
  const cleaned = open({
    casts: [1],
    next: 'cast.clean.1',
    tasks: [task('cast.clean.1', 'RESULT')],
  });
  await userEvent.click(await screen.findByRole('button', { name: 'It is thrown away' }));
  await vi.waitFor(() => expect(cleaned).toHaveLength(1));
  expect(cleaned[0]).toMatchObject({ result: 'CLEANING' });
});

test('after a cast the next is begun from the same moulds', async () => {
  const sent = open({ casts: [1, 2], next: '', tasks: [] });
  expect(await screen.findByText(/counted on the job’s Casts page/)).toBeTruthy();
  expect(screen.getByText('Finial: cast, moulds 1, 2')).toBeTruthy();
  await userEvent.click(screen.getByRole('button', { name: 'Next cast' }));
  await vi.waitFor(() => expect(sent).toHaveLength(2));
});

test('a batch is weighed for another mould by a key that names it', async () => {
  const sent = open({
    ...at('pour.1.1.weigh'),
    weighing: WEIGHING,
    sharing: [{ run: 'r2', mould: 'Lid', amount: '120.0 g' }],
  });
  await userEvent.click(
    await screen.findByRole('button', { name: 'Weigh for Lid too: 120.0 g more' }),
  );
  await vi.waitFor(() => expect(sent).toHaveLength(1));
  expect(sent[0]).toMatchObject({ kind: 'SHARE', key: 'r2' });
});
