import { useEffect, useRef, useState } from 'react';
import { client, unwrap } from '../../api/client';

export interface Cost {
  begin: string;
  says: string;
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
