import { keepPreviousData, useQuery, useQueryClient } from '@tanstack/react-query';
import { type Work } from '../api/client';

/** How long to leave between two looks while it is worked out. */
const LOOK_MS = 250;

interface Asking<T> {
  /** Names the question; changes when the answer may be another. */
  key: readonly unknown[];
  enabled: boolean;
  look: () => Promise<T>;
  ask: () => Promise<T>;
  stop: () => Promise<T>;
  /** Asked for without being told to. */
  byItself?: boolean;
  /** What was there stays until the new is. */
  keep?: boolean;
}

/** An answer the server works out in the background, and how far that is. */
export function useWork<T extends { work: Work }>(asking: Asking<T>) {
  const queries = useQueryClient();
  const { key, enabled, look, ask, stop, byItself, keep } = asking;
  const { data, error, refetch, isPlaceholderData } = useQuery({
    queryKey: key,
    queryFn: async () => {
      const known = await look();
      return byItself && known.work.state === 'OPEN' ? ask() : known;
    },
    enabled,
    ...(keep ? { placeholderData: keepPreviousData } : {}),
    refetchInterval: (q) => (q.state.data?.work.state === 'WORKING' ? LOOK_MS : false),
  });
  const work = data?.work;
  return {
    data,
    /** Why nothing is known, and a way to ask again. */
    error: data ? null : error,
    retry: refetch,
    /** What is shown answers an earlier question. */
    stale: isPlaceholderData,
    working: work?.state === 'WORKING' ? work : null,
    stop: () => {
      void stop().then((next) => queries.setQueryData(key, next));
    },
    again: () => {
      void ask().then((next) => queries.setQueryData(key, next));
    },
  };
}
