import { cleanup, screen } from '@testing-library/react';
import { useLocation } from 'react-router-dom';
import { afterEach, expect, test } from 'vitest';
import { drawn, job } from '../testing/job';
import { AssumedLine } from './AssumedLine';

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

const assumed = [
  { word: 'mould.kind', stage: 'mould', text: 'open mould', confirm: 'OPEN' },
  { word: null, stage: '', text: '21 °C', confirm: '' },
];

test('what is assumed is confirmed by a tap, or leads to its word', async () => {
  const of = job({}, {}, { assumed } as object);
  const { written, reads, user } = drawn(
    of,
    <>
      <AssumedLine job={of} />
      <Where />
    </>,
  );
  expect(reads()).toContain('Assumed:open mould21 °C');
  await user.click(screen.getByRole('button', { name: 'open mould' }));
  await user.click(await screen.findByText('Yes, open mould'));
  expect(written).toEqual(['mould.kind=OPEN']);
  await user.click(screen.getByRole('button', { name: 'open mould' }));
  await user.click(await screen.findByText('Change it'));
  expect(screen.getByRole('status').textContent).toBe('/jobs/j/mould#mould.kind');
});

test('the warmth of the room is said on the Workshop page', () => {
  const of = job({}, {}, { assumed } as object);
  drawn(of, <AssumedLine job={of} />);
  expect(screen.getByRole('link', { name: '21 °C' }).getAttribute('href')).toBe('/workshop#roomC');
});

test('where all is said the line is gone', () => {
  const of = job({});
  const { reads } = drawn(of, <AssumedLine job={of} />);
  expect(reads()).toBe('');
});
