import { useQueryClient } from '@tanstack/react-query';
import { useCallback, useEffect, useRef, useState } from 'react';
import { client, Problem, unwrap, type Act } from '../api/client';
import { actStore, runStore, type KeptAct } from './browserStore';
import { newId } from './newId';
import { runQuery } from './runQueries';

/** Until it is tried again to deliver what waits, ms. */
const AGAIN = 1000;

/** An answer that takes longer never comes: delivered once more it still happens once, ms. */
const ANSWERED = 8000;

/** What is wrong with a deed itself; anything else, such as having to sign in again, waits. */
const REFUSED = [400, 404, 409, 422];

export type Doing = Omit<Act, 'id' | 'agoMs' | 'who'>;

/**
 * What is done at this screen: kept by the browser first, then delivered one by one in order. What
 * the server refuses is told and not tried again; what does not reach it waits.
 */
export function useActs(run: string, who: string, answered = ANSWERED) {
  const queries = useQueryClient();
  const [waiting, setWaiting] = useState<KeptAct[]>([]);
  const [refused, setRefused] = useState<string | null>(null);
  const sending = useRef(false);

  const deliver = useCallback(async () => {
    if (sending.current) {
      return;
    }
    sending.current = true;
    try {
      for (;;) {
        const all = await actStore.of(run);
        // another page of this browser delivers too: what it delivered waits here no longer
        setWaiting((was) => {
          const still = was.filter((w) => all.some((a) => a.number === w.number));
          return still.length === was.length ? was : still;
        });
        const first = all[0];
        if (first?.number === undefined) {
          return;
        }
        try {
          const now = await unwrap(
            client.POST('/api/runs/{id}/acts', {
              params: { path: { id: run } },
              body: { ...first.act, agoMs: Math.max(0, Date.now() - first.at) },
              signal: AbortSignal.timeout(answered),
            }),
          );
          queries.setQueryData(runQuery(run).queryKey, now);
          runStore.keep(now);
        } catch (e) {
          if (!(e instanceof Problem) || !REFUSED.includes(e.status)) {
            setWaiting(all);
            return;
          }
          setRefused(`${first.text}: ${e.message}`);
        }
        await actStore.remove(first.number);
      }
    } finally {
      sending.current = false;
    }
  }, [queries, run, answered]);

  const act = useCallback(
    async (doing: Doing, text: string) => {
      setRefused(null);
      await actStore.add({
        run,
        text,
        at: Date.now(),
        act: { ...doing, id: newId(), who, agoMs: 0 },
      });
      await deliver();
    },
    [deliver, run, who],
  );

  // what waited from before, and what does not get through
  useEffect(() => {
    void actStore.of(run).then(setWaiting);
    const again = setInterval(() => void deliver(), AGAIN);
    return () => clearInterval(again);
  }, [deliver, run]);

  return { act, waiting, refused, dismiss: () => setRefused(null) };
}
