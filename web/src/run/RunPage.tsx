import { useQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { Link, useParams } from 'react-router-dom';
import { accessQuery } from '../access/accessQuery';
import { useTitle } from '../app/useTitle';
import { Notice } from '../ui/Notice';
import { NotRead } from '../ui/NotRead';
import { Clocks } from './Clocks';
import { glued } from '../ui/glued';
import { Keypad } from './Keypad';
import { Reason } from './Reason';
import { Rehearsed } from './Rehearsed';
import { resultKeys, resultOf, USUALLY } from './results';
import { runQuery } from './runQueries';
import { StandIns } from './StandIns';
import { StepBody } from './StepBody';
import {
  batchOf,
  byHand,
  heardHere,
  lastAt,
  mainOf,
  nextOf,
  pendingKeys,
  taskOf,
  comingAfter,
  type Key,
} from './steps';
import { StepPictures } from './StepPictures';
import { useActs } from './useActs';
import { useLive, useServerNow } from './useLive';
import { useMainKey } from './useMainKey';
import { useNextCast } from './useNextCast';
import { useReopened } from './useReopened';
import { useRings } from './useRings';
import { useAwake, useScreen } from './useScreen';

type Asking = 'grams' | 'level' | 'leave' | 'correct' | 'weight' | 'REPAIR' | 'SCRAP' | null;

/** The bench: one step at a time, readable from two metres. */
export function RunPage() {
  const { id = '' } = useParams();
  const { data: run, error, refetch, isFetching } = useQuery(runQuery(id));
  const screen = useScreen();
  const { data: access } = useQuery(accessQuery);
  const who = screen.who === '' ? (access?.initials ?? '') : screen.who;
  useAwake();
  const reopens = useReopened();
  const { live, lost, heard } = useLive(id);
  const now = useServerNow(heard, run?.now ?? 0);
  const { act, waiting, refused, dismiss } = useActs(id, who);
  const [earlyAt, setEarlyAt] = useState('');
  const [looked, setLooked] = useState<string | null>(null);
  const [asked, setAsked] = useState<{ step: string; what: Asking } | null>(null);
  const [weighed, setWeighed] = useState('');
  const nextCast = useNextCast(run);
  const rings = useRings(id, run?.clocks ?? [], now);

  const pending = pendingKeys(waiting);
  const next = run ? nextOf(run, pending) : '';
  const task = run && (taskOf(run, looked ?? next) ?? taskOf(run, next));
  const back = looked !== null && looked !== next;
  const batch = run && batchOf(run, task);
  const entry = run && task && lastAt(run, task);
  const scale = heardHere(live, lost);
  const [heardBefore, setHeardBefore] = useState(false);
  if (scale && !heardBefore) {
    setHeardBefore(true);
  }
  const weighing = (scale ? live?.weighing : undefined) ?? run?.weighing;

  // before its window opens a coat is waited for, unless somebody wants it all the same
  const early =
    (task?.kind === 'WEIGH' || task?.kind === 'GATE') &&
    task.opens !== '' &&
    !batch?.cup &&
    earlyAt !== task.key &&
    !back
      ? task
      : null;

  useTitle(rings.due[0]?.says ?? (run && `${run.name}, bench`));
  const asking = asked !== null && asked.step === task?.key ? asked.what : null;
  const setAsking = (what: Asking) => setAsked(task ? { step: task.key, what } : null);

  // what a clock ends, or opens, is asked for then
  const turns = (run?.clocks ?? [])
    .flatMap((c) => [c.untilMs, c.fromMs])
    .filter((at) => at > (run?.now ?? 0));
  const turn = turns.length > 0 ? Math.min(...turns) : Infinity;
  const turned = now > turn;
  const behind = live !== null && run !== undefined && live.version > run.version;
  useEffect(() => {
    if ((turned || behind) && !isFetching) {
      void refetch();
    }
  }, [turned, behind, isFetching, refetch]);

  const step = (by: number) => {
    if (run && task) {
      const to = run.tasks[run.tasks.indexOf(task) + by];
      if (to) {
        setLooked(to.key === next ? null : to.key);
      }
    }
  };

  const keys: Key[] = [];
  let main: Key = { label: '' };
  if (run && task) {
    const whole = mainOf(task);
    const ended = task.status === 'DONE' || task.status === 'SKIPPED';
    if (back) {
      main = { label: 'Back to what is next', run: () => setLooked(null) };
    } else if (asking !== null) {
      main = { label: '…' };
    } else if (task.kind === 'WAIT') {
      const until = run.clocks.find((c) => c.key === task.key)?.until ?? '';
      main = { label: `Come back at ${until}` };
      keys.push({
        label: 'It is over already',
        run: () => void act({ kind: 'TICK', key: task.key }, `Over already: ${task.label}`),
      });
    } else if (early) {
      main = { label: `Come back at ${early.opens}` };
      keys.push({
        label: task.kind === 'WEIGH' ? 'Weigh now all the same' : 'Touch it now all the same',
        run: () => setEarlyAt(task.key),
      });
    } else if (task.kind === 'WEIGH') {
      main = scale
        ? {
            label: live?.settled
              ? 'Pour: it is read by itself'
              : 'Settles by itself when the scale is still',
          }
        : heardBefore
          ? { label: 'The scale is not heard' }
          : { label: 'Type the grams', run: () => setAsking('grams') };
      const toZero = { label: 'Set to zero', run: () => void act({ kind: 'TARE' }, 'Set to zero') };
      // an empty scale is no cup: only a finger sets it to zero
      const cupIsOn = Boolean(weighing?.toZero && scale?.laden);
      if (scale && weighing?.toZero) {
        main = cupIsOn ? toZero : { label: 'Put the cup on' };
      }
      // the step is new, and the scale has not been read for it yet: no foot types meanwhile
      if (scale && scale.weighing === undefined) {
        main = { label: '…' };
      }
      // no foot takes too little for enough
      if (batch?.mayTakeBase) {
        keys.push({
          label: 'Take it as it is',
          run: () => void act({ kind: 'TICK', key: `${batch.key}.base` }, 'Take it as it is'),
        });
      }
      // no foot types for a scale that fell silent
      if (scale || heardBefore) {
        keys.push({ label: 'Type it', run: () => setAsking('grams') });
      }
      if (scale && !cupIsOn) {
        keys.push(toZero);
      }
      // no foot weighs for another mould
      for (const other of lost ? [] : run.sharing) {
        keys.push({
          label: `Weigh for ${other.mould} too: ${other.amount} more`,
          run: () => void act({ kind: 'SHARE', key: other.run }, `Weigh for ${other.mould} too`),
        });
      }
      // no foot changes the scale
      for (const other of lost ? [] : (live?.others ?? [])) {
        keys.push({
          label: `Read ${other.name}`,
          run: () => void act({ kind: 'SCALE', key: other.id }, `Read ${other.name}`),
        });
      }
    } else if (task.kind === 'RESULT') {
      const asks = resultKeys(task, scale, weighed, {
        act: (doing, text) => {
          setWeighed('');
          void act(doing, text);
        },
        why: setAsking,
        weigh: () => setAsking('weight'),
        take: setWeighed,
      });
      main = asks.main;
      keys.push(...asks.keys);
    } else if (task.kind === 'LEVEL') {
      main = {
        label: batch?.level ? 'Read it again' : 'Type the level',
        run: () => setAsking('level'),
      };
      keys.push({
        label: batch?.level ? 'Go on all the same' : 'Skip',
        run: () => void act({ kind: 'GATE', key: task.key, yes: false }, `Skip: ${task.label}`),
      });
    } else if (whole) {
      main = {
        label: whole.label,
        run: () => void act(whole.doing, `${whole.label}: ${task.label}`),
      };
    }
    if (entry && back && asking === null) {
      keys.push({ label: 'Strike it out', run: () => setAsking('correct') });
    }
    if (!back && !ended) {
      if (task.kind === 'GATE') {
        keys.push({
          label: 'Skip',
          run: () => void act({ kind: 'GATE', key: task.key, yes: false }, `Skip: ${task.label}`),
        });
      } else if (task.kind === 'VERDICT') {
        keys.push({
          label: 'Not yet',
          run: () =>
            void act({ kind: 'VERDICT', key: task.key, yes: false }, `Not yet: ${task.label}`),
        });
      } else if (byHand(task)) {
        keys.push({ label: 'Leave out', run: () => setAsking('leave') });
      }
      if (batch?.stillBase) {
        keys.push({
          label: `That was still ${batch.first}`,
          run: () => void act({ kind: 'STILL_BASE' }, `That was still ${batch.first}`),
        });
      }
      if (batch?.cup && weighing?.spoilt) {
        keys.push({
          label: 'Start again',
          run: () => void act({ kind: 'START_OVER', key: batch.key }, 'Start again in a clean cup'),
        });
      }
      if (task.kind === 'WEIGH' && live && live.elsewhere !== '') {
        keys.push({
          label: `Scale is at ${live.elsewhere}: take it here`,
          run: () => void act({ kind: 'SCALE' }, 'Take the scale here'),
        });
      }
    }
  }
  if (run && !task && run.casts.length > 0) {
    main = nextCast.isPending
      ? { label: 'Next cast' }
      : { label: 'Next cast', run: () => nextCast.mutate() };
  }
  useMainKey(asking === null ? main.run : undefined, () => step(-1));

  if (!run) {
    return (
      <main className="run">
        <NotRead what="This run" error={error} again={refetch} />
      </main>
    );
  }
  const coming = task ? comingAfter(run, task.key, pending).slice(0, 5) : [];
  return (
    <div className={`run${screen.dark ? ' dark' : ''}`}>
      <header>
        <Link to="/" className="wordmark" title="To the shelf">
          ungula
        </Link>
        <strong>
          {run.name}
          {run.casts.length > 0 &&
            `: cast, ${run.casts.length === 1 ? 'mould' : 'moulds'} ${run.casts.join(', ')}`}
        </strong>
        <span className="quiet where">
          {[
            task?.part,
            run.casts.length === 0 ? batch?.name : undefined,
            `${run.done} of ${run.tasks.length} steps done`,
          ]
            .filter((said) => said !== undefined)
            .join(' · ')}
        </span>
        <span className="air">
          {live?.room && <strong>{live.room}</strong>}
          <span className="quiet heard">{lost ? 'server not heard' : (live?.scaleSays ?? '')}</span>
          <label className="who">
            <span>You are</span>
            <input
              value={who}
              maxLength={20}
              placeholder="initials"
              onChange={(e) => screen.be(e.target.value)}
              onKeyDown={(e) => {
                if (e.key === 'Enter') {
                  e.currentTarget.blur();
                }
              }}
            />
          </label>
          <button type="button" onClick={() => screen.darken(!screen.dark)}>
            {screen.dark ? 'Bright' : 'Dark'}
          </button>
          <Link
            className="stop"
            to={
              run.exercise
                ? '/exercises'
                : `/jobs/${run.job}/${run.casts.length > 0 ? 'casts' : 'bench'}`
            }
          >
            Stop here
          </Link>
        </span>
      </header>
      <div className="told" aria-live="assertive">
        {run.rehearsal && (
          <Rehearsed
            run={run.id}
            speed={live?.speed ?? run.speed}
            version={run.version}
            exercise={run.exercise}
          />
        )}
        {rings.due.map((r) => (
          <div className="rings" role="alert" key={r.id}>
            <p>{r.says}</p>
            <button type="button" onClick={() => rings.put(r.id)}>
              Heard
            </button>
          </div>
        ))}
        {lost && (
          <p className="lost">
            The server is not heard. Clocks and this step go on; what you press is kept here and
            delivered when it is back.
            {!reopens && ' Leave this page open: it cannot be loaded again now.'}
          </p>
        )}
        {waiting.length > 0 && (
          <p className="lost">Not delivered yet: {waiting.map((w) => w.text).join(' · ')}</p>
        )}
        {live?.clock && <p className="lost">{live.clock}</p>}
        {refused && <Notice text={refused} close={dismiss} />}
      </div>
      <main>
        {task ? (
          <StepBody
            run={run}
            task={task}
            live={lost ? null : live}
            now={now}
            early={early !== null}
            weighing={weighing}
            foam={(what) => void act({ kind: 'FOAM', foam: what }, 'Foam')}
            pick={(lot, name) => void act({ kind: 'LOT', key: lot }, name)}
          />
        ) : (
          <div className="say">
            <h1>All is done.</h1>
            {run.casts.length > 0 ? (
              <>
                <p className="follows">
                  It is counted on the job’s Casts page. Close the mould, then go on with the next.
                </p>
                {nextCast.error && <Notice text={nextCast.error.message} close={nextCast.reset} />}
              </>
            ) : (
              <p className="follows">
                The mould is open. What happened stands on the job’s Bench page.
              </p>
            )}
          </div>
        )}
        <aside>
          <div className="coming">
            <h2>{coming.length > 0 ? 'then' : ''}</h2>
            <ol className="then">
              {coming.map((t) => (
                <li key={t.key}>
                  <button type="button" onClick={() => setLooked(t.key === next ? null : t.key)}>
                    {glued(t.what)}
                  </button>
                </li>
              ))}
            </ol>
          </div>
          <Clocks clocks={run.clocks} now={now} />
          {task && !run.rehearsal && <StepPictures run={run.id} task={task} who={who} />}
        </aside>
        {asking === 'grams' && weighing && (
          <Keypad
            ask={`How much ${weighing.name} is in the cup?`}
            unit={run.massUnit}
            close={() => setAsking(null)}
            take={(typed) => {
              setAsking(null);
              void act(
                {
                  kind: 'GRAMS',
                  key: weighing.batch,
                  part: weighing.part,
                  which: weighing.which,
                  value: typed,
                },
                `${typed} of ${weighing.name}`,
              );
            }}
          />
        )}
        {asking === 'weight' && (
          <Keypad
            ask="What does the cast weigh, with what it was poured through?"
            unit={run.massUnit}
            close={() => setAsking(null)}
            take={(typed) => {
              setAsking(null);
              setWeighed(typed);
            }}
          />
        )}
        {(asking === 'REPAIR' || asking === 'SCRAP') && task && (
          <Reason
            ask="What is wrong with it?"
            usual={USUALLY[asking]}
            label="Write it down"
            close={() => setAsking(null)}
            give={(why) => {
              setAsking(null);
              setWeighed('');
              void act(
                resultOf(task, asking, weighed, why),
                asking === 'SCRAP' ? 'Scrap' : 'To repair',
              );
            }}
          />
        )}
        {asking === 'level' && task && (
          <Keypad
            ask="How high does the rubber stand above the base?"
            unit={run.lengthUnit}
            close={() => setAsking(null)}
            take={(typed) => {
              setAsking(null);
              void act({ kind: 'LEVEL', key: task.batch, value: typed }, `Level ${typed}`);
            }}
          />
        )}
        {asking === 'leave' && task && (
          <Reason
            ask={`Why is this left out? “${task.what}”`}
            usual={['It was done before.', 'This master does not need it.']}
            label="Leave it out"
            close={() => setAsking(null)}
            give={(why) => {
              setAsking(null);
              void act({ kind: 'LEAVE_OUT', key: task.key, why }, `Leave out: ${task.label}`);
            }}
          />
        )}
        {asking === 'correct' && entry && (
          <Reason
            ask={`Why does this not count? “${entry.text}”`}
            usual={['It was pressed by mistake.', 'It was read or typed wrong.']}
            label="Strike it out"
            close={() => setAsking(null)}
            give={(why) => {
              setAsking(null);
              setLooked(null);
              void act({ kind: 'CORRECT', number: entry.number, why }, `Strike out: ${entry.text}`);
            }}
          />
        )}
      </main>
      {task && !early && (
        <StandIns
          weighs={task.kind === 'WEIGH' || live?.weighing !== undefined}
          degas={task.kind === 'DEGAS'}
          rehearsal={run.rehearsal ? run.id : null}
        />
      )}
      <footer>
        <button type="button" className="key" onClick={() => step(-1)}>
          Back
        </button>
        {keys.map((k) => (
          <button type="button" className="key" key={k.label} onClick={k.run}>
            {k.label}
          </button>
        ))}
        <button
          type="button"
          className="key main"
          disabled={!main.run}
          onClick={main.run}
          title="Space, or any key of a foot switch"
        >
          {main.label}
        </button>
      </footer>
    </div>
  );
}
