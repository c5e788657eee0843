import { queryOptions, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { scaleLinear } from 'd3-scale';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import { client, unwrap } from '../api/client';
import type { components } from '../api/schema';
import { useScreen } from '../run/useScreen';
import { Notice } from '../ui/Notice';
import { NotRead } from '../ui/NotRead';

type Lesson = components['schemas']['LessonView'];
type Deed = components['schemas']['Answered']['deed'];

const learnedQuery = queryOptions({
  queryKey: ['learned'],
  queryFn: () => unwrap(client.GET('/api/learned')),
  staleTime: 0,
});

/** What the workshop's own jobs teach: offered, and gone by only once it is taken. */
export function Learned() {
  const { data: lessons, error, refetch } = useQuery(learnedQuery);
  return (
    <section id="learned" aria-label="What your jobs teach">
      <h2 className="part">What your jobs teach</h2>
      <p className="quiet">
        From what was recorded at the bench, once three jobs say it. Nothing changes before you take
        it.
      </p>
      <NotRead what="What your jobs teach" error={error} again={refetch} />
      {lessons?.map((l) => (
        <One key={l.lesson} lesson={l} />
      ))}
      {lessons?.some((l) => l.jobs.length > 0) && (
        <p>
          <a href="/api/learned/table.csv">All of it as CSV</a>
        </p>
      )}
    </section>
  );
}

function One({ lesson: l }: { lesson: Lesson }) {
  const queries = useQueryClient();
  const { who } = useScreen();
  const answer = useMutation({
    networkMode: 'always',
    mutationFn: (deed: Deed) =>
      unwrap(
        client.POST('/api/learned/{lesson}', {
          params: { path: { lesson: l.lesson } },
          body: { who, deed },
        }),
      ),
    onSuccess: async (now) => {
      queries.setQueryData(learnedQuery.queryKey, now);
      await Promise.all([
        queries.invalidateQueries({ queryKey: ['workshop'] }),
        queries.invalidateQueries({ queryKey: ['job'] }),
      ]);
    },
  });
  const key = (deed: Deed, text: string, first = false) => (
    <Button
      size="sm"
      variant={first ? 'primary' : 'outline-primary'}
      disabled={answer.isPending}
      onClick={() => answer.mutate(deed)}
    >
      {text}
    </Button>
  );
  return (
    <div className="lesson">
      <h3>{l.text.charAt(0).toUpperCase() + l.text.slice(1)}</h3>
      {l.jobs.length > 0 && <Plot lesson={l} />}
      <p>{said(l)}</p>
      {l.methods.length > 0 && (
        <p className="quiet">
          {l.methods
            .map((m) => `${m.name}: ${m.middleSaid || 'too few yet'} (${jobsOf(m.jobs)})`)
            .join(' \u00b7 ')}
        </p>
      )}
      {l.standing === 'OFFERED' && (
        <p className="turns">
          {key('TAKEN', `Go by ${l.offer}`, true)}
          {key('REFUSED', `Stay with ${l.now}`)}
        </p>
      )}
      {l.standing === 'REFUSED' && (
        <p className="turns">{key('TAKEN', `Go by ${l.offer} after all`)}</p>
      )}
      {l.standing === 'TAKEN' && <p className="turns">{key('FORGOTTEN', 'Forget it')}</p>}
      {answer.error && (
        <Notice title="Not changed" text={answer.error.message} close={answer.reset} />
      )}
      {l.lesson === 'SCALE' && <ScaleLook />}
    </div>
  );
}

/** A known weight was put on the scale. */
function ScaleLook() {
  const queries = useQueryClient();
  const { who } = useScreen();
  const [weight, setWeight] = useState('');
  const [shown, setShown] = useState('');
  const note = useMutation({
    networkMode: 'always',
    mutationFn: () =>
      unwrap(client.POST('/api/learned/scale-checks', { body: { who, weight, shown } })),
    onSuccess: (now) => {
      queries.setQueryData(learnedQuery.queryKey, now);
      setShown('');
    },
  });
  return (
    <form
      className="turns"
      onSubmit={(e) => {
        e.preventDefault();
        note.mutate();
      }}
    >
      <label>
        A weight of{' '}
        <input
          className="word"
          size={8}
          value={weight}
          placeholder="500 g"
          onChange={(e) => setWeight(e.target.value)}
        />
      </label>{' '}
      <label>
        shows as{' '}
        <input
          className="word"
          size={8}
          value={shown}
          placeholder="499.6 g"
          onChange={(e) => setShown(e.target.value)}
        />
      </label>{' '}
      <Button
        type="submit"
        size="sm"
        variant="outline-primary"
        disabled={note.isPending || weight.trim() === '' || shown.trim() === ''}
      >
        Note it
      </Button>
      {note.error && <Notice title="Not noted" text={note.error.message} close={note.reset} />}
    </form>
  );
}

const jobsOf = (n: number) => (n === 1 ? 'one job' : `${n} jobs`);

function said(l: Lesson): string {
  const [one, many] = l.lesson === 'SCALE' ? ['one look', 'looks'] : ['one job', 'jobs'];
  const jobs = l.jobs.length === 1 ? one : `${l.jobs.length} ${many}`;
  const out = l.jobs.filter((j) => j.outOfLine).map((j) => `${j.name} (${j.said})`);
  const strays = out.length > 0 ? ` Out of line: ${out.join(', ')}.` : '';
  const middle = `${jobs}: in the middle ${l.middleSaid}.${strays}`;
  const big = middle.charAt(0).toUpperCase() + middle.slice(1);
  switch (l.standing) {
    case 'TOO_FEW':
      return l.jobs.length > 0
        ? `So far ${jobs}; three are needed.`
        : l.lesson === 'SCALE'
          ? 'Nobody looked yet. Put a weight you know on it now and then.'
          : 'No job says it yet.';
    case 'SAME':
      return `${big} You go by ${l.now}, and that is right.`;
    case 'OFFERED':
      return `${big} You go by ${l.now}; by your jobs it is ${l.offer}.`;
    case 'REFUSED':
      return `${big} By your jobs it is ${l.offer}; you stay with ${l.now}.`;
    case 'TAKEN':
      return `${big} You go by it: ${l.now}.`;
    case 'TOLD':
      return `${big} ${l.told}`;
  }
}

const WIDTH = 460;
const HEIGHT = 74;
const EDGE = 34;
const LINE = 34;

/** Each job a dot, the middle and what strays normally behind, what is gone by and offered below. */
function Plot({ lesson: l }: { lesson: Lesson }) {
  const values = [...l.jobs.map((j) => j.value), l.nowValue, l.offerValue ?? l.nowValue];
  const least = Math.min(...values);
  const most = Math.max(...values);
  const room = Math.max(0.5, 0.08 * (most - least));
  const x = scaleLinear([least - room, most + room], [EDGE, WIDTH - EDGE]);
  return (
    <svg
      className="lessonplot"
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      role="img"
      aria-label={`${l.text}: ${l.jobs.map((j) => `${j.name} ${j.said}`).join(', ')}`}
    >
      {l.middle !== undefined && l.spread !== undefined && (
        <>
          <rect
            className="band"
            x={x(l.middle - 2 * l.spread)}
            width={Math.max(1, x(l.middle + 2 * l.spread) - x(l.middle - 2 * l.spread))}
            y={LINE - 14}
            height={28}
          />
          <line
            className="middle"
            x1={x(l.middle)}
            x2={x(l.middle)}
            y1={LINE - 14}
            y2={LINE + 14}
          />
        </>
      )}
      <line className="axis" x1={EDGE} x2={WIDTH - EDGE} y1={LINE} y2={LINE} />
      {l.jobs.map((j, i) => (
        <g key={i}>
          <title>{`${j.name}: ${j.said}`}</title>
          <circle className={j.outOfLine ? 'out' : 'dot'} cx={x(j.value)} cy={LINE} r={5} />
        </g>
      ))}
      <Mark at={x(l.nowValue)} text={l.standing === 'TOLD' ? 'right' : `now ${l.now}`} up />
      {l.offerValue !== undefined && !['SAME', 'TAKEN', 'TOLD'].includes(l.standing) && (
        <Mark at={x(l.offerValue)} text={`by your jobs ${l.offer}`} />
      )}
    </svg>
  );
}

function Mark({ at, text, up = false }: { at: number; text: string; up?: boolean }) {
  const anchor = at < WIDTH / 3 ? 'start' : at > (2 * WIDTH) / 3 ? 'end' : 'middle';
  return (
    <g className={up ? 'now' : 'offer'}>
      <line x1={at} x2={at} y1={up ? LINE - 18 : LINE} y2={up ? LINE : LINE + 18} />
      <text x={at} y={up ? LINE - 22 : LINE + 32} textAnchor={anchor}>
        {text}
      </text>
    </g>
  );
}
