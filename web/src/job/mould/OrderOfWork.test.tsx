import { cleanup, screen, within } from '@testing-library/react';
import { afterEach, expect, test } from 'vitest';
import { drawn, figure, job } from '../../testing/job';
import { OrderOfWork } from './OrderOfWork';

afterEach(cleanup);

type Step = ReturnType<typeof job>['order'][number];

const step = (key: string, part: string, more: Partial<Step> = {}): Step => ({
  key,
  part,
  what: `${key} it.`,
  why: '',
  kind: 'HANDS',
  takes: figure('step', '5 min'),
  waits: '',
  cautions: [],
  ...more,
});

test('steps stand under their part of the work, numbered through', () => {
  const all = job({});
  all.cautions = [];
  all.order = [step('fix', 'Box'), step('box', 'Box'), step('pour', 'Pour')];
  all.casting = [step('close', 'A cast')];
  drawn(all, <OrderOfWork job={all} />);
  expect(screen.getAllByRole('heading', { level: 3 }).map((h) => h.textContent)).toEqual([
    'Box',
    'Pour',
    'A cast',
  ]);
  const lists = screen.getAllByRole<HTMLOListElement>('list');
  expect(lists.map((l) => l.start)).toEqual([1, 3, 4]);
});

test('a step says its time, what it waits for, why, and what stands against it', () => {
  const all = job({});
  all.order = [
    step('brush', 'Coats', {
      takes: figure('step', '14 min'),
      waits: '99 min to 3 h after coat 1 was mixed',
      why: 'It bonds while that is sticky.',
      cautions: ['skin.sag'],
    }),
    step('cure', 'Coats', { kind: 'WAIT', takes: figure('step', '7 h') }),
  ];
  all.cautions = [
    { ...CAUTION, id: 'skin.sag', title: 'Build coats run off' },
    { ...CAUTION, id: 'box.bows', title: 'The walls bow' },
  ];
  drawn(all, <OrderOfWork job={all} />);
  const [brush, cure] = screen.getAllByRole('listitem');
  expect(brush?.textContent).toBe(
    'brush it. 99 min to 3 h after coat 1 was mixed. It bonds while that is sticky.' +
      'Build coats run off14 min',
  );
  expect(within(cure as HTMLElement).getByText('7 h')).toBeDefined();
  expect(screen.queryByText('The walls bow')).toBeNull();
});

test('before there is a mould it says so', () => {
  const all = job({});
  drawn(all, <OrderOfWork job={all} />);
  expect(screen.getByText(/Once the mould is known/)).toBeDefined();
});

test('a mould that cannot work has no steps yet', () => {
  const all = job({}, {}, { stopped: 'The mould tears coming off' });
  all.order = [step('pour', 'Pour')];
  drawn(all, <OrderOfWork job={all} />);
  expect(screen.getByText(/once the mould can work/)).toBeDefined();
  expect(screen.queryByRole('listitem')).toBeNull();
});

const CAUTION = { level: 'CHECK', stage: 'mould', text: '', fixes: [] } as unknown as ReturnType<
  typeof job
>['cautions'][number];
