import { cleanup } from '@testing-library/react';
import { afterEach, expect, test } from 'vitest';
import type { Job } from '../../api/client';
import { drawn, job } from '../../testing/job';
import { Parts } from './Parts';

afterEach(cleanup);

const PARTS: Job['parts'] = [
  { text: 'the coats', state: 'KNOWN', why: '' },
  { text: 'the jacket', state: 'BEING_WORKED_OUT', why: '' },
  { text: 'air that stays', state: 'CANNOT_BE_KNOWN', why: 'Only measures are known.' },
  { text: 'what locks the master', state: 'CANNOT_BE_KNOWN', why: 'Only measures are known.' },
];

test('what is not known is said, with the reason once', () => {
  const of = job({}, {}, { parts: PARTS });
  const { reads } = drawn(of, <Parts job={of} all />);
  expect(reads()).toBe(
    'Being worked out: the jacket.' +
      'Not known: air that stays, what locks the master. Only measures are known.',
  );
});

test('where nothing hangs on it only what is coming is said', () => {
  const of = job({}, {}, { parts: PARTS });
  const { reads } = drawn(of, <Parts job={of} all={false} />);
  expect(reads()).toBe('Being worked out: the jacket.');
});

test('when all is known nothing is said', () => {
  const of = job({}, {}, { parts: PARTS.slice(0, 1) });
  const { reads } = drawn(of, <Parts job={of} all />);
  expect(reads()).toBe('');
});
