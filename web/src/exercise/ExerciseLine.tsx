import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router-dom';
import type { Job } from '../api/client';
import { glued } from '../ui/glued';
import { exerciseScoreQuery } from './exerciseQueries';

/** On a job that is practised on: what is to be done, and how far it is. */
export function ExerciseLine({ job }: { job: Job }) {
  const { data } = useQuery(exerciseScoreQuery(job));
  if (!data) {
    return null;
  }
  return (
    <section className="exercise" aria-label="Exercise">
      <p>
        <strong>{data.title}.</strong> {data.task}
      </p>
      <p role="status">
        {data.score ? (
          <>
            <b>{data.score.points}</b> of 100 points. {glued(data.score.says)}
          </>
        ) : (
          'The shape is looked at; then it says how far you are.'
        )}{' '}
        <Link to="/exercises">Other exercises</Link>
      </p>
    </section>
  );
}
