import { cleanup, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, expect, test } from 'vitest';
import type { Caution, Edit, Figure } from '../api/client';
import { CautionList } from './CautionList';
import { FigureText, WorkingText } from './FigureText';
import { Notice } from './Notice';

afterEach(cleanup);

const figure: Figure = {
  key: 'rubber.box',
  label: 'rubber in the box',
  value: 242_432,
  text: '242.4 mL',
  exact: '242.43 mL',
  working: {
    formula: 'rubber = box − master',
    givens: [
      { name: 'box', text: '427.2 mL', source: 'COMPUTED' },
      { name: 'master', text: '184.8 mL', source: 'MEASURED' },
    ],
    steps: ['427.23 mL − 184.80 mL'],
    rounding: 'to 0.1 mL',
    plusMinus: '± 3.0 mL',
  },
};

test('a number opens and closes its arithmetic', async () => {
  const user = userEvent.setup();
  render(<FigureText figure={figure} />);
  const number = screen.getByRole('button', { name: /rubber in the box: 242.4 mL/ });
  expect(number.getAttribute('title')).toBe('242.43 mL');
  await user.click(number);
  expect(screen.getByText('rubber = box − master')).toBeTruthy();
  await user.click(document.body);
  expect(screen.queryByText('rubber = box − master')).toBeNull();
});

test('a number that does not exist is a dash, not a zero', () => {
  const { container } = render(<FigureText figure={undefined} />);
  expect(container.textContent).toBe('–');
  expect(screen.queryByRole('button')).toBeNull();
});

test('the working names each input with its source', () => {
  const { container } = render(<WorkingText figure={figure} />);
  const terms = [...container.querySelectorAll('dt')].map((e) => e.textContent);
  expect(terms).toEqual(['box', 'master']);
  expect(container.textContent).toContain('184.8 mLmeasured');
  expect(container.textContent).toContain('± 3.0 mL · to 0.1 mL');
});

const low: Caution = {
  id: 'pour.low',
  level: 'STOP',
  stage: 'mould',
  title: 'The pour line is 6 mm under the master’s top',
  text: 'The top stays bare.',
  place: { x: 1, y: 2, z: 3 },
  fixes: [
    {
      label: 'Pour 10 mm over the top',
      price: '+130.1 mL rubber',
      edits: [{ word: 'mould.overTopMm', text: '10 mm' }],
    },
    { label: 'Leave it', price: '', edits: [] },
  ],
};

test('a caution says its level, offers its fixes with their price, and points', async () => {
  const user = userEvent.setup();
  const applied: Edit[][] = [];
  const pointed: (string | null)[] = [];
  render(
    <CautionList
      cautions={[{ ...low, id: 'other', stage: 'rubber', title: 'Another', fixes: [] }, low]}
      first="mould"
      pointed="pour.low"
      apply={(edits) => applied.push(edits)}
      point={(id) => pointed.push(id)}
    />,
  );
  // those of the stage come first, each by its number on drawing and sheet
  const [mine, other] = screen.getAllByRole('heading').map((h) => h.textContent);
  expect(mine).toBe(`2Stop${low.title}`);
  expect(other).toBe('1StopAnother');
  const item = screen.getByText(low.title).closest('li');
  expect(item?.className).toContain('pointed');
  const fix = screen.getByRole('button', { name: /Pour 10 mm over the top/ });
  expect(fix.textContent).toContain('+130.1 mL rubber');
  await user.click(fix);
  expect(applied).toEqual([[{ word: 'mould.overTopMm', text: '10 mm' }]]);
  expect(pointed[0]).toBe('pour.low');
  await user.unhover(fix);
  fix.blur();
  expect(pointed.at(-1)).toBeNull();
});

test('a problem is an alert, good news is only said', async () => {
  const user = userEvent.setup();
  let closed = 0;
  let undone = 0;
  render(
    <>
      <Notice title="Changed in another window" text="Look again." close={() => closed++} />
      <Notice
        said
        text="Off the shelf."
        action={{ label: 'Put it back', run: () => undone++ }}
        close={() => undefined}
      />
    </>,
  );
  expect(screen.getByRole('alert').textContent).toContain('Changed in another window. Look again.');
  expect(screen.getByRole('status').textContent).toContain('Off the shelf.');
  await user.click(screen.getAllByRole('button', { name: 'Close' })[0] as HTMLElement);
  await user.click(screen.getByRole('button', { name: 'Put it back' }));
  expect([closed, undone]).toEqual([1, 1]);
});
