import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router-dom';
import { goingQuery } from './runQueries';

/** What is being made of a job right now, and what presses there; nothing while nothing runs. */
export function Running({ job, as = 'p' }: { job: string; as?: 'p' | 'span' }) {
  const { data } = useQuery(goingQuery);
  const Line = as;
  return data
    ?.filter((r) => r.job === job)
    .map((r) => (
      <Line className="running" key={r.id}>
        At the bench: <Link to={`/runs/${r.id}`}>{r.presses}</Link>
      </Line>
    ));
}
