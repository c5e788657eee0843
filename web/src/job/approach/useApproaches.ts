import { client, unwrap, type Approaches, type Job } from '../../api/client';
import { useWork } from '../useWork';

/** All moulds that could be made for a job; asked for as soon as somebody looks. */
export function useApproaches(job: Job | undefined, wanted: boolean) {
  const id = job?.id ?? '';
  const path = { params: { path: { id } } };
  return useWork<Approaches>({
    key: ['job', id, 'approaches', job?.version],
    enabled: wanted && job?.hasShape === true,
    look: () => unwrap(client.GET('/api/jobs/{id}/approaches', path)),
    ask: () => unwrap(client.POST('/api/jobs/{id}/approaches', path)),
    stop: () => unwrap(client.DELETE('/api/jobs/{id}/approaches', path)),
    byItself: true,
    keep: true,
  });
}

export type ApproachDesk = ReturnType<typeof useApproaches>;
