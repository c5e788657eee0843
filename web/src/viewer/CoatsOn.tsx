import { useEffect, useId, useState } from 'react';
import Button from 'react-bootstrap/Button';
import type { Job } from '../api/client';

export type Coat = NonNullable<Job['skin']>['coats'][number];

/** Each coat is looked at so long as they go on, from when it is drawn. */
const COAT_MS = 1500;

/** How many of a skin's coats are on: drawn back by hand, or going on one after the other. */
export function CoatsOn({
  coats,
  on,
  drawn,
  setOn,
}: {
  coats: Coat[];
  on: number;
  drawn: number;
  setOn: (on: number) => void;
}) {
  const label = useId();
  const [started, setStarted] = useState(false);
  const playing = started && on < coats.length;
  useEffect(() => {
    if (!playing || drawn !== on) {
      return undefined;
    }
    const timer = window.setTimeout(() => setOn(on + 1), COAT_MS);
    return () => window.clearTimeout(timer);
  }, [playing, on, drawn, setOn]);
  const play = () => {
    if (!playing && on === coats.length) {
      setOn(0);
    }
    setStarted(!playing);
  };
  const last = coats[on - 1];
  return (
    <span className="peel">
      <Button size="sm" variant="outline-primary" onClick={play}>
        {playing ? 'Pause' : 'Play'}
      </Button>
      <label htmlFor={label}>coats on</label>
      <input
        id={label}
        type="range"
        min={0}
        max={coats.length}
        value={on}
        onChange={(e) => {
          setStarted(false);
          setOn(Number(e.target.value));
        }}
      />
      {last ? `${on} of ${coats.length}, ${last.name}, ${last.thickness}` : 'none'}
    </span>
  );
}
