import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { client, unwrap, type Job, type Study } from '../api/client';
import { useWork } from './useWork';

/** What the page knows of the shape: pictures may be of the state before the last change. */
export interface ShapeDesk {
  study: Study | null;
  /** The pictures are of an earlier state; new ones are being made, or nobody makes them. */
  stale: boolean;
  working: { doing: string; fraction: number } | null;
  /** Stopped or failed: why, in words. */
  ended: string | null;
  stop: () => void;
  again: () => void;
}

/** Has the job's shape studied whenever it changes, and follows how far that is. */
export function useStudy(job: Job | undefined): ShapeDesk {
  const queries = useQueryClient();
  const id = job?.id ?? '';
  const path = { params: { path: { id } } };
  const { data, error, retry, working, stop, again } = useWork<Study>({
    key: ['job', id, 'study', job?.version],
    enabled: job?.hasShape === true,
    look: () => unwrap(client.GET('/api/jobs/{id}/study', path)),
    ask: () => unwrap(client.POST('/api/jobs/{id}/study', path)),
    stop: () => unwrap(client.DELETE('/api/jobs/{id}/study', path)),
    byItself: true,
  });

  // what was last ready stays in the picture, dimmed, until the new one is there
  const [last, setLast] = useState<{ id: string; study: Study } | null>(null);
  const state = data?.work.state;
  if (data && state === 'READY' && data !== last?.study) {
    setLast({ id, study: data });
  }
  const ready = last?.id === id ? last.study : null;
  const known = job?.figures;
  const missing =
    known !== undefined &&
    (known['air.cast'] === undefined ||
      known['cast.volume'] === undefined ||
      (job?.box.poured === false && known['jacket.sections'] === undefined));
  const open = data?.open;
  useEffect(() => {
    if (open !== undefined && missing) {
      // one more answer is known: figures, cautions and sections follow from it
      void queries.invalidateQueries({
        predicate: (q) =>
          q.queryKey[0] === 'job' && q.queryKey[1] === id && q.queryKey[2] !== 'study',
      });
    }
  }, [open, missing, queries, id]);

  const ended = error
    ? `The closer look at the shape cannot be read. ${error.message}`
    : state === 'STOPPED'
      ? 'Stopped. The drawing may be out of date.'
      : state === 'FAILED'
        ? (data?.work.problem ?? '')
        : null;
  return {
    study: ready,
    stale: ready !== null && data !== ready,
    working,
    ended,
    stop,
    again: error ? () => void retry() : again,
  };
}
