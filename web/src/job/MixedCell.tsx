import { useState, type SyntheticEvent } from 'react';
import Button from 'react-bootstrap/Button';
import type { Mixed } from './useMixed';

/** Whether a batch is mixed: put down with what was really weighed, or struck out again. */
export function MixedCell({ number, mixed }: { number: number; mixed: Mixed }) {
  const [open, setOpen] = useState(false);
  const [base, setBase] = useState('');
  const [hardener, setHardener] = useState('');
  const done = mixed.of(number);
  if (done) {
    return (
      <>
        {done.text}{' '}
        <button
          type="button"
          className="figure"
          aria-label={`Strike batch ${number} out`}
          onClick={() => void mixed.strike(done.id).catch(() => undefined)}
        >
          strike out
        </button>
      </>
    );
  }
  if (!open) {
    return (
      <Button
        size="sm"
        variant="outline-primary"
        aria-label={`Batch ${number} is mixed`}
        onClick={() => setOpen(true)}
      >
        Put down
      </Button>
    );
  }
  const keep = async (e: SyntheticEvent) => {
    e.preventDefault();
    try {
      await mixed.mix(number, base, hardener);
      setOpen(false);
    } catch {
      // what was typed stays, with what is wrong below the table
    }
  };
  return (
    <form className="putdown" onSubmit={(e) => void keep(e)}>
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
      />
      <Button size="sm" type="submit">
        Take it from the shelf
      </Button>
      <Button size="sm" variant="outline-primary" onClick={() => setOpen(false)}>
        Not yet
      </Button>
    </form>
  );
}
