import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { MemoryRouter, Route, Routes } from 'react-router-dom';
import { afterEach, expect, test, vi } from 'vitest';
import { SignInPage } from './SignInPage';

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

test('initials and passphrase are sent; what is refused is said and stays typed', async () => {
  const sent: string[] = [];
  vi.stubGlobal('fetch', (_: string, init: { body: URLSearchParams }) => {
    sent.push(init.body.toString());
    return Promise.resolve(
      sent.length === 1
        ? Response.json({ title: 'Not let in', detail: 'Initials are letters.' }, { status: 401 })
        : new Response(null, { status: 204 }),
    );
  });
  render(
    <QueryClientProvider client={new QueryClient()}>
      <MemoryRouter initialEntries={['/sign-in']}>
        <Routes>
          <Route path="/sign-in" element={<SignInPage />} />
          <Route path="/" element={<p>the shelf</p>} />
        </Routes>
      </MemoryRouter>
    </QueryClientProvider>,
  );
  const user = userEvent.setup();
  await user.type(screen.getByLabelText('Initials'), 'hm');
  await user.type(screen.getByLabelText('Passphrase'), 'wrong words');
  await user.click(screen.getByRole('button', { name: 'Sign in' }));
  expect((await screen.findByRole('alert')).textContent).toBe('Initials are letters.');
  const words = screen.getByLabelText<HTMLInputElement>('Passphrase');
  expect(words.value).toBe('wrong words');
  await user.clear(words);
  await user.type(words, 'tide and timber{Enter}');
  await screen.findByText('the shelf');
  expect(sent[1]).toBe('initials=hm&passphrase=tide+and+timber');
});
