import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useNavigate } from 'react-router-dom';
import { client, unwrap, type Run } from '../api/client';

/** Ends a cast that is out and begins the next, from the same moulds. */
export function useNextCast(run: Run | undefined) {
  const go = useNavigate();
  const queries = useQueryClient();
  return useMutation({
    networkMode: 'always',
    mutationFn: async () => {
      if (!run) {
        throw new Error('There is no cast yet.');
      }
      await unwrap(
        client.POST('/api/runs/{id}/ended', {
          params: { path: { id: run.id }, query: { ended: true } },
        }),
      );
      return unwrap(
        client.POST('/api/jobs/{job}/casts/runs', {
          params: { path: { job: run.job }, query: { moulds: run.casts.join(',') } },
        }),
      );
    },
    onSuccess: async (begun) => {
      await queries.invalidateQueries({ queryKey: ['runs'] });
      await go(`/runs/${begun.id}`);
    },
  });
}
