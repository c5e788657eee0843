import { queryOptions, useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import Button from 'react-bootstrap/Button';
import Dropdown from 'react-bootstrap/Dropdown';
import { Link, useNavigate } from 'react-router-dom';
import { client, unwrap, type ShelfJob } from '../api/client';
import { PageHead } from '../app/PageHead';
import { useTitle } from '../app/useTitle';
import { handOver } from '../job/master/handedOver';
import { ModelChooser } from '../job/master/ModelChooser';
import { mouldsQuery } from '../mould/mouldQueries';
import { Running } from '../run/Running';
import { stockQuery } from '../rubber/productsQuery';
import { Notice } from '../ui/Notice';
import { NotRead } from '../ui/NotRead';
import { useDrop } from '../ui/useDrop';
import { NameOnce } from './NameOnce';
import { isJobFile, useTakeIn } from './useTakeIn';

const shelfQuery = queryOptions({
  queryKey: ['shelf'],
  queryFn: () => unwrap(client.GET('/api/shelf')),
});

export function ShelfPage() {
  const { data: shelf, error, refetch } = useQuery(shelfQuery);
  const queries = useQueryClient();
  const go = useNavigate();
  const [sought, setSought] = useState('');
  const [archived, setArchived] = useState(false);
  const [gone, setGone] = useState<ShelfJob | null>(null);
  const search = useRef<HTMLInputElement>(null);
  const chooser = useRef<HTMLInputElement>(null);
  useTitle(shelf?.workshop);

  useEffect(() => {
    const onKey = (e: KeyboardEvent) => {
      if ((e.target as HTMLElement).closest('input')) {
        return;
      }
      if (e.key === '/') {
        e.preventDefault();
        search.current?.focus();
      } else if (e.key === '?') {
        void go('/help');
      }
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [go]);

  const again = () => queries.invalidateQueries({ queryKey: shelfQuery.queryKey });
  const begin = async () => {
    const made = await unwrap(client.POST('/api/jobs', { body: {} }));
    await go(`/jobs/${made.id}/master`);
  };
  const { takeIn, refused, dismiss } = useTakeIn();
  const beginWith = async (file: File) => {
    if (isJobFile(file)) {
      await takeIn(file);
      return;
    }
    const made = await unwrap(client.POST('/api/jobs', { body: { name: jobName(file.name) } }));
    handOver(made.id, file);
    await go(`/jobs/${made.id}/proposal`);
  };
  const dropping = useDrop((file) => void beginWith(file));
  const path = (id: string) => ({ params: { path: { id } } });
  const copy = async (job: ShelfJob) => {
    await unwrap(client.POST('/api/jobs/{id}/copies', path(job.id)));
    await again();
  };
  const archive = async (job: ShelfJob) => {
    await unwrap(
      client.POST('/api/jobs/{id}/archived', {
        params: { path: { id: job.id }, query: { archived: !job.archived } },
      }),
    );
    await again();
  };
  const remove = async (job: ShelfJob) => {
    await unwrap(client.DELETE('/api/jobs/{id}', path(job.id)));
    setGone(job);
    await again();
  };
  const restore = async (job: ShelfJob) => {
    await unwrap(client.POST('/api/jobs/{id}/restored', path(job.id)));
    setGone(null);
    await again();
  };
  const clearDemo = async () => {
    await unwrap(client.DELETE('/api/shelf/demo'));
    await again();
  };

  const jobs = (shelf?.jobs ?? []).filter(
    (j) =>
      j.archived === archived && `${j.name} ${j.line}`.toLowerCase().includes(sought.toLowerCase()),
  );
  const anyArchived = shelf?.jobs.some((j) => j.archived) ?? false;
  return (
    <div className="page">
      <PageHead />
      <main>
        <div className="bar">
          <h1>{shelf?.workshop ?? ' '}</h1>
          <input
            ref={search}
            className="search"
            type="search"
            placeholder="Search the shelf"
            aria-label="Search the shelf"
            value={sought}
            onChange={(e) => setSought(e.target.value)}
          />
          {(anyArchived || archived) && (
            <Button variant="outline-primary" onClick={() => setArchived(!archived)}>
              {archived ? 'Back to the shelf' : 'Put away'}
            </Button>
          )}
          <Button variant="outline-primary" onClick={() => void begin()}>
            New job
          </Button>
          <Button onClick={() => chooser.current?.click()}>Job from a model</Button>
        </div>
        {shelf?.unnamed && <NameOnce now={shelf.workshop} named={again} />}
        {shelf?.demo && (
          <p className="small quiet" style={{ marginTop: '0.8rem' }}>
            This is a made-up shelf of a harbour museum, to look around in.{' '}
            <button type="button" className="figure" onClick={() => void clearDemo()}>
              Remove the made-up jobs
            </button>
          </p>
        )}
        <NotRead what="The shelf" error={error} again={refetch} />
        {!shelf && !error && (
          <p className="quiet" role="status">
            Fetching the shelf …
          </p>
        )}
        <LowStock />
        <Wearing />
        {refused && <Notice title="Not taken in" text={refused} close={dismiss} />}
        {gone && (
          <Notice
            said
            text={`${gone.name} is off the shelf.`}
            action={{ label: 'Put it back', run: () => void restore(gone) }}
            close={() => setGone(null)}
          />
        )}
        {shelf && jobs.length === 0 && (
          <div className="empty">
            <p>
              {sought
                ? `Nothing on the shelf is called “${sought}”.`
                : archived
                  ? 'Nothing is put away.'
                  : 'Drop the model of a master here, and a mould is proposed for it. Without a model, begin with a solid or a tape measure.'}
            </p>
            {!sought && !archived && (
              <Button onClick={() => chooser.current?.click()}>Choose a model file</Button>
            )}
          </div>
        )}
        <ul className="shelf" aria-label="Jobs">
          {jobs.map((j) => (
            <li key={j.id} className="entry">
              <Link className="face" to={`/jobs/${j.id}/${j.stage}`} aria-label={j.name}>
                {j.picture ? (
                  <img
                    src={`/api/jobs/${j.id}/picture/${j.picture}`}
                    alt=""
                    width={253}
                    height={190}
                  />
                ) : (
                  <span className="blankface">{j.trouble ? 'not readable' : 'no shape yet'}</span>
                )}
              </Link>
              <div className="named">
                <h2>{j.name}</h2>
                <Dropdown className="more" align="end">
                  <Dropdown.Toggle
                    variant="outline-primary"
                    size="sm"
                    aria-label={`More for ${j.name}`}
                  >
                    More
                  </Dropdown.Toggle>
                  <Dropdown.Menu>
                    <Dropdown.Item as="button" onClick={() => void copy(j)}>
                      Copy
                    </Dropdown.Item>
                    <Dropdown.Item href={`/api/jobs/${j.id}/archive.zip`}>
                      Save as a file
                    </Dropdown.Item>
                    <Dropdown.Item as="button" onClick={() => void archive(j)}>
                      {j.archived ? 'Back on the shelf' : 'Put away'}
                    </Dropdown.Item>
                    <Dropdown.Item as="button" onClick={() => void remove(j)}>
                      Delete
                    </Dropdown.Item>
                  </Dropdown.Menu>
                </Dropdown>
              </div>
              {j.trouble ? (
                <p className="count STOP">
                  {j.trouble} <Link to={`/jobs/${j.id}/master`}>What helps</Link>
                </p>
              ) : (
                <>
                  <p>{j.line || 'Nothing decided yet'}</p>
                  <p className={j.stops > 0 ? 'count STOP' : 'quiet'}>
                    {j.stops > 0 ? 'Stop: ' : ''}
                    {j.next}
                  </p>
                </>
              )}
              <Running job={j.id} />
              {j.due && (
                <p className={j.due.late ? 'count CHECK' : 'due'}>
                  {j.due.late ? `Since ${j.due.late}: ` : `${j.due.at}: `}
                  <Link to={`/jobs/${j.id}/days`}>{j.due.what}</Link>
                </p>
              )}
              {j.note && <p className="count CHECK">{j.note}</p>}
              {j.checks > 0 && (
                <p className="count CHECK">
                  {j.checks === 1 ? '1 thing' : `${j.checks} things`} to check
                </p>
              )}
            </li>
          ))}
        </ul>
      </main>
      <ModelChooser chooser={chooser} take={(file) => void beginWith(file)} jobs />
      {dropping && (
        <div className="dropping">
          Drop a model to begin a job with it, or a job that was saved as a file
        </div>
      )}
    </div>
  );
}

/** A job is called as its file is, without what names the format. */
const jobName = (file: string) =>
  file
    .replace(/\.[^.]*$/, '')
    .trim()
    .slice(0, 120) || file;

/** Moulds that have to be made anew soon. */
function Wearing() {
  const { data: list, error, refetch } = useQuery(mouldsQuery('', 'WEARING', 0));
  if (error) {
    return <NotRead what="The moulds" error={error} again={refetch} />;
  }
  if (!list || list.found === 0) {
    return null;
  }
  return (
    <p className="small lowstock">
      Moulds wearing out:{' '}
      {list.moulds.slice(0, 3).map((m, i) => (
        <span key={m.code}>
          {i > 0 && '; '}
          <Link to={`/moulds/${m.code}`}>
            {m.of}, {m.code}
          </Link>
          {m.anew && m.condition === 'GOOD' ? `, by ${m.anew}` : ''}
        </span>
      ))}
      . <Link to="/moulds?which=WEARING">All of them{list.found > 3 && `, ${list.found}`}</Link>
    </p>
  );
}

/** What runs low on the rubber shelf, or is over its date. */
function LowStock() {
  const { data: stock, error, refetch } = useQuery(stockQuery);
  const words = (stock?.products ?? [])
    .filter((s) => s.lots.length > 0)
    .map((s) => {
      const late = s.lots.find((l) => l.keeping !== 'FINE');
      const text = [
        s.low && `runs low, ${s.usable.text} left`,
        late && `${late.keeping === 'OVER' ? 'was' : 'is'} good until ${late.until}`,
      ].filter(Boolean);
      return { id: s.product, text: text.length > 0 ? `${s.name} ${text.join(', ')}` : '' };
    })
    .filter((w) => w.text !== '');
  if (error) {
    return <NotRead what="The rubber shelf" error={error} again={refetch} />;
  }
  if (!stock) {
    // its room is kept, so that nothing moves under the hand when it comes
    return <p className="small lowstock">&nbsp;</p>;
  }
  if (words.length === 0) {
    return null;
  }
  return (
    <p className="small lowstock">
      On the rubber shelf:{' '}
      {words.map((w, i) => (
        <span key={w.text}>
          {i > 0 && '; '}
          <Link to={`/rubber/${w.id}`}>{w.text}</Link>
        </span>
      ))}
      . <Link to="/shopping">What to buy</Link>
    </p>
  );
}
