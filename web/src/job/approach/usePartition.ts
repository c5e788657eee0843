import { client, unwrap, type Job, type Partition } from '../../api/client';
import { useWork } from '../useWork';

/** Into how many pieces a mould would have to part; worked out when asked for. */
export function usePartition(job: Job) {
  const path = { params: { path: { id: job.id } } };
  const { data, error, retry, working, again, stop } = useWork<Partition>({
    key: ['job', job.id, 'partition', job.version],
    enabled: job.hasShape,
    look: () => unwrap(client.GET('/api/jobs/{id}/partition', path)),
    ask: () => unwrap(client.POST('/api/jobs/{id}/partition', path)),
    stop: () => unwrap(client.DELETE('/api/jobs/{id}/partition', path)),
    keep: true,
  });
  const state = data?.work.state;
  const ended = error
    ? error.message
    : state === 'FAILED'
      ? (data?.work.problem ?? '')
      : state === 'STOPPED'
        ? 'Stopped.'
        : '';
  return { data, working, ended, ask: error ? () => void retry() : again, stop };
}
