import { keepPreviousData, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import { Link } from 'react-router-dom';
import { client, Problem, unwrap, type Bench } from '../api/client';
import { PageHead } from '../app/PageHead';
import { useTitle } from '../app/useTitle';
import { NotRead } from '../ui/NotRead';
import { AlarmSwitch } from './AlarmSwitch';
import { BenchRows } from './BenchRows';
import { Calendar } from './Calendar';
import { benchQuery } from './benchQuery';

/** The days of the workshop: all jobs on one bench. */
export function BenchPage() {
  useTitle('Days');
  const { data: bench, error, refetch } = useQuery(benchQuery);
  return (
    <div className="page">
      <PageHead />
      <main className="benchdays">
        <h1>Days</h1>
        <NotRead what="The days" error={error} again={refetch} />
        {bench && bench.jobs.length === 0 && (
          <p className="sentence">
            No job is on the bench yet. A job takes its place here when its stage Days says when it
            is begun.
          </p>
        )}
        {bench && bench.jobs.length > 0 && (
          <>
            <BenchRows bench={bench} />
            <Order bench={bench} />
            {bench.shares.map((s) => (
              <p key={s.text} className="caution offer">
                {s.text} <Link to={`/together?rubber=${s.product}`}>Pour them together</Link>
              </p>
            ))}
            <BetweenTimes />
            <Tools bench={bench} />
          </>
        )}
        {bench && <Waiting bench={bench} />}
        <Calendar />
        <AlarmSwitch />
      </main>
    </div>
  );
}

/** Jobs in the order in which they get what they all want. */
function Order({ bench }: { bench: Bench }) {
  const queries = useQueryClient();
  const [dragged, setDragged] = useState<string | null>(null);
  const ids = bench.jobs.map((j) => j.id);
  const move = async (id: string, to: number) => {
    const others = ids.filter((other) => other !== id);
    others.splice(to, 0, id);
    queries.setQueryData(
      benchQuery.queryKey,
      await unwrap(client.POST('/api/days/order', { body: { jobs: others } })),
    );
    await queries.invalidateQueries({ queryKey: ['job'] });
  };
  return (
    <section className="part">
      <h2>In this order</h2>
      <p className="quiet">
        Where two jobs want the same hands, the upper one gets them. Drag a job to another place.
      </p>
      <ol className="joborder">
        {bench.jobs.map((j, i) => (
          <li
            key={j.id}
            draggable
            className={dragged === j.id ? 'dragged' : ''}
            onDragStart={() => setDragged(j.id)}
            onDragEnd={() => setDragged(null)}
            onDragOver={(e) => e.preventDefault()}
            onDrop={(e) => {
              e.preventDefault();
              if (dragged !== null && dragged !== j.id) {
                void move(dragged, i);
              }
            }}
          >
            <div>
              <Link to={`/jobs/${j.id}/days`}>
                <strong>{j.name}</strong>
              </Link>{' '}
              <span className="quiet">
                begins {j.begin}
                {j.finish !== '' && `, first cast out ${j.finish}`}
              </span>
              {j.back && (
                <p>
                  Be back {j.back.at}: {j.back.what}
                </p>
              )}
              {j.later !== '' && (
                <p className="quiet">{j.later} later than by itself: it waits for those above.</p>
              )}
              {!j.fits && <p className="count CHECK">It does not fit in your hours of work.</p>}
            </div>
            <span className="moves">
              <Button
                variant="outline-primary"
                size="sm"
                disabled={i === 0}
                aria-label={`${j.name} earlier`}
                onClick={() => void move(j.id, i - 1)}
              >
                ↑
              </Button>
              <Button
                variant="outline-primary"
                size="sm"
                disabled={i === ids.length - 1}
                aria-label={`${j.name} later`}
                onClick={() => void move(j.id, i + 1)}
              >
                ↓
              </Button>
            </span>
          </li>
        ))}
      </ol>
    </section>
  );
}

/** What can be done between two times. */
function BetweenTimes() {
  const [from, setFrom] = useState('14:00');
  const [to, setTo] = useState('16:00');
  const [asked, setAsked] = useState<{ from: string; to: string } | null>(null);
  const { data, error } = useQuery({
    queryKey: ['bench', 'between', asked],
    queryFn: () =>
      unwrap(client.GET('/api/days/between', { params: { query: asked ?? { from, to } } })),
    enabled: asked !== null,
    placeholderData: keepPreviousData,
    retry: false,
  });
  return (
    <section className="part">
      <h2>What can I do between …</h2>
      <form
        className="between"
        onSubmit={(e) => {
          e.preventDefault();
          setAsked({ from, to });
        }}
      >
        <input
          className="word"
          aria-label="from"
          value={from}
          onChange={(e) => setFrom(e.target.value)}
        />{' '}
        and{' '}
        <input
          className="word"
          aria-label="to"
          value={to}
          onChange={(e) => setTo(e.target.value)}
        />{' '}
        <Button type="submit" variant="outline-primary" size="sm">
          Look
        </Button>
      </form>
      {error && (
        <p className="refusal" role="alert">
          {error instanceof Problem ? error.message : 'It was not understood.'}
        </p>
      )}
      {data && !error && (
        <div role="status">
          <p>
            {data.from} to {data.to}: {data.free} min of work are free.
          </p>
          <ul>
            {data.planned.map((p) => (
              <li key={p}>{p}</li>
            ))}
            {data.could.map((c) => (
              <li key={c} className="quiet">
                could be begun: {c}
              </li>
            ))}
          </ul>
        </div>
      )}
    </section>
  );
}

function Tools({ bench }: { bench: Bench }) {
  return (
    bench.tools.length > 0 && (
      <section className="part">
        <h2>Tools</h2>
        <ul className="benchtools">
          {bench.tools.map((t) => (
            <li key={t.name}>
              <strong>{t.name}</strong> {t.text}
            </li>
          ))}
        </ul>
      </section>
    )
  );
}

/** Jobs that could be begun. */
function Waiting({ bench }: { bench: Bench }) {
  return (
    bench.waiting.length > 0 && (
      <section className="part">
        <h2>Not begun</h2>
        <ul className="joborder">
          {bench.waiting.map((w) => (
            <li key={w.id}>
              <div>
                <Link to={`/jobs/${w.id}/days`}>
                  <strong>{w.name}</strong>
                </Link>{' '}
                <span className="quiet">first: {w.first}</span>
              </div>
            </li>
          ))}
        </ul>
      </section>
    )
  );
}
