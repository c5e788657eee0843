import { useQuery } from '@tanstack/react-query';
import { Fragment, useState } from 'react';
import Button from 'react-bootstrap/Button';
import { Link } from 'react-router-dom';
import { Problem, type Days, type Edit, type Job, type PlacedStep } from '../../api/client';
import { FigureText } from '../../ui/FigureText';
import { NotRead } from '../../ui/NotRead';
import { Word } from '../../ui/Word';
import { daysQuery } from '../jobQueries';
import type { JobDesk } from '../useJob';
import { AlarmSwitch } from '../../days/AlarmSwitch';
import { useWorkshop } from '../../workshop/useWorkshop';
import { CastsBy } from './CastsBy';
import { RoomWords } from './RoomWords';

interface Props {
  job: Job;
  desk: JobDesk;
  picked: string | null;
  pick: (step: string | null) => void;
}

/** When it is done, and when to be back. */
export function DaysStage({ job, desk, picked, pick }: Props) {
  const { data: days, error, refetch } = useQuery(daysQuery(job.id, job.version));
  if (error instanceof Problem && error.status === 409) {
    return (
      <>
        <h1>Days</h1>
        <p>{error.message}</p>
      </>
    );
  }
  const step = days?.steps.find((s) => s.key === picked);
  return (
    <>
      <h1>Days</h1>
      <NotRead what="The days" error={error} again={refetch} />
      <p className="sentence">
        Begin <Word k="days.begin" unsaid={days?.begin} after="." />{' '}
        {days?.held && <>It begins {days.begin}, when your hands are free of other jobs. </>}
        {days && <RoomWords />}
      </p>
      {days && (
        <>
          {days.back && (
            <p className="comeback">
              <span className="quiet">come back at</span>
              <strong>{days.back.at}</strong>
              <span>{days.back.what}</span>
            </p>
          )}
          <Told days={days} desk={desk} pick={pick} />
          {step && <StepCard step={step} desk={desk} close={() => pick(null)} />}
          <CastsBy job={job} />
          {days.told && (
            <p className="quiet">
              <FigureText figure={days.told.hands} /> of your hands,{' '}
              <FigureText figure={days.told.waits} /> of waiting; {days.told.finish.label}{' '}
              <span className="together">
                <FigureText figure={days.told.finish} />.
              </span>{' '}
              What decides: {chained(days).join(' → ')}.
            </p>
          )}
          {days.schools.length > 0 && <Schools days={days} desk={desk} />}
          {days.days.length > 0 && (
            <>
              <Listed days={days} pick={pick} picked={picked} />
              <p className="dayslinks">
                <Link to="/days">All jobs on the bench, and a calendar to subscribe to</Link>
                <a href={`/api/jobs/${job.id}/days.ics`}>As a calendar file</a>
                <a href={`/api/jobs/${job.id}/days/steps.csv`}>Steps with their times, CSV</a>
              </p>
              <AlarmSwitch />
            </>
          )}
        </>
      )}
    </>
  );
}

/** What is waited for and what belongs together in the chain: each name once in a row. */
function chained(days: Days) {
  const labels = days.chain
    .map((key) => days.steps.find((s) => s.key === key))
    .filter((s) => s !== undefined)
    .filter((s) => s.kind === 'WAIT' || s.group !== '')
    .map((s) => s.label);
  return labels.filter((label, i) => label !== labels[i - 1]);
}

/** What cannot be kept, what is worth knowing, and what else could be. */
function Told({
  days,
  desk,
  pick,
}: {
  days: Days;
  desk: JobDesk;
  pick: (step: string | null) => void;
}) {
  const workshop = useWorkshop();
  const [refused, setRefused] = useState('');
  const work = (hours: Edit[]) =>
    workshop.send(hours).then(
      () => setRefused(''),
      (e: unknown) => setRefused(e instanceof Problem ? e.message : 'It was not saved.'),
    );
  return (
    <ul className="cautions">
      {days.rule !== '' && (
        <li className="caution CHECK">
          <h3>
            <span className="level">Check</span>Not in your hours of work
          </h3>
          <p>{days.rule} Until it fits, no times are shown.</p>
          {refused !== '' && (
            <p className="refusal" role="alert">
              {refused}
            </p>
          )}
        </li>
      )}
      {days.notes.map((n) => (
        <li key={n.step} className="caution CHECK">
          <h3>
            <span className="level">Check</span>
            {n.title}
          </h3>
          <p>{n.text}</p>
          {days.steps.some((s) => s.key === n.step) && (
            <div className="fixes">
              <Button
                variant="outline-primary"
                size="sm"
                aria-label={`Show the step: ${n.title}`}
                onClick={() => pick(n.step)}
              >
                Show the step
              </Button>
            </div>
          )}
        </li>
      ))}
      {days.offers.map((o) => (
        <li key={o.button} className="caution offer">
          <p>{o.text}</p>
          <div className="fixes">
            <Button
              variant="outline-primary"
              size="sm"
              onClick={() => (o.edits.length > 0 ? desk.apply(o.edits) : void work(o.hours))}
            >
              {o.button}
            </Button>
          </div>
        </li>
      ))}
    </ul>
  );
}

/** One step, and when it is to begin. */
function StepCard({ step, desk, close }: { step: PlacedStep; desk: JobDesk; close: () => void }) {
  const [typed, setTyped] = useState('');
  const [refused, setRefused] = useState('');
  const pin = (at: string) =>
    desk.edit([{ word: 'days.pin', text: `${step.key} ${at}`.trim() }]).then(
      () => {
        setTyped('');
        setRefused('');
      },
      (e: unknown) => setRefused(e instanceof Problem ? e.message : 'It was not saved.'),
    );
  return (
    <section className="stepcard" aria-label={step.label}>
      <h2>{step.part}</h2>
      <p>{step.what}</p>
      <p className="quiet">
        {step.from} to {step.to}, <FigureText figure={step.takes} />.
        {step.pinned && ' It begins when you said.'}
      </p>
      <form
        className="pinning"
        onSubmit={(e) => {
          e.preventDefault();
          void pin(typed);
        }}
      >
        <label>
          Begin it just at{' '}
          <input
            className="word"
            value={typed}
            onChange={(e) => setTyped(e.target.value)}
            placeholder="Tue 9 8:30"
            aria-invalid={refused !== ''}
          />
        </label>
        <Button type="submit" variant="outline-primary" size="sm" disabled={typed.trim() === ''}>
          Pin it
        </Button>
        {step.pinned && (
          <Button variant="outline-primary" size="sm" onClick={() => void pin('')}>
            Let it go
          </Button>
        )}
        <Button variant="outline-primary" size="sm" onClick={close}>
          Close
        </Button>
      </form>
      {refused && (
        <p className="refusal" role="alert">
          {refused}
        </p>
      )}
    </section>
  );
}

/** What each way to follow one coat by the next comes to. */
function Schools({ days, desk }: { days: Days; desk: JobDesk }) {
  return (
    <table className="compare schools">
      <thead>
        <tr>
          <th scope="col">The next coat goes on</th>
          <th scope="col" className="n">
            Days with coats
          </th>
          <th scope="col" className="n">
            Cured after
          </th>
          <th />
        </tr>
      </thead>
      <tbody>
        {days.schools.map((s) => (
          <tr key={s.text} className={s.chosen ? 'now' : ''}>
            <td>{s.text}</td>
            <td className="n" data-label="Days with coats">
              {s.days}
            </td>
            <td className="n" data-label="Cured after">
              <FigureText figure={s.cured} />
              <span className="small quiet by">{s.until}</span>
            </td>
            <td className="n">
              {s.chosen ? (
                'so planned'
              ) : (
                <Button
                  variant="outline-primary"
                  size="sm"
                  aria-label={`Plan coats ${s.text}`}
                  onClick={() => desk.apply(s.edits)}
                >
                  Plan it so
                </Button>
              )}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** The same by time, for a phone and for reading aloud. */
function Listed({
  days,
  pick,
  picked,
}: {
  days: Days;
  pick: (step: string | null) => void;
  picked: string | null;
}) {
  return (
    <section className="part listed">
      <h2>By time</h2>
      {days.days.map((d, i) => {
        const steps = days.steps.filter((s) => s.pieces[0]?.day === i);
        return (
          steps.length > 0 && (
            <Fragment key={d.date}>
              <h3>
                {d.name} {d.text}
              </h3>
              <ol>
                {steps.map((s) => (
                  <li key={s.key} className={s.kind === 'WAIT' ? 'wait' : ''}>
                    <button
                      type="button"
                      className="plain"
                      aria-pressed={picked === s.key}
                      onClick={() => pick(s.key)}
                    >
                      <span className="at">{s.at}</span>
                      <span>{s.what}</span>
                      <span className="takes">{s.takes.text}</span>
                    </button>
                  </li>
                ))}
              </ol>
            </Fragment>
          )
        );
      })}
    </section>
  );
}
