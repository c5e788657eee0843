import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useRef, useState, type SyntheticEvent } from 'react';
import Button from 'react-bootstrap/Button';
import { Link, useLocation, useSearchParams } from 'react-router-dom';
import { client, unwrap, type Job } from '../../api/client';
import type { components } from '../../api/schema';
import { newId } from '../../run/newId';
import { useScreen } from '../../run/useScreen';
import { Notice } from '../../ui/Notice';
import { NotRead } from '../../ui/NotRead';
import { Pick } from '../../ui/Pick';
import { madeQuery } from '../jobQueries';
import { STAGES } from '../stages';
import type { JobDesk } from '../useJob';

type Faults = components['schemas']['FaultsResponse'];
type Diagnosed = components['schemas']['DiagnosisResponse'];
type Ranked = Diagnosed['causes'][number];
type Question = Diagnosed['questions'][number];
type Seen = Faults['seen'][number]['seen'];

const NOTHING = 'nothing yet';

/** So many causes are worth reading; the rest are named. */
const READ = 3;

/** Why something went wrong: by the record of the job first, then by a few questions. */
export function Diagnosis({ job, desk }: { job: Job; desk: JobDesk }) {
  const [asked, setAsked] = useSearchParams();
  const seen = asked.get('seen') as Seen | null;
  const cast = Number(asked.get('cast') ?? 0);
  const key = ['job', job.id, 'faults'];
  const {
    data: faults,
    error,
    refetch,
  } = useQuery({
    queryKey: key,
    queryFn: () =>
      unwrap(client.GET('/api/jobs/{id}/diagnosis', { params: { path: { id: job.id } } })),
    staleTime: 0,
  });
  const { data: made } = useQuery(madeQuery(job.id));
  const section = useRef<HTMLElement>(null);
  const ready = faults !== undefined && asked.get('seen') !== null;
  const { hash } = useLocation();
  useEffect(() => {
    if (ready && hash === '#why') {
      section.current?.scrollIntoView();
    }
  }, [ready, hash]);
  const casts = (made?.casts ?? []).filter((c) => c.struck === '').map((c) => c.number);
  const see = (next: { seen?: string; cast?: number }) =>
    setAsked(
      (before) => {
        const now = new URLSearchParams(before);
        if (next.seen !== undefined) {
          now.set('seen', next.seen);
        }
        if (next.cast !== undefined) {
          now.set('cast', String(next.cast));
        }
        return now;
      },
      { replace: true },
    );
  return (
    <section ref={section} id="why" className="part diagnosis" aria-label="What went wrong">
      <h2>What went wrong?</h2>
      <NotRead what="What can go wrong" error={error} again={refetch} />
      {faults && (
        <p className="sentence">
          I see{' '}
          <Pick<string>
            name="what is wrong"
            options={faults.seen.map((s) => s.seen)}
            text={(v) => faults.seen.find((s) => s.seen === v)?.text ?? NOTHING}
            value={seen ?? ''}
            choose={(v) => see({ seen: v })}
          />
          {casts.length > 0 && (
            <>
              , on{' '}
              <Pick<number>
                name="where it is seen"
                options={[0, ...casts]}
                text={(n) => (n === 0 ? 'no cast that was counted' : `cast ${n}`)}
                value={cast}
                choose={(n) => see({ cast: n })}
              />
            </>
          )}
          .
        </p>
      )}
      {seen && faults && (
        <Found key={`${seen} ${cast}`} job={job} desk={desk} seen={seen} cast={cast} of={key} />
      )}
      {faults && faults.cases.length > 0 && <Cases job={job} faults={faults} of={key} />}
    </section>
  );
}

interface FoundProps {
  job: Job;
  desk: JobDesk;
  seen: Seen;
  cast: number;
  of: string[];
}

function Found({ job, desk, seen, cast, of }: FoundProps) {
  const [answers, setAnswers] = useState<Record<string, string>>({});
  const [said, setSaid] = useState<string[]>([]);
  const queries = useQueryClient();
  const { who } = useScreen();
  const {
    data: found,
    error,
    refetch,
  } = useQuery({
    queryKey: [...of, job.version, seen, cast, answers],
    queryFn: () =>
      unwrap(
        client.POST('/api/jobs/{id}/diagnosis', {
          params: { path: { id: job.id } },
          body: { seen, cast, answers },
        }),
      ),
    placeholderData: (before: Diagnosed | undefined) => before,
    staleTime: 0,
  });
  const keep = useMutation({
    networkMode: 'always',
    mutationFn: (cause: Ranked['cause']) =>
      unwrap(
        client.POST('/api/jobs/{id}/diagnosis/cases', {
          params: { path: { id: job.id } },
          body: { id: newId(), who, seen, cast, answers, cause },
        }),
      ),
    onSuccess: (now) => queries.setQueryData(of, now),
  });
  if (!found) {
    return <NotRead what="Why it is so" error={error} again={refetch} />;
  }
  const most = Math.max(1, ...found.causes.map((c) => c.points));
  return (
    <>
      {found.place && (
        <p>
          At the place that was shown:{' '}
          {found.place.told.join(' ') || 'what the shape makes of it is being worked out …'}
        </p>
      )}
      {found.known.length > 0 && (
        <p className="small">On record: {found.known.map((k) => k.text).join(' · ')}.</p>
      )}
      {said.length > 0 && <p className="small">You said: {said.join(' · ')}.</p>}
      <ol className="causes">
        {found.causes.slice(0, READ).map((c, i) => (
          <li key={c.cause}>
            <p className="cause">
              <span
                className="points"
                style={{ width: `${Math.max(0, (6 * c.points) / most)}rem` }}
              />
              <strong>{c.text}</strong>{' '}
              <span className="quiet">
                {c.score} {c.score === '1' ? 'point' : 'points'}
                {c.forIt.length + c.against.length > 0 && `: ${c.begins} to begin with, and`}
              </span>
            </p>
            <ul>
              {c.forIt.map((f) => (
                <li key={f}>for it: {f}</li>
              ))}
              {c.against.map((f) => (
                <li key={f}>against it: {f}</li>
              ))}
            </ul>
            {i === 0 && (
              <>
                <p>
                  <strong>Now:</strong> {c.now}
                </p>
                <p>
                  <strong>Next time:</strong> {c.next}{' '}
                  {c.stage && (
                    <Link to={`/jobs/${job.id}/${c.stage}`}>
                      Change it on {STAGES.find((s) => s.id === c.stage)?.text}
                    </Link>
                  )}
                  {c.habit && (
                    <>
                      {' '}
                      Plans go by the workshop’s {c.habit.text}, {c.habit.now}:{' '}
                      <Link to={`/workshop#${c.habit.word}`}>change it there</Link>, if that is
                      another.
                    </>
                  )}
                </p>
                {c.fix && <Change fix={c.fix} desk={desk} />}
              </>
            )}
            <Button
              size="sm"
              variant="outline-primary"
              disabled={keep.isPending}
              onClick={() => keep.mutate(c.cause)}
            >
              I take it for this
            </Button>
          </li>
        ))}
      </ol>
      {found.causes.length > READ && (
        <p className="small quiet">
          Less likely:{' '}
          {found.causes
            .slice(READ)
            .map((c) => `${c.text.charAt(0).toLowerCase()}${c.text.slice(1)} (${c.score})`)
            .join('; ')}
          .
        </p>
      )}
      {keep.error && <Notice title="Not kept" text={keep.error.message} close={keep.reset} />}
      {found.questions.length > 0 && (
        <>
          <h3>It would help to know</h3>
          {found.questions.map((q) => (
            <Asked
              key={q.fact}
              question={q}
              answer={(facts, text) => {
                setAnswers((before) => ({ ...before, ...facts }));
                setSaid((before) => [...before, `${q.text} ${text}`]);
              }}
            />
          ))}
        </>
      )}
    </>
  );
}

/** What can be changed at once, so that it does not come again. */
function Change({ fix, desk }: { fix: NonNullable<Ranked['fix']>; desk: JobDesk }) {
  return (
    <p>
      <Button size="sm" variant="primary" onClick={() => desk.apply(fix.edits)}>
        {fix.label}
      </Button>
    </p>
  );
}

function Asked({
  question,
  answer,
}: {
  question: Question;
  answer: (facts: Record<string, string>, text: string) => void;
}) {
  const [typed, setTyped] = useState('');
  const give = (e: SyntheticEvent) => {
    e.preventDefault();
    const text = typed.trim();
    if (text !== '') {
      answer({ [question.fact]: text.replace(',', '.') }, `${text} ${question.unit}`.trim());
    }
  };
  return (
    <form className="asked" onSubmit={give}>
      <span>{question.text}</span>
      {question.answers.map((a) => (
        <Button
          key={a.text}
          size="sm"
          variant="outline-primary"
          onClick={() => answer(a.facts, a.text)}
        >
          {a.text}
        </Button>
      ))}
      {question.answers.length === 0 && (
        <>
          <input
            className="word"
            size={8}
            aria-label={question.text}
            value={typed}
            onChange={(e) => setTyped(e.target.value)}
          />
          {question.unit}
          <Button size="sm" variant="outline-primary" type="submit">
            Say so
          </Button>
        </>
      )}
    </form>
  );
}

/** What was looked into before, and whether it was that. */
function Cases({ job, faults, of }: { job: Job; faults: Faults; of: string[] }) {
  const queries = useQueryClient();
  const { who } = useScreen();
  const end = useMutation({
    networkMode: 'always',
    mutationFn: ({ id, wasIt }: { id: string; wasIt: boolean }) =>
      unwrap(
        client.POST('/api/jobs/{id}/diagnosis/cases/{number}/outcome', {
          params: { path: { id: job.id, number: id } },
          body: { who, wasIt },
        }),
      ),
    onSuccess: (now) => queries.setQueryData(of, now),
  });
  return (
    <>
      <h3>Looked into before</h3>
      <ul className="cases">
        {faults.cases.map((c) => (
          <li key={c.id}>
            {[c.at, c.who, c.cast > 0 ? `cast ${c.cast}` : ''].filter(Boolean).join(' · ')}:{' '}
            {c.seen}. Taken for: {c.cause.charAt(0).toLowerCase()}
            {c.cause.slice(1)}.{' '}
            {c.wasIt === undefined ? 'Was it that?' : c.wasIt ? 'It was.' : 'It was not.'}{' '}
            {c.wasIt !== true && (
              <button
                type="button"
                className="figure"
                onClick={() => end.mutate({ id: c.id, wasIt: true })}
              >
                Yes, it helped
              </button>
            )}{' '}
            {c.wasIt !== false && (
              <button
                type="button"
                className="figure"
                onClick={() => end.mutate({ id: c.id, wasIt: false })}
              >
                No
              </button>
            )}
          </li>
        ))}
      </ul>
      {end.error && <Notice title="Not kept" text={end.error.message} close={end.reset} />}
    </>
  );
}
