import { queryOptions } from '@tanstack/react-query';
import { client, unwrap, type Job } from '../api/client';

export const exercisesQuery = queryOptions({
  queryKey: ['exercises'],
  queryFn: () => unwrap(client.GET('/api/exercises')),
  staleTime: Infinity,
});

/** How an exercise on a shape goes; asked again until the shape is known. */
export const exerciseScoreQuery = (job: Job) =>
  queryOptions({
    queryKey: ['exercise', job.id, job.version],
    queryFn: () =>
      unwrap(client.GET('/api/exercises/jobs/{id}/score', { params: { path: { id: job.id } } })),
    staleTime: 0,
    refetchInterval: (query) => (query.state.data?.score === undefined ? 1000 : false),
  });
