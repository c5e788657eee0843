import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import Button from 'react-bootstrap/Button';
import { Link } from 'react-router-dom';
import { client, unwrap, type CastsMade, type Job } from '../../api/client';
import { newId } from '../../run/newId';
import { Reason } from '../../run/Reason';
import { USUALLY } from '../../run/results';
import { useScreen } from '../../run/useScreen';
import { Notice } from '../../ui/Notice';
import { NotRead } from '../../ui/NotRead';
import { Word } from '../../ui/Word';
import { useWords } from '../../ui/words';
import { madeQuery } from '../jobQueries';

type Result = CastsMade['casts'][number]['result'];

const OUT: Record<Result, string> = {
  GOOD: 'good',
  REPAIR: 'to repair',
  SCRAP: 'scrap',
  CLEANING: 'clean-out',
  STRUCK: '',
};

const USUAL = {
  ...USUALLY,
  STRUCK: ['It was pressed by mistake.'],
};

/** What the usual reasons are looked into as. */
const SEEN: Record<string, string> = {
  'It was not filled.': 'SHORT_SHOT',
  'A hole where it shows.': 'HOLES_SAME_PLACE',
  'It stayed sticky.': 'CAST_TACKY',
  'A bubble to fill.': 'HOLES_ANYWHERE',
  'Flash to sand off.': 'STEP_AND_FLASH',
};

const seenAs = (why: string) => (SEEN[why] ? `&seen=${SEEN[why]}` : '');

/** What is asked for a reason. */
type Asked = { result: 'REPAIR' | 'SCRAP' } | { result: 'STRUCK'; number: number };

/** Casts are counted here, each by one large key. */
export function MadePart({
  job,
  showPlace,
}: {
  job: Job;
  /** Asks where a cast is not good, on the master. */
  showPlace: (cast: number) => void;
}) {
  const queries = useQueryClient();
  const { data: made, error, refetch } = useQuery(madeQuery(job.id));
  const { write } = useWords();
  const { who } = useScreen();
  const [picked, setMould] = useState(1);
  const at = made?.moulds.find((m) => m.mould === picked) ?? made?.moulds[0];
  const mould = at?.mould ?? picked;
  const [mass, setMass] = useState('');
  const [asked, setAsked] = useState<Asked | null>(null);
  // what was perhaps delivered is the same deed when it is pressed again
  const failed = useRef<{ id: string; what: string } | null>(null);
  const record = useMutation({
    networkMode: 'always',
    mutationFn: (cast: { id: string; result: Result; why?: string; strikes?: number }) =>
      unwrap(
        client.POST('/api/jobs/{id}/casts/made', {
          params: { path: { id: job.id } },
          body: { who, mould, mass: cast.strikes ? '' : mass, ...cast },
        }),
      ),
    onError: (_, { id, ...what }) => {
      failed.current = { id, what: JSON.stringify(what) };
    },
    onSuccess: (now) => {
      failed.current = null;
      queries.setQueryData(madeQuery(job.id).queryKey, now);
      setMass('');
      return queries.invalidateQueries({ queryKey: ['job', job.id, 'casts'] });
    },
  });
  const add = (result: Result, why?: string, strikes?: number) => {
    const what = {
      result,
      ...(why === undefined ? {} : { why }),
      ...(strikes === undefined ? {} : { strikes }),
    };
    const again = failed.current?.what === JSON.stringify(what) ? failed.current.id : newId();
    record.mutate({ ...what, id: again });
  };
  return (
    <div className="part">
      <h2>Made so far</h2>
      <NotRead what="The casts made" error={error} again={refetch} />
      {made && (
        <>
          <p className="sentence">
            {made.usable === 0 && made.scrap === 0
              ? 'None yet.'
              : `${made.usable} to use${made.repair > 0 ? `, ${made.repair} of them to repair` : ''}; ${made.scrap} scrap${made.cleanings > 0 ? `, ${made.cleanings} as clean-out` : ''}.`}{' '}
            {at && at.code !== '' && (
              <>
                {made.moulds.length > 1 ? `Mould ${at.mould}` : 'The mould'} (
                <Link to={`/moulds/${at.code}`} className="code">
                  {at.code}
                </Link>
                ) gave {at.casts}
                {at.gives > 0 && ` of about ${at.gives}`}.
              </>
            )}
            {at?.mould === 1 && at.code === '' && (
              <>
                Casts the mould gave before: <Word k="cast.series.gaveBefore" after="." />
              </>
            )}
          </p>
          <div className="countkeys">
            {made.moulds.length > 1 && (
              <label>
                out of mould{' '}
                <select value={mould} onChange={(e) => setMould(Number(e.target.value))}>
                  {made.moulds.map((m) => (
                    <option key={m.mould} value={m.mould}>
                      {m.mould}
                    </option>
                  ))}
                </select>
              </label>
            )}
            <label>
              weighs{' '}
              <input
                value={mass}
                placeholder="not weighed"
                onChange={(e) => setMass(e.target.value)}
              />
            </label>
            <Button size="lg" disabled={record.isPending} onClick={() => add('GOOD')}>
              One more, good
            </Button>
            <Button
              size="lg"
              variant="outline-primary"
              onClick={() => setAsked({ result: 'REPAIR' })}
            >
              To repair
            </Button>
            <Button
              size="lg"
              variant="outline-primary"
              onClick={() => setAsked({ result: 'SCRAP' })}
            >
              Scrap
            </Button>
          </div>
          {asked && (
            <div className="castreason">
              <Reason
                ask={
                  asked.result === 'STRUCK' ? 'Why does this not count?' : 'What is wrong with it?'
                }
                usual={USUAL[asked.result]}
                label={asked.result === 'STRUCK' ? 'Strike it out' : 'Record it'}
                close={() => setAsked(null)}
                give={(why) => {
                  setAsked(null);
                  add(asked.result, why, asked.result === 'STRUCK' ? asked.number : undefined);
                }}
              />
            </div>
          )}
          {record.error && <Notice text={record.error.message} close={record.reset} />}
          {made.lastG !== '' && job.words['cast.amount.way']?.value !== 'LAST' && (
            <p>
              The last one weighed {made.casts.find((c) => c.mass !== '' && c.struck === '')?.mass}.{' '}
              <button
                type="button"
                className="plain"
                onClick={() =>
                  void write('cast.amount.lastG', made.lastG).then(() =>
                    write('cast.amount.way', 'LAST'),
                  )
                }
              >
                Mix by that
              </button>
            </p>
          )}
          {made.casts.length > 0 && (
            <p className="small">
              <a href={`/api/jobs/${job.id}/casts/casts.csv`}>All of them as CSV</a>
            </p>
          )}
          {made.casts.length > 0 && (
            <ol className="castlist" reversed>
              {made.casts.map((c) => (
                <li key={c.number} className={c.struck === '' ? undefined : 'struck'}>
                  {[
                    `${c.number}: ${OUT[c.result]}`,
                    made.moulds.length > 1 ? `mould ${c.mould}` : '',
                    c.mass,
                    c.why.replace(/\.$/, ''),
                    c.at,
                    c.who,
                  ]
                    .filter((t) => t !== '')
                    .join(' · ')}
                  {c.struck === '' && c.why !== '' && job.hasShape && (
                    <button type="button" className="plain" onClick={() => showPlace(c.number)}>
                      {c.spot ? 'Show another place' : 'Show where'}
                    </button>
                  )}
                  {c.struck === '' && c.why !== '' && (
                    <Link to={`/jobs/${job.id}/log?cast=${c.number}${seenAs(c.why)}#why`}>
                      Find out why
                    </Link>
                  )}
                  {c.struck === '' ? (
                    <button
                      type="button"
                      className="plain"
                      onClick={() => setAsked({ result: 'STRUCK', number: c.number })}
                    >
                      Strike it out
                    </button>
                  ) : (
                    <em> does not count: {c.struck}</em>
                  )}
                </li>
              ))}
            </ol>
          )}
        </>
      )}
    </div>
  );
}
