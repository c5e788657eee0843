import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { client, Problem, unwrap } from '../../api/client';

/** The batches of a job that are mixed, and how to record one or take that back. */
export function useMixed(job: string) {
  const queries = useQueryClient();
  const [said, setSaid] = useState('');
  const key = ['mixed', job];
  const path = { path: { job } };
  const { data } = useQuery({
    queryKey: key,
    queryFn: () => unwrap(client.GET('/api/jobs/{job}/mixed', { params: path })),
  });
  const change = async (make: () => Promise<string>) => {
    try {
      setSaid(await make());
    } catch (e) {
      setSaid(e instanceof Problem ? e.message : '');
      throw e;
    } finally {
      await queries.invalidateQueries({ queryKey: key });
      await queries.invalidateQueries({ queryKey: ['stock'] });
      await queries.invalidateQueries({ queryKey: ['shopping'] });
    }
  };
  return {
    /** The record of a batch of the plan. */
    of: (batch: number) => data?.find((m) => m.number === batch && !m.again),
    /** Records of batches that the plan has no more, and of those recorded twice. */
    others: (data ?? []).filter((m) => m.number === undefined || m.again),
    said,
    /** Blank parts were weighed as planned. */
    mix: (batch: number, base: string, hardener: string) =>
      change(async () => {
        const body = { batch, base, hardener };
        return (await unwrap(client.POST('/api/jobs/{job}/mixed', { params: path, body }))).said;
      }),
    strike: (id: string) =>
      change(async () => {
        await unwrap(
          client.DELETE('/api/jobs/{job}/mixed/{id}', { params: { path: { job, id } } }),
        );
        return '';
      }),
  };
}

export type Mixed = ReturnType<typeof useMixed>;
