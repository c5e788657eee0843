import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useNavigate } from 'react-router-dom';
import { client, unwrap, type Run } from '../api/client';
import { Notice } from '../ui/Notice';

/** The cast is out: the next one is begun by one key. */
export function NextCast({ run }: { run: Run }) {
  const go = useNavigate();
  const queries = useQueryClient();
  const next = useMutation({
    networkMode: 'always',
    mutationFn: async () => {
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
  return (
    <>
      <p className="follows">
        It is counted on the job’s Casts page. Close the mould, then go on with the next.
      </p>
      {next.error && <Notice text={next.error.message} close={next.reset} />}
      <p>
        <button
          type="button"
          className="nextcast"
          disabled={next.isPending}
          onClick={() => next.mutate()}
        >
          Next cast
        </button>
      </p>
    </>
  );
}
