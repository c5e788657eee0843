import { useQueryClient } from '@tanstack/react-query';
import { useState, type SyntheticEvent } from 'react';
import Button from 'react-bootstrap/Button';
import { useNavigate } from 'react-router-dom';
import { Problem } from '../api/client';
import { useTitle } from '../app/useTitle';

/** What others on the network see first: the workshop's passphrase, once. */
export function SignInPage() {
  useTitle('Sign in');
  const go = useNavigate();
  const queries = useQueryClient();
  const [initials, setInitials] = useState('');
  const [passphrase, setPassphrase] = useState('');
  const [problem, setProblem] = useState('');
  const send = async (e: SyntheticEvent) => {
    e.preventDefault();
    try {
      const answer = await fetch('/api/sign-in', {
        method: 'POST',
        body: new URLSearchParams({ initials, passphrase }),
      });
      if (!answer.ok) {
        setProblem(Problem.of(answer.status, await answer.json()).message);
        return;
      }
      queries.clear();
      await go('/');
    } catch {
      setProblem(Problem.of(0, null).message);
    }
  };
  return (
    <div className="page">
      <main className="signin">
        <p className="wordmark">ungula</p>
        <h1>Sign in</h1>
        <form className="sentence" onSubmit={(e) => void send(e)}>
          <p>
            I am{' '}
            <input
              className="word"
              aria-label="Initials"
              placeholder="initials"
              maxLength={4}
              autoComplete="username"
              value={initials}
              onChange={(e) => setInitials(e.target.value)}
            />
            , and the workshop’s passphrase is{' '}
            <input
              className="word"
              type="password"
              aria-label="Passphrase"
              autoComplete="current-password"
              value={passphrase}
              onChange={(e) => setPassphrase(e.target.value)}
            />
            .
          </p>
          {problem && (
            <p role="alert" className="count STOP">
              {problem}
            </p>
          )}
          <Button type="submit">Sign in</Button>
        </form>
        <p className="small quiet">
          The passphrase is set at the computer Ungula runs on. This device is remembered for 90
          days.
        </p>
      </main>
    </div>
  );
}
