import { useQueryClient } from '@tanstack/react-query';
import { useCallback, useEffect, useRef, useState } from 'react';
import { client, Problem, unwrap, type Act } from '../api/client';
import { actStore, runStore, type KeptAct } from './browserStore';
import { newId } from './newId';
import { runQuery } from './runQueries';

/** Until it is tried again to deliver what waits, ms. */
const AGAIN = 1000;

/** What is wrong with a deed itself; anything else, such as having to sign in again, waits. */
const REFUSED = [400, 404, 409, 422];

export type Doing = Omit<Act, 'id' | 'agoMs' | 'who'>;

/**
 * What is done at this screen: kept by the browser first, then delivered one by one in order. What
 * the server refuses is told and not tried again; what does not reach it waits.
 */
export function useActs(run: string, who: string) {
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
      for (let all = await actStore.of(run); all.length > 0; all = await actStore.of(run)) {
        const first = all[0];
        if (first?.number === undefined) {
          return;
        }
        try {
          const now = await unwrap(
            client.POST('/api/runs/{id}/acts', {
              params: { path: { id: run } },
              body: { ...first.act, agoMs: Math.max(0, Date.now() - first.at) },
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
        setWaiting(await actStore.of(run));
      }
    } finally {
      sending.current = false;
    }
  }, [queries, run]);

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
