import { client, unwrap, type Job, type Proposal } from '../../api/client';
import { useWork } from '../useWork';

/** What mould and rubber are proposed for a job that has a shape. */
export function useProposal(job: Job | undefined) {
  const id = job?.id ?? '';
  const path = { params: { path: { id } } };
  return useWork<Proposal>({
    key: ['job', id, 'proposal', job?.version],
    enabled: job?.hasShape === true,
    look: () => unwrap(client.GET('/api/jobs/{id}/proposal', path)),
    ask: () => unwrap(client.POST('/api/jobs/{id}/proposal', path)),
    stop: async () => {
      await unwrap(client.DELETE('/api/jobs/{id}/approaches', path));
      return unwrap(client.GET('/api/jobs/{id}/proposal', path));
    },
    byItself: true,
  });
}
