import { useState, type SyntheticEvent } from 'react';
import Button from 'react-bootstrap/Button';
import type { Mixed } from './useMixed';

interface Props {
  number: number;
  mixed: Mixed;
  close: () => void;
}

/** Records a batch with what was really weighed, and takes it from the shelf. */
export function RecordBatch({ number, mixed, close }: Props) {
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
        Record
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
  return done ? <Recorded name={`Batch ${number}`} record={done} mixed={mixed} /> : null;
}

/** Records that no batch of the plan stands for any more, and what was recorded twice. */
export function OtherRecords({ mixed }: { mixed: Mixed }) {
  return mixed.others.map((m) => (
    <Recorded
      key={m.id}
      name={m.again ? `Recorded a second time: batch ${m.number ?? ''}` : m.name}
      record={m}
      mixed={mixed}
    />
  ));
}

interface RecordedProps {
  name: string;
  record: Mixed['others'][number];
  mixed: Mixed;
}

function Recorded({ name, record, mixed }: RecordedProps) {
  return (
    <p className="putdown">
      {name} was mixed of {record.text}
      {record.planned && record.planned !== record.text && <> (planned {record.planned})</>}.{' '}
      <button
        type="button"
        className="figure"
        aria-label={`Remove the record: ${name}`}
        onClick={() => void mixed.strike(record.id).catch(() => undefined)}
      >
        remove the record
      </button>
    </p>
  );
}
