import { useState } from 'react';

interface Props {
  ask: string;
  /** Answers by one key. */
  usual: string[];
  label: string;
  give: (why: string) => void;
  close: () => void;
}

/** Why something is not done, or does not count: by one key, or typed. */
export function Reason({ ask, usual, label, give, close }: Props) {
  const [typed, setTyped] = useState('');
  return (
    <form
      className="keypad"
      onSubmit={(e) => {
        e.preventDefault();
        give(typed);
      }}
    >
      <p>{ask}</p>
      {usual.map((r) => (
        <button type="button" className="reason" key={r} onClick={() => give(r)}>
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
          {label}
        </button>
      </div>
    </form>
  );
}
