import { useState, type SyntheticEvent } from 'react';
import Button from 'react-bootstrap/Button';
import type { Mixed } from './useMixed';

interface Props {
  number: number;
  mixed: Mixed;
  close: () => void;
}

/** Puts a batch down with what was really weighed, and takes it from the shelf. */
export function PutDown({ number, mixed, close }: Props) {
  const [base, setBase] = useState('');
  const [hardener, setHardener] = useState('');
  const keep = async (e: SyntheticEvent) => {
    e.preventDefault();
    try {
      await mixed.mix(number, base, hardener);
      close();
    } catch {
      // what was typed stays, with what is wrong below
    }
  };
  return (
    <form className="sentence putdown" onSubmit={(e) => void keep(e)}>
      Batch {number} was weighed{' '}
      <input
        className="word"
        aria-label="First part, as weighed"
        placeholder="as planned"
        value={base}
        autoFocus
        onChange={(e) => setBase(e.target.value)}
      />{' '}
      +{' '}
      <input
        className="word"
        aria-label="Second part, as weighed"
        placeholder="as planned"
        value={hardener}
        onChange={(e) => setHardener(e.target.value)}
      />{' '}
      <Button size="sm" type="submit">
        Take it from the shelf
      </Button>{' '}
      <Button size="sm" variant="outline-primary" onClick={close}>
        Not yet
      </Button>
    </form>
  );
}

/** What a batch was really mixed of, once it is. */
export function Done({ number, mixed }: { number: number; mixed: Mixed }) {
  const done = mixed.of(number);
  if (!done) {
    return null;
  }
  return (
    <p className="putdown">
      Batch {number} was mixed of {done.text}.{' '}
      <button
        type="button"
        className="figure"
        aria-label={`Strike batch ${number} out`}
        onClick={() => void mixed.strike(done.id).catch(() => undefined)}
      >
        strike it out
      </button>
    </p>
  );
}
