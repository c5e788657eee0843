import { useMutation, useQuery } from '@tanstack/react-query';
import Button from 'react-bootstrap/Button';
import { useNavigate } from 'react-router-dom';
import { client, unwrap, type Exercise } from '../api/client';
import { PageHead } from '../app/PageHead';
import { useTitle } from '../app/useTitle';
import { NotRead } from '../ui/NotRead';
import { Notice } from '../ui/Notice';
import { exercisesQuery } from './exerciseQueries';

/** Until it is asked again whether a master is looked at, ms. */
const AGAIN = 1000;

/** Begins an exercise, and says where it goes on. */
async function begun(e: Exercise, wanted: () => boolean): Promise<string | null> {
  const { job, stage } = await unwrap(
    client.POST('/api/exercises/{exercise}', { params: { path: { exercise: e.key } } }),
  );
  if (!e.bench) {
    return `/jobs/${job}/${stage}`;
  }
  while (wanted()) {
    const { run } = await unwrap(
      client.POST('/api/exercises/jobs/{id}/run', { params: { path: { id: job } } }),
    );
    if (run !== undefined) {
      return `/runs/${run}`;
    }
    await new Promise((done) => setTimeout(done, AGAIN));
  }
  return null;
}

/** What can be practised without a master, a scale or rubber. */
export function ExercisesPage() {
  useTitle('Exercises');
  const go = useNavigate();
  const { data: exercises, error, refetch } = useQuery(exercisesQuery);
  const begin = useMutation({
    networkMode: 'always',
    mutationFn: (e: Exercise) => {
      const here = window.location.pathname;
      return begun(e, () => window.location.pathname === here);
    },
    onSuccess: (to) => (to === null ? undefined : go(to)),
  });
  const waits = begin.isPending ? begin.variables : undefined;
  return (
    <div className="page">
      <PageHead />
      <main className="exercises">
        <h1>Exercises</h1>
        <p className="sentence">
          On made-up masters, with a made-up scale. Nothing of it is kept, and nothing leaves your
          stock. How well it went is told by the same rules as at a real bench.
        </p>
        <NotRead what="The exercises" error={error} again={refetch} />
        {begin.error && (
          <Notice title="It was not begun" text={begin.error.message} close={() => begin.reset()} />
        )}
        <ol>
          {exercises?.map((e) => (
            <li key={e.key}>
              <div>
                <h2>{e.title}</h2>
                <p>{e.task}</p>
              </div>
              <Button
                variant="outline-primary"
                aria-label={`Begin: ${e.title}`}
                disabled={begin.isPending}
                onClick={() => begin.mutate(e)}
              >
                {waits === e ? 'Its master is looked at …' : 'Begin'}
              </Button>
            </li>
          ))}
        </ol>
      </main>
    </div>
  );
}
