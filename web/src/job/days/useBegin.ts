import { useEffect, useRef, useState } from 'react';
import { client, unwrap } from '../../api/client';

export interface Cost {
  begin: string;
  finish: string;
  later: number;
  fits: boolean;
}

/** What another beginning would cost, while it is dragged: the last one asked for counts. */
export function useBegin(id: string) {
  const [at, setAt] = useState<string | null>(null);
  const [cost, setCost] = useState<Cost | null>(null);
  const asked = useRef(0);
  useEffect(() => {
    if (at === null) {
      return;
    }
    const turn = ++asked.current;
    const stop = new AbortController();
    unwrap(
      client.GET('/api/jobs/{id}/days/begun', {
        params: { path: { id }, query: { begin: at } },
        signal: stop.signal,
      }),
    ).then(
      (then) => {
        if (turn === asked.current) {
          setCost(then);
        }
      },
      () => undefined,
    );
    return () => stop.abort();
  }, [id, at]);
  return {
    at,
    cost: at === null ? null : cost,
    move: setAt,
    end: () => {
      setAt(null);
      setCost(null);
    },
  };
}

/** What a change of the finish comes to, in words. */
export function laterBy(minutes: number) {
  const by = Math.round(Math.abs(minutes));
  if (by === 0) {
    return 'the finish stays';
  }
  const hours = Math.floor(by / 60);
  const text = hours >= 48 ? `${Math.round(hours / 24)} days` : span(hours, by % 60);
  return minutes > 0 ? `${text} later` : `${text} sooner`;
}

function span(hours: number, min: number) {
  const parts = [hours > 0 ? `${hours} h` : '', min > 0 ? `${min} min` : ''];
  return parts.filter((p) => p !== '').join(' ');
}
