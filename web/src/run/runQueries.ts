import { queryOptions } from '@tanstack/react-query';
import { client, Problem, unwrap, type Run } from '../api/client';
import { runStore } from './browserStore';

/** As the server says it stands; as it said last, with its clock gone on, while it is not heard. */
async function run(id: string): Promise<Run> {
  try {
    const now = await unwrap(client.GET('/api/runs/{id}', { params: { path: { id } } }));
    runStore.keep(now);
    return now;
  } catch (e) {
    const heard = e instanceof Problem && e.status > 0;
    const kept = heard ? undefined : await runStore.find(id);
    if (!kept) {
      throw e;
    }
    return { ...kept.run, now: kept.run.now + (Date.now() - kept.at) * kept.run.speed };
  }
}

export const runQuery = (id: string) =>
  queryOptions({
    queryKey: ['run', id],
    queryFn: () => run(id),
    staleTime: 0,
  });

/** Runs that are not ended, and what presses in each. */
export const goingQuery = queryOptions({
  queryKey: ['runs'],
  queryFn: () => unwrap(client.GET('/api/runs')),
  staleTime: 0,
  refetchInterval: 15_000,
});

export const runsOfQuery = (job: string) =>
  queryOptions({
    queryKey: ['runs', job],
    queryFn: () => unwrap(client.GET('/api/jobs/{job}/runs', { params: { path: { job } } })),
    staleTime: 0,
  });

/** What the job's plan says by now that a run does not go by. */
export const changesQuery = (id: string) =>
  queryOptions({
    queryKey: ['run', id, 'changes'],
    queryFn: () => unwrap(client.GET('/api/runs/{id}/changes', { params: { path: { id } } })),
    staleTime: 0,
  });

/** Packs its batches could be taken from; asked again with every version. */
export const lotsQuery = (id: string, version: number) =>
  queryOptions({
    queryKey: ['run', id, 'lots', version],
    queryFn: () => unwrap(client.GET('/api/runs/{id}/lots', { params: { path: { id } } })),
    staleTime: 0,
  });

/** The mould a run makes, as it was planned. */
export const sectionOfRunQuery = (id: string) =>
  queryOptions({
    queryKey: ['run', id, 'section'],
    queryFn: () => unwrap(client.GET('/api/runs/{id}/section', { params: { path: { id } } })),
    staleTime: Infinity,
  });
