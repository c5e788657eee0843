import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import { client, unwrap, type Job, type Variant } from '../../api/client';
import { big } from '../../ui/big';
import { Busy } from '../../ui/Busy';
import { FigureText } from '../../ui/FigureText';
import { NotRead } from '../../ui/NotRead';
import { Take } from './ApproachTable';
import { variantsQuery } from '../jobQueries';
import type { ApproachDesk } from './useApproaches';
import type { JobDesk } from '../useJob';
import { usePartition } from './usePartition';

interface Props {
  job: Job;
  desk: JobDesk;
  approaches: ApproachDesk;
}

/** Which mould to make, and why. */
export function ApproachStage({ job, desk, approaches }: Props) {
  const { data, error, retry, working, stale, again } = approaches;
  if (!job.hasShape) {
    return (
      <>
        <h1>Which mould?</h1>
        <p>
          To compare moulds the master’s shape must be known: drop a model file, or describe it as a
          solid. The mould can still be said by hand on the next stage.
        </p>
      </>
    );
  }
  const cannot = (data?.approaches ?? []).filter((a) => a.reason !== '');
  const state = data?.work.state;
  return (
    <>
      <h1>Which mould?</h1>
      <NotRead what="The comparison" error={error} again={retry} />
      {!working && (state === 'STOPPED' || state === 'FAILED') && (
        <div className="busy" role="status">
          <span>{state === 'FAILED' ? data?.work.problem : 'Stopped.'}</span>
          <Button size="sm" variant="outline-primary" onClick={again}>
            Compare them
          </Button>
        </div>
      )}
      {data && data.says !== '' && (
        <p className={`sentence says${working || stale ? ' stale' : ''}`}>{data.says}</p>
      )}
      {state === 'READY' && data?.says === '' && (
        <p className="sentence">
          Nothing works as it is. Softer rubber, plugged holes or another way up may change that.
        </p>
      )}
      <Weights job={job} desk={desk} />
      {cannot.length > 0 && (
        <section className="part" aria-label="What cannot work">
          <h2>What cannot work</h2>
          <ul className="cannot">
            {cannot.map((a) => (
              <li key={`${a.title} ${String(a.now)}`}>
                <p>
                  <strong>{big(a.title)}.</strong> {a.reason}
                </p>
                {a.edits.length > 0 && <Take approach={a} desk={desk} best={false} />}
              </li>
            ))}
          </ul>
        </section>
      )}
      <Pieces key={job.id} job={job} />
      <Variants job={job} desk={desk} />
    </>
  );
}

/** What more pieces would free, each as it sees the master. */
function Pieces({ job }: { job: Job }) {
  const { data, working, ended, ask, stop } = usePartition(job);
  return (
    <section className="part" aria-label="More pieces">
      <h2>More pieces</h2>
      {working && <Busy {...working} stop={stop} />}
      {ended && <p role="status">{ended}</p>}
      {data && data.says !== '' ? (
        <>
          <p className="sentence">{data.says}</p>
          <ol className="pieces">
            {data.pieces.map((p, i) => (
              <li key={p.picture}>
                <img src={p.picture} alt="" width={160} height={133} />
                <span>
                  {i + 1}. {p.pull}
                </span>
                <span className="quiet">
                  {i === 0 ? 'frees' : 'with it'} <FigureText figure={p.freed} />
                </span>
              </li>
            ))}
          </ol>
          <p className="quiet small">
            Each seen as the piece is pulled: green comes free with it, pale with the pieces before
            it, red with none of them.
          </p>
        </>
      ) : (
        !working && (
          <>
            <p className="quiet">Where two halves do not free the master, more pieces may.</p>
            <Button size="sm" variant="outline-primary" onClick={ask}>
              See what each would free
            </Button>
          </>
        )
      )}
    </section>
  );
}

const COUNTS = [
  ['money', 'money'],
  ['time', 'time'],
  ['ease', 'easy work'],
  ['finish', 'clean casts'],
] as const;

/** What counts, and how much. */
function Weights({ job, desk }: { job: Job; desk: JobDesk }) {
  return (
    <fieldset className="weights">
      <legend>What counts</legend>
      {COUNTS.map(([key, text]) => (
        <Weight
          key={key}
          text={text}
          kept={Number.parseInt(job.words[`weights.${key}`]?.text ?? '5', 10)}
          set={(to) => desk.write(`weights.${key}`, String(to))}
        />
      ))}
    </fieldset>
  );
}

function Weight({
  text,
  kept,
  set,
}: {
  text: string;
  kept: number;
  set: (to: number) => Promise<unknown>;
}) {
  /** Where it was moved to, until the job says the same. */
  const [moved, setMoved] = useState<number | null>(null);
  const done = () => {
    if (moved === null) {
      return;
    }
    const settled = () => setMoved((now) => (now === moved ? null : now));
    if (moved === kept) {
      settled();
    } else {
      set(moved).then(settled, settled);
    }
  };
  return (
    <label>
      <span>{text}</span>
      <input
        type="range"
        min={0}
        max={10}
        value={moved ?? kept}
        onChange={(e) => setMoved(Number(e.target.value))}
        onPointerUp={done}
        onKeyUp={done}
        onBlur={done}
      />
    </label>
  );
}

/** Moulds kept beside the one chosen. */
function Variants({ job, desk }: { job: Job; desk: JobDesk }) {
  const queries = useQueryClient();
  const { data, error, refetch } = useQuery(variantsQuery(job.id, job.version));
  const again = () => queries.invalidateQueries({ queryKey: ['job', job.id, 'variants'] });
  const of = (variant: string) => ({ params: { path: { id: job.id, variant } } });
  const keep = () =>
    desk.after(() =>
      unwrap(client.POST('/api/jobs/{id}/variants', { params: { path: { id: job.id } } })).then(
        again,
      ),
    );
  const forget = (v: Variant) =>
    desk.after(() =>
      unwrap(client.DELETE('/api/jobs/{id}/variants/{variant}', of(v.id))).then(again),
    );
  const take = (v: Variant) =>
    unwrap(
      client.POST('/api/jobs/{id}/variants/{variant}/taken', {
        params: { path: { id: job.id, variant: v.id }, query: { version: job.version } },
      }),
    ).then(desk.refresh, desk.refresh);
  return (
    <section className="part" aria-label="Variants">
      <h2>Variants</h2>
      <NotRead what="What is kept" error={error} again={refetch} />
      {data && data.length > 0 ? (
        <table className="compare">
          <thead>
            <tr>
              <th scope="col">Kept</th>
              <th scope="col">Rubber</th>
              <th scope="col">Its cost</th>
              <th scope="col">Sheet</th>
              <th scope="col">Cautions</th>
              <th scope="col" aria-label="Choose" />
            </tr>
          </thead>
          <tbody>
            {data.map((v) => (
              <tr key={v.id} className={v.now ? 'now' : undefined}>
                <td>{v.name}</td>
                <td className="n" data-label="Rubber">
                  <FigureText figure={v.figures['rubber.box']} />
                </td>
                <td className="n" data-label="Its cost">
                  <FigureText figure={v.figures['rubber.cost']} />
                </td>
                <td className="n" data-label="Sheet">
                  <FigureText figure={v.figures['box.cost']} />
                </td>
                <td className="n" data-label="Cautions">
                  {v.cautions}
                </td>
                <td className="tools">
                  <Button
                    size="sm"
                    variant="outline-primary"
                    disabled={v.now}
                    aria-label={`Choose variant ${v.name}`}
                    onClick={() => void take(v)}
                  >
                    {v.now ? 'Chosen' : 'Choose'}
                  </Button>
                  <Button
                    size="sm"
                    variant="outline-primary"
                    aria-label={`Remove variant ${v.name}`}
                    onClick={() => forget(v)}
                  >
                    Remove
                  </Button>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      ) : (
        <p className="quiet">
          Keep the mould as it is now to one side, try another, and compare the two.
        </p>
      )}
      <Button size="sm" variant="outline-primary" onClick={keep}>
        Keep the mould as it is now
      </Button>
    </section>
  );
}
