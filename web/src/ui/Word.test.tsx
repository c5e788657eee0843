import { cleanup, render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, expect, test } from 'vitest';
import { Problem, type WordState } from '../api/client';
import { Word } from './Word';
import { WordContext } from './words';

const wall: WordState = {
  label: 'rubber round the sides',
  kind: 'length',
  text: '12 mm',
  exact: '12 mm',
  unset: false,
  assumed: false,
  clearable: false,
  value: '',
  options: [],
};

afterEach(cleanup);

/** A desk that takes anything but “lots” once it has answered, and remembers what it was asked. */
function sentence(state: WordState = wall, answered: Promise<void> = Promise.resolve()) {
  const asked: string[] = [];
  render(
    <WordContext.Provider
      value={{
        words: {
          'mould.sidesMm': state,
          'mould.overTopMm': { ...wall, label: 'rubber over the top' },
        },
        write: (word, text) => {
          asked.push(`${word}=${text}`);
          return text === 'lots'
            ? Promise.reject(new Problem(422, 'Not understood', 'Write a length.'))
            : answered;
        },
        nudge: (word, steps) => {
          asked.push(`${word}${steps > 0 ? '+' : ''}${steps}`);
          return Promise.resolve();
        },
      }}
    >
      <p>
        leaving <Word k="mould.sidesMm" after="," /> and <Word k="mould.overTopMm" after="." />
      </p>
    </WordContext.Provider>,
  );
  return { asked, user: userEvent.setup() };
}

const word = () => screen.getByRole('button', { name: /round the sides/ });

test('a press opens the word, though the line moves before it is let go', async () => {
  const { user } = sentence();
  await user.pointer({ keys: '[MouseLeft>]', target: word() });
  expect(screen.getByRole('textbox', { name: /round the sides/ })).toBe(document.activeElement);
  await user.pointer({ keys: '[/MouseLeft]', target: document.body });
  expect(screen.getByRole('textbox', { name: /round the sides/ })).toBeTruthy();
});

test('a click opens the word, Enter saves what is typed', async () => {
  const { asked, user } = sentence();
  await user.click(word());
  await user.clear(screen.getByRole('textbox'));
  await user.keyboard('3/8"{Enter}');
  await waitFor(() => expect(screen.queryByRole('textbox')).toBeNull());
  expect(asked).toEqual(['mould.sidesMm=3/8"']);
});

test('what is assumed looks it, and Enter on it as it stands says it', async () => {
  const { asked, user } = sentence({ ...wall, assumed: true });
  expect(word().className).toContain('assumed');
  expect(word().getAttribute('aria-label')).toBe('rubber round the sides: 12 mm, assumed');
  await user.click(word());
  await user.keyboard('{Escape}');
  expect(asked).toEqual([]);
  await user.click(word());
  await user.keyboard('{Enter}');
  expect(asked).toEqual(['mould.sidesMm0']);
});

test('a late answer does not call back whoever went on to the next word', async () => {
  let answer = () => {};
  const { user } = sentence(wall, new Promise((done) => (answer = done)));
  await user.click(word());
  await user.keyboard('14{Enter}');
  await user.click(screen.getByRole('button', { name: /over the top/ }));
  answer();
  await waitFor(() => expect(screen.getAllByRole('textbox')).toHaveLength(1));
  expect(document.activeElement).toBe(screen.getByRole('textbox', { name: /over the top/ }));
});

test('typing on a word replaces it', async () => {
  const { asked, user } = sentence();
  word().focus();
  await user.keyboard('250{Enter}');
  await waitFor(() => expect(asked).toEqual(['mould.sidesMm=250']));
});

test('Escape leaves it as it was', async () => {
  const { asked, user } = sentence();
  await user.click(word());
  await user.keyboard('99{Escape}');
  expect(word().textContent).toBe('12 mm');
  expect(asked).toEqual([]);
});

test('what is refused stays as typed, with the reason', async () => {
  const { user } = sentence();
  await user.click(word());
  await user.clear(screen.getByRole('textbox'));
  await user.keyboard('lots{Enter}');
  expect((await screen.findByRole('alert')).textContent).toBe('Write a length.');
  const input = screen.getByRole<HTMLInputElement>('textbox');
  expect(input.value).toBe('lots');
  expect(input.getAttribute('aria-invalid')).toBe('true');
});

test('Tab saves and goes to the next word', async () => {
  const { asked, user } = sentence();
  await user.click(word());
  await user.clear(screen.getByRole('textbox'));
  await user.keyboard('15');
  await user.tab();
  await waitFor(() => expect(asked).toEqual(['mould.sidesMm=15']));
  expect(document.activeElement?.getAttribute('data-word')).toBe('mould.overTopMm');
});

test('arrows nudge, with Shift ten times as far', async () => {
  const { asked, user } = sentence();
  word().focus();
  await user.keyboard('{ArrowUp}{Shift>}{ArrowDown}{/Shift}');
  expect(asked).toEqual(['mould.sidesMm+1', 'mould.sidesMm-10']);
});

test('a choice offers its options', async () => {
  const { asked, user } = sentence({
    ...wall,
    kind: 'choice',
    text: '6 mm foam board',
    value: 'FOAM',
    options: [
      { value: 'FOAM', text: '6 mm foam board' },
      { value: 'PLY', text: '12 mm ply' },
    ],
  });
  await user.click(word());
  await user.click(screen.getByRole('button', { name: '12 mm ply' }));
  expect(asked).toEqual(['mould.sidesMm=PLY']);
});
