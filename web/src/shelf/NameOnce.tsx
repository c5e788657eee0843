import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import { client, Problem, unwrap } from '../api/client';

interface Props {
  /** What it is called until somebody says. */
  now: string;
  named: () => Promise<unknown>;
}

/** Asks what the workshop is called, until somebody has said. */
export function NameOnce({ now, named }: Props) {
  const [typed, setTyped] = useState('');
  const [problem, setProblem] = useState('');
  const save = async () => {
    try {
      const { version } = await unwrap(client.GET('/api/workshop'));
      const edits = [{ word: 'name', text: typed.trim() || now }];
      await unwrap(client.POST('/api/workshop/edits', { body: { version, edits } }));
      await named();
    } catch (e) {
      setProblem(e instanceof Problem ? e.message : 'The name was not saved. Try again.');
    }
  };
  return (
    <form
      className="nameonce"
      onSubmit={(e) => {
        e.preventDefault();
        void save();
      }}
    >
      <label>
        What is your workshop called?{' '}
        <input
          className="word"
          value={typed}
          maxLength={60}
          placeholder={now}
          onChange={(e) => setTyped(e.target.value)}
        />
      </label>
      <Button type="submit" size="sm">
        {typed.trim() ? 'Save the name' : `Keep “${now}”`}
      </Button>
      {problem && (
        <p className="count STOP" role="alert">
          {problem}
        </p>
      )}
    </form>
  );
}
