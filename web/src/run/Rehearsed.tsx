import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router-dom';
import { client, unwrap, type Run } from '../api/client';

const SPEEDS = [1, 10, 60, 600];

/** Of a rehearsal: how fast its clock runs, and how it went. */
export function Rehearsed({
  run,
  speed,
  version,
  exercise,
}: {
  run: string;
  speed: number;
  version: number;
  exercise: Run['exercise'];
}) {
  const [asked, setAsked] = useState(false);
  const open = asked || exercise?.done === true;
  const { data: score } = useQuery({
    queryKey: ['run', run, 'score', version],
    queryFn: () => unwrap(client.GET('/api/runs/{id}/score', { params: { path: { id: run } } })),
    enabled: open,
    // what stands mixed gets worse by itself
    refetchInterval: 2000,
    staleTime: 0,
  });
  const hurry = (times: number) =>
    void unwrap(
      client.POST('/api/runs/{id}/speed', { params: { path: { id: run }, query: { times } } }),
    );
  return (
    <section className="rehearsed" aria-label="Rehearsal">
      {exercise ? (
        <p>
          <strong>{exercise.title}.</strong> {exercise.task}{' '}
          {exercise.done && (
            <>
              <strong>Done.</strong> <Link to="/exercises">Other exercises</Link>
            </>
          )}
        </p>
      ) : (
        <strong>Rehearsal: nothing of it is kept.</strong>
      )}
      <span role="group" aria-label="The clock runs">
        The clock runs{' '}
        {SPEEDS.map((times) => (
          <button
            key={times}
            type="button"
            aria-pressed={speed === times}
            onClick={() => hurry(times)}
          >
            {times === 1 ? 'as it is' : `× ${times}`}
          </button>
        ))}
      </span>
      <button type="button" aria-expanded={open} onClick={() => setAsked(!asked)}>
        How does it go?
      </button>
      {open && score && (
        <div className="score">
          <p>
            <b>{score.points}</b> of 100 points.
            {score.marks.length === 0 && ' Nothing has gone wrong.'}
          </p>
          <ul>
            {score.marks.map((m, i) => (
              <li key={i}>
                {m.says} <span className="quiet">−{m.lost}</span>
              </li>
            ))}
          </ul>
        </div>
      )}
    </section>
  );
}
