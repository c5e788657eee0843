import { useEffect, useRef, useState } from 'react';
import type { RunClock } from '../api/client';
import { ring } from '../days/ring';

const KEPT = 'ungula.rung';

/** What was heard already, kept by the browser: a reload rings no alarm twice. */
function rung(): string[] {
  return JSON.parse(localStorage.getItem(KEPT) ?? '[]') as string[];
}

/** So late an alarm is shown, but no longer heard, ms. */
const LATE = 60_000;

export interface Rung {
  id: string;
  says: string;
}

/** Alarms of clocks that were reached and not put out, the newest first. */
export function useRings(run: string, clocks: RunClock[], now: number) {
  const [out, setOut] = useState(rung);
  const heard = useRef(new Set<string>());
  // of each clock the last it said
  const due = clocks
    .flatMap((c) =>
      c.rings
        .filter((r) => r.atMs <= now)
        .slice(-1)
        .map((r) => ({ id: `${run} ${c.key} ${r.atMs}`, says: r.says, at: r.atMs })),
    )
    .filter((r) => !out.includes(r.id))
    .sort((a, b) => b.at - a.at);
  const newest = due[0];
  useEffect(() => {
    if (newest && !heard.current.has(newest.id)) {
      heard.current.add(newest.id);
      if (now - newest.at < LATE) {
        ring(newest.says);
      }
    }
  }, [newest, now]);
  const put = (id: string) => {
    const all = [...rung(), id].slice(-200);
    localStorage.setItem(KEPT, JSON.stringify(all));
    setOut(all);
  };
  return { due: due.map(({ id, says }): Rung => ({ id, says })), put };
}
