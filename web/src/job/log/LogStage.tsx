import { useQuery } from '@tanstack/react-query';
import { Fragment, useState } from 'react';
import { Link } from 'react-router-dom';
import type { Job, Log } from '../../api/client';
import { NotRead } from '../../ui/NotRead';
import { glued } from '../../ui/glued';
import { logQuery } from '../jobQueries';
import type { JobDesk } from '../useJob';
import { Diagnosis } from './Diagnosis';

type Line = Log['lines'][number];
type Shown = Line['kind'] | 'ALL' | 'DIFFERS';

const differs = (l: Line) => l.off !== '' && l.struck === '';

/** What happened in a job, planned beside actual; what was otherwise is called out. */
export function LogStage({ job, desk }: { job: Job; desk: JobDesk }) {
  const { data: log, error, refetch } = useQuery(logQuery(job.id));
  const [shown, setShown] = useState<Shown>('ALL');
  const lines = (log?.lines ?? []).filter(
    (l) => shown === 'ALL' || (shown === 'DIFFERS' ? differs(l) : l.kind === shown),
  );
  return (
    <>
      <h1>Log</h1>
      <NotRead what="The log" error={error} again={refetch} />
      {log?.lines.length === 0 && (
        <p>
          Nothing has happened yet. What is done at the{' '}
          <Link to={`/jobs/${job.id}/bench`}>bench</Link>, every batch that is put down and every{' '}
          <Link to={`/jobs/${job.id}/casts`}>cast</Link> will stand here, with what was planned
          beside it.
        </p>
      )}
      {log && log.lines.length > 0 && (
        <>
          <p className="sentence">
            {log.differences === 0
              ? 'Everything went as it was planned.'
              : log.differences === 1
                ? 'One thing went otherwise than planned.'
                : `${log.differences} things went otherwise than planned.`}
          </p>
          <div className="kinds" role="group" aria-label="Show">
            {(
              [
                ['ALL', 'all'],
                ['DIFFERS', 'what was otherwise'],
                ...log.kinds.map((k) => [k.kind, k.text] as const),
              ] as const
            ).map(([kind, text]) => (
              <button
                key={kind}
                type="button"
                aria-pressed={shown === kind}
                onClick={() => setShown(kind)}
              >
                {text}
              </button>
            ))}
          </div>
          <Days lines={lines} />
          <p>
            <a
              className="btn btn-outline-primary"
              href={`/api/jobs/${job.id}/log/log.pdf`}
              target="_blank"
              rel="noreferrer"
            >
              Print the record
            </a>{' '}
            <a className="btn btn-outline-primary" href={`/api/jobs/${job.id}/log/log.csv`}>
              Save as a table
            </a>
          </p>
        </>
      )}
      <Diagnosis job={job} desk={desk} />
    </>
  );
}

/** Line by line, under the day it happened on. */
function Days({ lines }: { lines: Line[] }) {
  if (lines.length === 0) {
    return <p>Nothing of that kind.</p>;
  }
  return (
    <table className="log">
      <thead>
        <tr>
          <th scope="col">When</th>
          <th scope="col">What</th>
          <th scope="col" className="n">
            Planned
          </th>
          <th scope="col" className="n">
            Actual
          </th>
        </tr>
      </thead>
      <tbody>
        {lines.map((l, i) => (
          <Fragment key={i}>
            {l.day !== lines[i - 1]?.day && (
              <tr className="day">
                <th scope="rowgroup" colSpan={4}>
                  {l.day}
                </th>
              </tr>
            )}
            <tr className={l.struck === '' ? undefined : 'struck'}>
              <td className="at">{l.at}</td>
              <td>
                {l.struck === '' ? glued(l.what) : <s>{glued(l.what)}</s>}
                {l.who !== '' && <span className="quiet"> · {l.who}</span>}
                {differs(l) && <em>{glued(l.off)}</em>}
                {l.struck !== '' && <span className="quiet why">does not count: {l.struck}</span>}
                {l.picture !== '' && (
                  <a
                    href={`/api/runs/${l.run}/pictures/${l.picture}`}
                    target="_blank"
                    rel="noreferrer"
                  >
                    <img
                      src={`/api/runs/${l.run}/pictures/${l.picture}`}
                      alt={`Taken then: ${l.what}`}
                      loading="lazy"
                    />
                  </a>
                )}
              </td>
              <td className="n" data-label="planned">
                {l.planned}
              </td>
              <td className={differs(l) ? 'n off' : 'n'} data-label="actual">
                {l.actual}
              </td>
            </tr>
          </Fragment>
        ))}
      </tbody>
    </table>
  );
}
