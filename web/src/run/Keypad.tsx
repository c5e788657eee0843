import { useState } from 'react';

interface Props {
  /** What is asked for, as a question. */
  ask: string;
  /** Of a bare number. */
  unit: string;
  take: (typed: string) => void;
  close: () => void;
}

const KEYS = ['7', '8', '9', '4', '5', '6', '1', '2', '3', '.', '0', '⌫'];

/** Numbers by large keys, for a finger in a glove; a keyboard works as well. */
export function Keypad({ ask, unit, take, close }: Props) {
  const [typed, setTyped] = useState('');
  const press = (key: string) =>
    setTyped((t) => (key === '⌫' ? t.slice(0, -1) : key === '.' && t.includes('.') ? t : t + key));
  const done = () => {
    if (typed.trim() !== '') {
      take(/^[\d.]+$/.test(typed.trim()) ? `${typed.trim()} ${unit}` : typed);
    }
  };
  return (
    <form
      className="keypad"
      onSubmit={(e) => {
        e.preventDefault();
        done();
      }}
    >
      <label>
        <span>{ask}</span>
        <span className="typed">
          <input
            autoFocus
            inputMode="none"
            value={typed}
            onChange={(e) => setTyped(e.target.value)}
            onKeyDown={(e) => {
              if (e.key === 'Escape') {
                close();
              }
            }}
          />
          <b>{unit}</b>
        </span>
      </label>
      <div className="keys">
        {KEYS.map((k) => (
          <button
            type="button"
            key={k}
            aria-label={k === '⌫' ? 'Take the last digit back' : k}
            onClick={() => press(k)}
          >
            {k}
          </button>
        ))}
      </div>
      <div className="keypaddone">
        <button type="button" onClick={close}>
          Close
        </button>
        <button type="submit" className="main" disabled={typed.trim() === ''}>
          Take it
        </button>
      </div>
    </form>
  );
}
