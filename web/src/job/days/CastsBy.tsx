import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router-dom';
import type { Job } from '../../api/client';
import { castsQuery } from '../jobQueries';

/** When all casts are done, where their number is said; how, stands on Casts. */
export function CastsBy({ job }: { job: Job }) {
  const wanted = !job.words['cast.wanted']?.unset;
  const { data: runs } = useQuery({ ...castsQuery(job.id, job.version), enabled: wanted });
  const chosen = runs?.rows.find((r) => r.chosen);
  return chosen ? (
    <p className="sentence">
      All casts: half of the time by <strong>{chosen.done}</strong>, nine times of ten by{' '}
      <strong>{chosen.promise}</strong>. <Link to={`/jobs/${job.id}/casts`}>See casts</Link>.
    </p>
  ) : null;
}
