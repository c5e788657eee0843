import { Link } from 'react-router-dom';
import type { Job } from '../api/client';

/** Stands where amounts would, while the mould itself cannot work. */
export function Stopped({ job }: { job: Job }) {
  return (
    <p className="count STOP">
      Nothing is weighed for this mould yet: {job.stopped}.{' '}
      <Link to={`/jobs/${job.id}/mould`}>What helps</Link>
    </p>
  );
}
