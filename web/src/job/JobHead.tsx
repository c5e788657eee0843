import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import Dropdown from 'react-bootstrap/Dropdown';
import { Link, NavLink, useNavigate } from 'react-router-dom';
import { client, unwrap, type Job } from '../api/client';
import type { JobHistory } from './useHistory';
import type { JobDesk } from './useJob';
import type { MadeName } from './useMade';
import { STAGES } from './stages';

const MARKS = { OPEN: '', DONE: '✓', LOOK_AGAIN: '↻' } as const;
const SPOKEN = {
  OPEN: 'open',
  DONE: 'done',
  LOOK_AGAIN: 'look again, something before it changed',
};

interface Props {
  job: Job;
  desk: JobDesk;
  history: JobHistory;
  /** Has a file made and saved. */
  make: (name: MadeName) => void;
  /** Opens a sheet or a table once all of it is worked out. */
  print: (file: string) => void;
}

export function JobHead({ job, desk, history, make, print }: Props) {
  const go = useNavigate();
  const copy = async () => {
    const made = await unwrap(
      client.POST('/api/jobs/{id}/copies', { params: { path: { id: job.id } } }),
    );
    await go(`/jobs/${made.id}/master`);
  };
  return (
    <header className="head">
      <Link to="/" className="wordmark" title="To the shelf">
        ungula
      </Link>
      <JobName job={job} desk={desk} />
      <span className="saved" role="status">
        {history.told ?? (desk.saving ? 'saving …' : 'saved')}
      </span>
      <nav aria-label="Stages">
        {STAGES.map((s) => {
          const state = job.stages[s.id] ?? 'OPEN';
          return (
            <NavLink
              key={s.id}
              to={`/jobs/${job.id}/${s.id}`}
              title={`${s.text}: ${SPOKEN[state]}`}
            >
              <span className={`mark ${state}`} aria-hidden>
                {MARKS[state]}
              </span>
              {s.text}
              <span className="visually-hidden">, {SPOKEN[state]}</span>
            </NavLink>
          );
        })}
      </nav>
      <span style={{ display: 'flex', gap: '0.4rem' }}>
        <Button
          variant="outline-primary"
          size="sm"
          disabled={!job.undo}
          title={job.undo ? `Undo: ${job.undo.what}` : 'Nothing to undo'}
          onClick={() => history.step(-1)}
        >
          Undo
        </Button>
        <Button
          variant="outline-primary"
          size="sm"
          disabled={!job.redo}
          title={job.redo ? `Redo: ${job.redo.what}` : 'Nothing to redo'}
          onClick={() => history.step(1)}
        >
          Redo
        </Button>
        <Dropdown align="end">
          <Dropdown.Toggle variant="outline-primary" size="sm" aria-label="More for this job">
            More
          </Dropdown.Toggle>
          <Dropdown.Menu>
            <Dropdown.Item as="button" onClick={() => void copy()}>
              Copy this job
            </Dropdown.Item>
            <Dropdown.Item as="button" onClick={() => print('sheet.pdf?paper=A4')}>
              Job sheet, A4
            </Dropdown.Item>
            <Dropdown.Item as="button" onClick={() => print('sheet.pdf?paper=LETTER')}>
              Job sheet, Letter
            </Dropdown.Item>
            <Dropdown.Item as="button" onClick={() => print('sheet.pdf?working=true')}>
              Job sheet with the working
            </Dropdown.Item>
            <Dropdown.Item as="button" onClick={() => print('amounts.csv')}>
              Amounts, CSV
            </Dropdown.Item>
            <Dropdown.Item href={`/api/jobs/${job.id}/master.stl`} disabled={!job.hasShape}>
              Master as posed, STL
            </Dropdown.Item>
            <Dropdown.Item as="button" onClick={() => make('mended')} disabled={!job.hasShape}>
              Mended copy, closed, STL
            </Dropdown.Item>
            <Dropdown.Item
              as="button"
              onClick={() => make('stl')}
              disabled={!job.dipstick || !job.hasShape}
            >
              Pieces of the mould, STL
            </Dropdown.Item>
            <Dropdown.Item
              as="button"
              onClick={() => make('threeMf')}
              disabled={!job.dipstick || !job.hasShape}
            >
              Pieces of the mould, 3MF
            </Dropdown.Item>
            <Dropdown.Item href={`/api/jobs/${job.id}/formers.zip`} disabled={!job.dipstick}>
              Keys, sprue, corners and label, STL
            </Dropdown.Item>
            <Dropdown.Item href={`/api/jobs/${job.id}/formers.3mf`} disabled={!job.dipstick}>
              Keys, sprue, corners and label, 3MF
            </Dropdown.Item>
            <Dropdown.Divider />
            <Dropdown.Item
              as="button"
              onClick={() =>
                desk.apply([
                  {
                    word: 'units.display',
                    text: job.words['units.display']?.value === 'INCH' ? 'METRIC' : 'INCH',
                  },
                ])
              }
            >
              Show{' '}
              {job.words['units.display']?.value === 'INCH'
                ? 'millimetres and grams'
                : 'inches and ounces'}
            </Dropdown.Item>
            <Dropdown.Item
              as="button"
              onClick={() =>
                desk.apply([
                  {
                    word: 'units.gallon',
                    text: job.words['units.gallon']?.value === 'US' ? 'IMPERIAL' : 'US',
                  },
                ])
              }
            >
              Gallons are {job.words['units.gallon']?.value === 'US' ? 'imperial' : 'US'}
            </Dropdown.Item>
          </Dropdown.Menu>
        </Dropdown>
      </span>
    </header>
  );
}

function JobName({ job, desk }: { job: Job; desk: JobDesk }) {
  const [typed, setTyped] = useState<string | null>(null);
  const save = () => {
    if (typed !== null && typed.trim() && typed !== job.name) {
      void desk.rename(typed).catch(() => undefined);
    }
    setTyped(null);
  };
  if (typed === null) {
    return (
      <button
        type="button"
        className="plain"
        style={{ fontWeight: 680, whiteSpace: 'nowrap' }}
        title="Rename this job"
        onClick={() => setTyped(job.name)}
      >
        {job.name}
      </button>
    );
  }
  return (
    <input
      className="word"
      autoFocus
      aria-label="Name of the job"
      value={typed}
      maxLength={120}
      onChange={(e) => setTyped(e.target.value)}
      onBlur={save}
      onKeyDown={(e) => {
        e.stopPropagation();
        if (e.key === 'Enter') {
          save();
        } else if (e.key === 'Escape') {
          setTyped(null);
        }
      }}
    />
  );
}
