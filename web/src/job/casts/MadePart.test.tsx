import { cleanup, screen, waitFor } from '@testing-library/react';
import { afterEach, expect, test, vi } from 'vitest';
import { drawn, job } from '../../testing/job';
import { MadePart } from './MadePart';

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const CAST = {
  number: 1,
  at: 'Mon 1 Mar 7:00',
  who: 'MB',
  mould: 1,
  result: 'GOOD',
  mass: '66.5 g',
  why: '',
  struck: '',
};

interface Sent {
  id: string;
  result: string;
  mould: number;
  mass: string;
  why?: string;
  strikes?: number;
}

function server(casts: object[], lastG = '') {
  const sent: Sent[] = [];
  const answer = () => ({
    usable: casts.length,
    repair: 0,
    scrap: 0,
    cleanings: 0,
    moulds: [
      { mould: 1, casts: casts.length, gives: 40, code: 'K7Q2M' },
      { mould: 2, casts: 0, gives: 40, code: '' },
    ],
    casts,
    lastG,
  });
  vi.stubGlobal('fetch', async (request: Request) => {
    if (request.method === 'POST') {
      sent.push((await request.json()) as Sent);
    }
    return Response.json(answer());
  });
  return sent;
}

test('a cast is counted by one key, one that is no good with its reason', async () => {
  const sent = server([CAST]);
  const { reads, user } = drawn(job({}), <MadePart job={job({})} showPlace={() => undefined} />);
  await screen.findByText(/1 to use; 0 scrap/);
  expect(reads()).toContain('Mould 1 (K7Q2M) gave 1 of about 40.');
  expect(reads()).toContain('1: good · mould 1 · 66.5 g · Mon 1 Mar 7:00 · MB');
  await user.selectOptions(screen.getByLabelText(/out of mould/), '2');
  await user.type(screen.getByLabelText(/weighs/), '67 g');
  await user.click(screen.getByRole('button', { name: 'One more, good' }));
  await waitFor(() => expect(sent).toHaveLength(1));
  expect(sent[0]).toMatchObject({ result: 'GOOD', mould: 2, mass: '67 g' });
  await user.click(screen.getByRole('button', { name: 'Scrap' }));
  expect(sent).toHaveLength(1);
  await user.click(screen.getByRole('button', { name: 'It was not filled.' }));
  await waitFor(() => expect(sent).toHaveLength(2));
  expect(sent[1]).toMatchObject({ result: 'SCRAP', why: 'It was not filled.', mass: '' });
  expect(new Set(sent.map((s) => s.id)).size).toBe(2);
});

test('what was pressed by mistake is struck out, and stays', async () => {
  const sent = server(
    [
      { ...CAST, number: 2 },
      { ...CAST, struck: 'It was another job.' },
    ],
    '66.5 g',
  );
  const { reads, user, written } = drawn(
    job({}),
    <MadePart job={job({})} showPlace={() => undefined} />,
  );
  await screen.findByText(/does not count: It was another job/);
  expect(reads()).toContain('The last one weighed 66.5 g');
  await user.click(screen.getByRole('button', { name: 'Mix by that' }));
  await waitFor(() =>
    expect(written).toEqual(['cast.amount.lastG=66.5 g', 'cast.amount.way=LAST']),
  );
  await user.click(screen.getByRole('button', { name: 'Strike it out' }));
  await user.click(screen.getByRole('button', { name: 'It was pressed by mistake.' }));
  await waitFor(() => expect(sent).toHaveLength(1));
  expect(sent[0]).toMatchObject({
    result: 'STRUCK',
    strikes: 2,
    why: 'It was pressed by mistake.',
  });
});

test('pressed again after no answer came, it is the same cast', async () => {
  const sent = server([CAST]);
  const { user } = drawn(job({}), <MadePart job={job({})} showPlace={() => undefined} />);
  const good = await screen.findByRole('button', { name: 'One more, good' });
  const answers = globalThis.fetch;
  vi.stubGlobal('fetch', async (request: Request) => {
    await answers(request);
    throw new TypeError('the answer is lost');
  });
  await user.click(good);
  await screen.findByText(/does not answer/);
  vi.stubGlobal('fetch', answers);
  await user.click(good);
  await waitFor(() => expect(sent).toHaveLength(2));
  expect(sent[0]?.id).toBe(sent[1]?.id);
  await user.click(good);
  await waitFor(() => expect(sent).toHaveLength(3));
  expect(sent[2]?.id).not.toBe(sent[1]?.id);
});

test('of one that is not good it is asked where', async () => {
  server([
    { ...CAST, number: 2, result: 'SCRAP', why: 'A hole.' },
    { ...CAST, number: 1 },
  ]);
  const asked: number[] = [];
  const at = job({}, {}, { hasShape: true });
  const { user } = drawn(at, <MadePart job={at} showPlace={(n) => asked.push(n)} />);
  const where = await screen.findAllByRole('button', { name: 'Show where' });
  expect(where).toHaveLength(1);
  await user.click(where[0] as HTMLElement);
  expect(asked).toEqual([2]);
});
