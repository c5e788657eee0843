import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Fragment, useState } from 'react';
import Button from 'react-bootstrap/Button';
import { Link, useNavigate } from 'react-router-dom';
import { client, unwrap, type Job } from '../../api/client';

import { runsOfQuery } from '../../run/runQueries';
import { NotRead } from '../../ui/NotRead';
import { Notice } from '../../ui/Notice';
import { Happened } from './Happened';
import { Replanned } from './Replanned';

/** Begins a mould at the bench, and shows what happened at those that were made. */
export function BenchStage({ job }: { job: Job }) {
  const go = useNavigate();
  const queries = useQueryClient();
  const { data: runs, error, refetch } = useQuery(runsOfQuery(job.id));
  const [shown, setShown] = useState<string | null>(null);
  const begin = useMutation({
    networkMode: 'always',
    mutationFn: () =>
      unwrap(client.POST('/api/jobs/{job}/runs', { params: { path: { job: job.id } } })),
    onSuccess: async (run) => {
      await queries.invalidateQueries({ queryKey: ['runs'] });
      await go(`/runs/${run.id}`);
    },
  });
  const rehearse = useMutation({
    networkMode: 'always',
    mutationFn: () =>
      unwrap(client.POST('/api/jobs/{job}/rehearsals', { params: { path: { job: job.id } } })),
    onSuccess: (run) => go(`/runs/${run.id}`),
  });
  const going = runs?.filter((r) => r.ended === undefined) ?? [];
  const making = runs?.filter((r) => r.moulds.length === 0) ?? [];
  const stops = job.cautions.filter((c) => c.level === 'STOP');
  const look = shown ?? runs?.[0]?.id;
  return (
    <>
      <h1>Bench</h1>
      <NotRead what="What was made" error={error} again={refetch} />
      {(begin.error ?? rehearse.error) && (
        <Notice
          title="It was not begun"
          text={(begin.error ?? rehearse.error)?.message ?? ''}
          close={() => {
            begin.reset();
            rehearse.reset();
          }}
        />
      )}
      {going.map((r) => (
        <Fragment key={r.id}>
          <p className="sentence">
            {r.moulds.length > 0
              ? `A cast is being made in mould ${r.moulds.join(' and ')} since ${r.begun}.`
              : `A mould is being made since ${r.begun}.`}{' '}
            <Link className="btn btn-primary" to={`/runs/${r.id}`}>
              Go on at the bench
            </Link>
          </p>
          <Replanned run={r.id} />
        </Fragment>
      ))}
      {runs && (
        <>
          <p className="sentence">
            At the bench you see one step at a time, weigh with your scale, and keep the pot life.
            Each mould goes by the plan as it is when you begin it: when you change the plan later,
            a mould that is being made goes on as it was until you say here that it should not.
            Rehearsed, it is the same with a made-up scale and a clock that can be hurried, and says
            what went wrong. Single things are practised in <Link to="/exercises">exercises</Link>.
          </p>
          {stops.length > 0 && (
            <p className="quiet">
              {stops.length === 1 ? 'One caution says' : `${stops.length} cautions say`} stop:{' '}
              {stops.map((c) => c.title).join(' · ')}
            </p>
          )}
          {job.undecided.length > 0 && (
            <p className="quiet">
              Not decided yet: {job.undecided.map((u) => u.text).join(', ')}. What depends on it is
              not asked for at the bench.
            </p>
          )}
          <p>
            <Button
              variant={going.length > 0 ? 'outline-primary' : 'primary'}
              disabled={begin.isPending}
              onClick={() => begin.mutate()}
            >
              {making.length === 0
                ? 'Begin the mould'
                : making.some((r) => r.ended === undefined)
                  ? 'Begin another mould'
                  : 'Begin the next mould'}
            </Button>{' '}
            <Button
              variant="outline-primary"
              disabled={rehearse.isPending}
              onClick={() => rehearse.mutate()}
            >
              Rehearse it
            </Button>
          </p>
        </>
      )}
      {runs && runs.length > 1 && (
        <p className="whichrun">
          {runs.map((r) => (
            <button
              key={r.id}
              type="button"
              className="plain"
              aria-pressed={r.id === look}
              onClick={() => setShown(r.id)}
            >
              {r.begun}
              {r.moulds.length > 0 ? ', cast' : ''}
              {r.ended === undefined ? ', being made' : ''}
            </button>
          ))}
        </p>
      )}
      {look !== undefined && <Happened run={look} />}
    </>
  );
}
