import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useCallback, useState } from 'react';
import Button from 'react-bootstrap/Button';
import { Link, useParams } from 'react-router-dom';
import { client, unwrap, type Edit } from '../api/client';
import { PageHead } from '../app/PageHead';
import { useTitle } from '../app/useTitle';
import { madeQuery } from '../job/jobQueries';
import { Reason } from '../run/Reason';
import { useScreen } from '../run/useScreen';
import { NotRead } from '../ui/NotRead';
import { useWordDesk } from '../ui/useWordDesk';
import { Word } from '../ui/Word';
import { WordContext } from '../ui/words';
import { Gauge } from './Gauge';
import { mouldQuery, type Mould } from './mouldQueries';

const WHY = ['It is torn.', 'It is worn out.', 'Its rubber went hard or sticky.', 'It is lost.'];

/** One mould: what it is of, where it lies, what it gave and what is left in it. */
export function MouldPage() {
  const { code = '' } = useParams();
  const { data: mould, error, refetch } = useQuery(mouldQuery(code));
  const queries = useQueryClient();
  const { who } = useScreen();
  useTitle(mould ? `${mould.mould.of}, ${mould.mould.code}` : 'Mould');
  const keep = useCallback(
    (now: Mould) => {
      queries.setQueryData(mouldQuery(code).queryKey, now);
      return queries.invalidateQueries({ queryKey: ['moulds'] });
    },
    [queries, code],
  );
  const send = useCallback(
    async (edits: Edit[]) => {
      await keep(
        await unwrap(
          client.POST('/api/moulds/{code}/edits', {
            params: { path: { code } },
            body: { who, edits },
          }),
        ),
      );
    },
    [keep, code, who],
  );
  const desk = useWordDesk(`mould ${code}`, mould?.words, send);
  return (
    <div className="page">
      <PageHead />
      <main>
        <p className="small">
          <Link to="/moulds">All moulds</Link>
        </p>
        <NotRead what="This mould" error={error} again={refetch} />
        {mould && desk && (
          <WordContext.Provider value={desk}>
            <One mould={mould} who={who} keep={keep} />
          </WordContext.Provider>
        )}
      </main>
    </div>
  );
}

function One({
  mould,
  who,
  keep,
}: {
  mould: Mould;
  who: string;
  keep: (now: Mould) => Promise<void>;
}) {
  const m = mould.mould;
  return (
    <>
      <div className="bar">
        <h1>
          {m.of}
          {m.number > 0 && `, mould ${m.number}`}
        </h1>
        <span className="code large">{m.code}</span>
      </div>
      <Deeds mould={mould} who={who} keep={keep} />
      {mould.retired && (
        <p className="count STOP">
          Retired: {mould.retired}{' '}
          <button
            type="button"
            className="figure"
            onClick={() => void retire(m.code, who, '', keep)}
          >
            Use it again
          </button>
        </p>
      )}
      <div className="mouldpage">
        <div>
          <p className="sentence">
            Where it lies: <Word k="place" after="." /> It is <Word k="condition" after="." />{' '}
            Jacket: <Word k="jacket" after="." /> Its master:{' '}
            {mould.master || 'nobody said where it is'}
            {m.job && (
              <>
                {' '}
                (<Link to={`/jobs/${m.job}/master`}>say so</Link>)
              </>
            )}
            .
          </p>
          <p className="sentence">
            Made <Word k="made" /> of <Word k="rubber" after="," /> lot <Word k="lot" after="." />
            {!m.job && (
              <>
                {' '}
                It is of <Word k="of" after="." />
              </>
            )}{' '}
            Note: <Word k="note" after="." />
          </p>
          <Left mould={mould} />
          <CastsOf mould={mould} />
          <Said mould={mould} />
        </div>
        <aside>
          {m.job && <Picture key={m.job} job={m.job} />}
          <Label mould={mould} />
        </aside>
      </div>
    </>
  );
}

const retire = async (
  code: string,
  who: string,
  why: string,
  keep: (now: Mould) => Promise<void>,
) =>
  keep(
    await unwrap(
      client.POST('/api/moulds/{code}/retired', { params: { path: { code } }, body: { who, why } }),
    ),
  );

/** The mould as its job plans it; nothing where there is nothing to draw. */
function Picture({ job }: { job: string }) {
  const [none, setNone] = useState(false);
  return none ? null : (
    <Link to={`/jobs/${job}/mould`} className="face">
      <img
        src={`/api/jobs/${job}/picture/now`}
        alt="The mould as its job plans it"
        width={360}
        height={270}
        onError={() => setNone(true)}
      />
    </Link>
  );
}

/** As it is printed. */
function Label({ mould }: { mould: Mould }) {
  const m = mould.mould;
  const shown = [m.of, m.place, m.gave, m.made, m.rubber, m.gives, mould.said.length].join('|');
  return (
    <div className="label">
      <img
        src={`/api/moulds/${m.code}/label.png?${encodeURIComponent(shown)}`}
        alt={`The label of ${m.of}, ${m.code}`}
        width={366}
        height={171}
      />
      <p className="small">
        <a
          className="btn btn-outline-primary"
          href={`/api/moulds/${m.code}/label.pdf`}
          target="_blank"
          rel="noreferrer"
        >
          Print the label
        </a>{' '}
        <Link to="/workshop#labels">Where its square code leads</Link>
      </p>
    </div>
  );
}

function Left({ mould }: { mould: Mould }) {
  const m = mould.mould;
  return (
    <div className="part">
      <h2>What is left in it</h2>
      <p>
        <Gauge mould={m} />
      </p>
      <p className="sentence">
        In all it gives about <Word k="expects" after="." /> Before they were counted here it gave{' '}
        <Word k="gaveBefore" after="." /> Its rubber keeps <Word k="lasts" after="." />
      </p>
      <p>
        {[
          m.left && `${m.left} left.`,
          mould.pace && `It is used for ${mould.pace}.`,
          mould.worn && m.wear !== 'OVER' && `At that pace it is used up by ${mould.worn}.`,
          mould.aged && `Its rubber is too old from ${mould.aged} on.`,
          m.anew && `Make it anew by ${m.anew}.`,
        ]
          .filter(Boolean)
          .join(' ')}
        {!m.anew &&
          m.wear !== 'OVER' &&
          ' When it has to be made anew is not known: it takes a month of casts, or the day it was made.'}
      </p>
    </div>
  );
}

function CastsOf({ mould }: { mould: Mould }) {
  const { job, number } = mould.mould;
  const { data: made } = useQuery({ ...madeQuery(job ?? ''), enabled: job !== undefined });
  if (!job) {
    return null;
  }
  const its = made?.casts.filter((c) => c.mould === number && c.struck === '') ?? [];
  return (
    <div className="part">
      <h2>Casts out of it</h2>
      {its.length === 0 ? (
        <p>None was counted yet.</p>
      ) : (
        <ol className="castlist" reversed>
          {its.map((c) => (
            <li key={c.number}>
              {[c.at, c.result === 'GOOD' ? 'good' : c.why, c.mass, c.who]
                .filter((t) => t !== '')
                .join(' · ')}
            </li>
          ))}
        </ol>
      )}
    </div>
  );
}

/** What is done with it. */
function Deeds({
  mould,
  who,
  keep,
}: {
  mould: Mould;
  who: string;
  keep: (now: Mould) => Promise<void>;
}) {
  const [asked, setAsked] = useState(false);
  const { job, code } = mould.mould;
  if (asked) {
    return (
      <Reason
        ask="Why is it not used any more?"
        usual={WHY}
        label="Retire it"
        close={() => setAsked(false)}
        give={(why) => {
          setAsked(false);
          void retire(code, who, why, keep);
        }}
      />
    );
  }
  return (
    <p className="turns">
      {job && !mould.retired && (
        <Link className="btn btn-primary" to={`/jobs/${job}/casts`}>
          Cast from it
        </Link>
      )}
      {mould.run && (
        <Link className="btn btn-outline-primary" to={`/runs/${mould.run}`}>
          How it was made
        </Link>
      )}
      {!mould.retired && (
        <Button variant="outline-primary" onClick={() => setAsked(true)}>
          Retire it
        </Button>
      )}
    </p>
  );
}

function Said({ mould }: { mould: Mould }) {
  return mould.said.length === 0 ? null : (
    <div className="part">
      <h2>What was said of it</h2>
      <ol className="castlist" reversed>
        {mould.said.map((s, i) => (
          <li key={mould.said.length - i}>
            {[s.at, s.who, `${s.what}: ${s.said || 'no longer'}`]
              .filter((t) => t !== '')
              .join(' · ')}
          </li>
        ))}
      </ol>
    </div>
  );
}
