import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useRef, useState, type SyntheticEvent } from 'react';
import Button from 'react-bootstrap/Button';
import { Link, useNavigate, useSearchParams } from 'react-router-dom';
import { client, Problem, unwrap } from '../api/client';
import { PageHead } from '../app/PageHead';
import { useTitle } from '../app/useTitle';
import { NotRead } from '../ui/NotRead';
import { Gauge } from './Gauge';
import { mouldQuery, mouldsQuery, type MouldListed, type Which } from './mouldQueries';

const LISTS: [Which, string][] = [
  ['IN_USE', 'in use'],
  ['WEARING', 'wearing out'],
  ['RETIRED', 'retired'],
];

const PAGE = 50;

/** The moulds there are: where each lies, and how much is left in it. */
export function MouldsPage() {
  const [asked, setAsked] = useSearchParams();
  const which = LISTS.find(([w]) => w === asked.get('which'))?.[0] ?? 'IN_USE';
  const [sought, setSought] = useState(asked.get('q') ?? '');
  const [from, setFrom] = useState(0);
  const [unknown, setUnknown] = useState('');
  const { data: list, error, refetch } = useQuery(mouldsQuery(sought, which, from));
  const queries = useQueryClient();
  const go = useNavigate();
  const search = useRef<HTMLInputElement>(null);
  useTitle('Moulds');

  useEffect(() => {
    const onKey = (e: KeyboardEvent) => {
      if (e.key === '/' && !(e.target as HTMLElement).closest('input')) {
        e.preventDefault();
        search.current?.focus();
      }
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, []);

  // a scanner types what is on the label, and presses Enter
  const open = async (e: SyntheticEvent) => {
    e.preventDefault();
    const typed = sought.trim().replace(/^.*\/moulds\//, '');
    try {
      const mould = await queries.query(mouldQuery(typed));
      await go(`/moulds/${mould.mould.code}`);
    } catch (problem) {
      if (!(problem instanceof Problem)) {
        throw problem;
      }
      setUnknown(list?.found ? '' : `No mould has the code “${typed}”.`);
    }
  };
  return (
    <div className="page">
      <PageHead />
      <main>
        <form className="bar" onSubmit={(e) => void open(e)}>
          <h1>Moulds</h1>
          <input
            ref={search}
            className="search"
            type="search"
            placeholder="Name, place or code"
            aria-label="Search the moulds, or type the code of a label"
            value={sought}
            onChange={(e) => {
              setSought(e.target.value);
              setFrom(0);
              setUnknown('');
            }}
          />
          {list && list.found > 0 && (
            <a
              className="btn btn-outline-primary"
              href={`/api/moulds/labels.pdf?codes=${list.moulds.map((m) => m.code).join(',')}`}
              target="_blank"
              rel="noreferrer"
            >
              Print labels of these
            </a>
          )}
          <a className="btn btn-outline-primary" href="/api/moulds/table.csv">
            All as CSV
          </a>
        </form>
        <div className="kinds" role="group" aria-label="Show">
          {LISTS.map(([w, text]) => (
            <button
              key={w}
              type="button"
              aria-pressed={w === which}
              onClick={() => {
                setAsked(w === 'IN_USE' ? {} : { which: w });
                setFrom(0);
              }}
            >
              {text} {list?.counts[w]}
            </button>
          ))}
        </div>
        <NotRead what="The moulds" error={error} again={refetch} />
        {unknown && (
          <p className="refusal" role="alert">
            {unknown}
          </p>
        )}
        {list && list.found === 0 && <None which={which} sought={sought} />}
        {list && list.found > 0 && <Table moulds={list.moulds} retired={which === 'RETIRED'} />}
        {list && list.found > PAGE && (
          <p className="turns">
            {from + 1} to {from + list.moulds.length} of {list.found}
            <Button
              size="sm"
              variant="outline-primary"
              disabled={from === 0}
              onClick={() => setFrom(from - PAGE)}
            >
              Those before
            </Button>
            <Button
              size="sm"
              variant="outline-primary"
              disabled={from + PAGE >= list.found}
              onClick={() => setFrom(from + PAGE)}
            >
              More
            </Button>
          </p>
        )}
        <AddOne />
        <p>
          <Link to="/months">What was made and cast, month by month</Link>
        </p>
      </main>
    </div>
  );
}

function None({ which, sought }: { which: Which; sought: string }) {
  const none = {
    IN_USE:
      'No mould is here yet. One made at the bench comes here by itself, and so does one casts are counted of.',
    WEARING: 'No mould is wearing out.',
    RETIRED: 'No mould is retired.',
  };
  return <p>{sought.trim() ? `Of these, nothing is known by “${sought.trim()}”.` : none[which]}</p>;
}

function Table({ moulds, retired }: { moulds: MouldListed[]; retired: boolean }) {
  return (
    <table className="compare moulds">
      <thead>
        <tr>
          <th scope="col">Code</th>
          <th scope="col">Mould of</th>
          <th scope="col">Where</th>
          <th scope="col">Casts</th>
          <th scope="col">Last used</th>
          <th scope="col">{retired ? 'Why it is retired' : 'To be made anew'}</th>
        </tr>
      </thead>
      <tbody>
        {moulds.map((m) => (
          <tr key={m.code}>
            <th scope="row">
              <Link to={`/moulds/${m.code}`} className="code">
                {m.code}
              </Link>
            </th>
            <td>
              {m.of}
              {m.number > 1 && `, mould ${m.number}`}
            </td>
            <td data-label="Where">{m.place || <span className="quiet">not said</span>}</td>
            <td data-label="Casts">
              <Gauge mould={m} />
            </td>
            <td data-label="Last used">
              {m.used || <span className="quiet">{m.gave > 0 ? 'not known' : 'never'}</span>}
            </td>
            <td data-label={retired ? 'Retired' : 'Anew'}>
              {retired ? m.why : <Anew mould={m} />}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

function Anew({ mould }: { mould: MouldListed }) {
  if (mould.condition !== 'GOOD') {
    return <span className="count CHECK">{mould.why}</span>;
  }
  if (mould.wear === 'OVER') {
    return <span className="count STOP">{mould.why}</span>;
  }
  return (
    <span className={mould.wear === 'SOON' ? 'count CHECK' : undefined}>
      {mould.anew
        ? `by ${mould.anew}`
        : mould.wear === 'SOON'
          ? `soon: ${mould.left} left`
          : 'not known yet'}
    </span>
  );
}

/** A mould from before, or from elsewhere. */
function AddOne() {
  const go = useNavigate();
  const [of, setOf] = useState('');
  const [refused, setRefused] = useState('');
  const add = async (e: SyntheticEvent) => {
    e.preventDefault();
    try {
      const made = await unwrap(client.POST('/api/moulds', { body: { of } }));
      await go(`/moulds/${made.mould.code}`);
    } catch (problem) {
      setRefused(problem instanceof Problem ? problem.message : '');
    }
  };
  return (
    <form className="sentence part" onSubmit={(e) => void add(e)}>
      A mould that was made before, or elsewhere: it is of{' '}
      <input
        className="word"
        size={24}
        maxLength={120}
        aria-label="what the mould is of"
        placeholder="a door knob"
        value={of}
        onChange={(e) => setOf(e.target.value)}
      />{' '}
      <Button size="sm" type="submit" variant="outline-primary">
        Put it among them
      </Button>
      {refused && (
        <span className="refusal" role="alert">
          {refused}
        </span>
      )}
    </form>
  );
}
