import { useState } from 'react';

interface Props {
  what: string;
  leave: (why: string) => void;
  close: () => void;
}

const REASONS = ['It was done before.', 'This master does not need it.'];

/** Why a step is not done: two answers by one key, or typed. */
export function LeaveOut({ what, leave, close }: Props) {
  const [typed, setTyped] = useState('');
  return (
    <form
      className="keypad"
      onSubmit={(e) => {
        e.preventDefault();
        leave(typed);
      }}
    >
      <p>Why is this left out? “{what}”</p>
      {REASONS.map((r) => (
        <button type="button" className="reason" key={r} onClick={() => leave(r)}>
          {r}
        </button>
      ))}
      <label>
        <span>Another reason</span>
        <input value={typed} maxLength={200} onChange={(e) => setTyped(e.target.value)} />
      </label>
      <div className="keypaddone">
        <button type="button" onClick={close}>
          Close
        </button>
        <button type="submit" className="main" disabled={typed.trim() === ''}>
          Leave it out
        </button>
      </div>
    </form>
  );
}
