import { cleanup, screen } from '@testing-library/react';
import { useLocation } from 'react-router-dom';
import { afterEach, expect, test } from 'vitest';
import { drawn, job } from '../testing/job';
import type { Edit } from '../api/client';
import { AssumedLine } from './AssumedLine';
import type { JobDesk } from './useJob';

afterEach(cleanup);

function Where() {
  const { pathname, hash } = useLocation();
  return (
    <output>
      {pathname}
      {hash}
    </output>
  );
}

const applied: Edit[][] = [];
const desk = { apply: (edits: Edit[]) => applied.push(edits) } as unknown as JobDesk;

const assumed = [
  {
    word: 'mould.kind',
    stage: 'mould',
    text: 'open mould',
    confirm: { word: 'mould.kind', nudge: 0 },
  },
  { word: undefined, stage: '', text: '21 °C', confirm: undefined },
];

test('what is assumed is confirmed by a tap, or leads to its word', async () => {
  const of = job({}, {}, { assumed });
  const { reads, user } = drawn(
    of,
    <>
      <AssumedLine job={of} desk={desk} />
      <Where />
    </>,
  );
  expect(reads()).toContain('Assumed:open mould21 °C');
  await user.click(screen.getByRole('button', { name: 'open mould' }));
  await user.click(await screen.findByText('Yes, open mould'));
  expect(applied).toEqual([[{ word: 'mould.kind', nudge: 0 }]]);
  await user.click(screen.getByRole('button', { name: 'open mould' }));
  await user.click(await screen.findByText('Change it'));
  expect(screen.getByRole('status').textContent).toBe('/jobs/j/mould#mould.kind');
});

test('the warmth of the room is said on the Workshop page', () => {
  const of = job({}, {}, { assumed });
  drawn(of, <AssumedLine job={of} desk={desk} />);
  expect(screen.getByRole('link', { name: '21 °C' }).getAttribute('href')).toBe('/workshop#roomC');
});

test('what is still to decide comes first, each leading to its word', () => {
  const of = job(
    {},
    {},
    {
      assumed,
      undecided: [
        { word: 'rubber.product', stage: 'rubber', text: 'the rubber' },
        { word: 'master.source', stage: 'master', text: 'the master' },
      ],
    },
  );
  const { reads } = drawn(of, <AssumedLine job={of} desk={desk} />);
  expect(reads()).toContain('To decide:the rubberthe masterAssumed:open mould');
  expect(screen.getByRole('link', { name: 'the rubber' }).getAttribute('href')).toBe(
    '/jobs/j/rubber#rubber.product',
  );
});

test('where all is said the line is gone', () => {
  const of = job({});
  const { reads } = drawn(of, <AssumedLine job={of} desk={desk} />);
  expect(reads()).toBe('');
});
