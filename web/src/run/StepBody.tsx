import type { Run, RunLive, RunTask, Weighing } from '../api/client';
import { left } from './Clocks';
import { Cup } from './Cup';
import { FigureText } from '../ui/FigureText';
import { glued } from '../ui/glued';
import { Lots } from './Lots';
import { MouldCut } from './MouldCut';
import { batchOf } from './steps';
import { Trend } from './Trend';

interface Props {
  run: Run;
  task: RunTask;
  live: RunLive | null;
  /** By the server's clock, ms. */
  now: number;
  weighing: Weighing | undefined;
  /** Whether its window is not open yet. */
  early: boolean;
  /** Marks the foam of the batch at hand. */
  foam: (what: 'RISES' | 'FALLEN' | 'OVER_THE_RIM') => void;
  /** Picks the pack rubber is taken from. */
  pick: (lot: string, name: string) => void;
}

/** What is done, large, with a drawing of what is meant. */
export function StepBody({ run, task, live, now, early, weighing, foam, pick }: Props) {
  const batch = batchOf(run, task);
  // a coat's window stands at its weighing; what is seen to before waits for it as well
  const clock =
    run.clocks.find((c) => c.key === task.key) ??
    (early ? run.clocks.find((c) => c.fromMs > now) : undefined);
  const weighs = weighing && task.kind === 'WEIGH' && !early;
  const headline = weighs
    ? weighing.headline
    : early
      ? `Wait: ${batch?.name ?? 'the next coat'} may go on from ${task.opens}.`
      : task.what;
  const degas = task.kind === 'DEGAS';
  return (
    <>
      <div className="say">
        <h1>{glued(headline)}</h1>
        <p className="follows">
          {weighs ? glued(weighing.follows) : degas && live?.degas ? live.degas.headline : task.why}
        </p>
        {degas && live?.degas && <p className="follows">{live.degas.text}</p>}
        {weighs && weighing.toZero && (
          <p className="amount">
            <span className="digits">{live?.scale.replace(/ \S+$/, '')}</span>
            <b>{weighing.unit}</b>
            <span className="of">on the scale now</span>
          </p>
        )}
        {weighs && !weighing.toZero && (
          <p className="amount">
            <span className={`digits ${weighing.place}`}>{weighing.now}</span>
            <b>{weighing.unit}</b>
            <span className="of">
              of{' '}
              <FigureText
                figure={{
                  key: `weigh.${weighing.batch}`,
                  label: weighing.name,
                  value: 0,
                  text: weighing.target,
                  exact: weighing.target,
                  working: weighing.working,
                }}
              />
              <br />
              <strong>{weighing.left}</strong>
            </span>
          </p>
        )}
        {early && clock && (
          <p className="amount">
            <span className="digits wait">{left(clock.fromMs - now)}</span>
            <span className="of">until it may go on</span>
          </p>
        )}
        {task.kind === 'WAIT' && clock && (
          <p className="amount">
            <span className="digits wait">{left(clock.untilMs - now)}</span>
            <span className="of">
              of {task.takes}
              <br />
              <strong>until {clock.until}</strong>
            </span>
          </p>
        )}
        {task.notGood !== '' && (
          <p className="notgood">At {task.notGood} it was not good yet. Look again.</p>
        )}
        {task.opens !== '' && (
          <p className="notgood">
            {!early && `Not before ${task.opens}. `}The coat before has to set so far that it leaves
            no rubber on the glove, and still sticks.
          </p>
        )}
        {batch?.level && task.kind === 'LEVEL' && (
          <div className={`leveltold ${batch.level.verdict}`} role="alert">
            <p>{glued(batch.level.said)}</p>
            {batch.level.lookAt.length > 0 && (
              <ol>
                {batch.level.lookAt.map((l) => (
                  <li key={l}>{glued(l)}</li>
                ))}
              </ol>
            )}
          </div>
        )}
        {degas && (
          <div className="foam" role="group" aria-label="What the foam does">
            {(
              [
                ['RISES', 'It rises'],
                ['FALLEN', 'It has fallen'],
                ['OVER_THE_RIM', 'Over the rim'],
              ] as const
            ).map(([what, text]) => (
              <button
                key={what}
                type="button"
                aria-pressed={batch?.foam === what}
                onClick={() => foam(what)}
              >
                {text}
              </button>
            ))}
          </div>
        )}
        {task.lot && <Lots run={run} pick={pick} />}
        {task.at !== '' && (
          <p className="notgood">
            {task.status === 'SKIPPED' ? 'Skipped' : 'Done'} at {task.at}.
          </p>
        )}
        {task.first !== '' && <p className="follows">Before it: {task.first}.</p>}
        {task.kind !== 'WEIGH' && (
          <ul className="shows">
            {task.shows.map((f) => (
              <li key={f.label}>
                {f.label}: <FigureText figure={f} />
              </li>
            ))}
          </ul>
        )}
        {task.cares.length > 0 && (
          <ul className="cares" aria-label="Mind">
            {task.cares.map((c) => (
              <li key={c}>{c}</li>
            ))}
          </ul>
        )}
      </div>
      <div className="meant">
        {weighs && <Cup weighing={weighing} />}
        {task.kind !== 'WEIGH' && !degas && <MouldCut run={run} task={task} batch={batch} />}
        {degas && live && <Trend trend={live.trend} text={live.gauge} />}
      </div>
    </>
  );
}
