import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import type { CastRuns, Job } from '../../api/client';
import { castsQuery } from '../jobQueries';
import type { JobDesk } from '../useJob';
import { Spots } from './Spots';

const WIDTH = 640;
const HEIGHT = 420;
const LEFT = 46;
const RIGHT = 16;
const TOP = 24;
const BOTTOM = 36;

interface Props {
  job: Job;
  desk: JobDesk;
  /** The cast whose place is to be shown on the master; null for none. */
  showing: number | null;
  show: (cast: number | null) => void;
}

/** Casts against time, with what they may be sooner or later; or where some were not good. */
export function CastsDrawing({ job, desk, showing, show }: Props) {
  const { data: runs } = useQuery(castsQuery(job.id, job.version));
  const [view, setView] = useState<'TIME' | 'PLACES'>('TIME');
  const [noSolids, setNoSolids] = useState(false);
  const solids = job.hasShape && !noSolids;
  const places = solids && (showing !== null || view === 'PLACES');
  const see = (next: 'TIME' | 'PLACES') => {
    show(null);
    setView(next);
  };
  return (
    <section
      className={`thing casts${places ? ' places' : ''}`}
      aria-label={places ? 'Where casts were not good' : 'Casts against time'}
    >
      {solids && (
        <div className="views">
          <button
            type="button"
            className="plain"
            aria-pressed={!places}
            onClick={() => see('TIME')}
          >
            Casts against time
          </button>
          <button
            type="button"
            className="plain"
            aria-pressed={places}
            onClick={() => see('PLACES')}
          >
            Where they were not good
          </button>
        </div>
      )}
      {places ? (
        <Spots
          job={job}
          desk={desk}
          showing={showing}
          shown={() => see('PLACES')}
          missing={() => setNoSolids(true)}
        />
      ) : runs && runs.points.length > 0 ? (
        <Plot runs={runs} />
      ) : (
        <p className="quiet">Casts against time are drawn here once their number is known.</p>
      )}
    </section>
  );
}

function Plot({ runs }: { runs: CastRuns }) {
  const last = runs.points.at(-1);
  const all = last?.casts ?? 1;
  const end = last?.lateMs ?? runs.startMs + 1;
  const x = (ms: number) =>
    LEFT + ((ms - runs.startMs) / Math.max(1, end - runs.startMs)) * (WIDTH - LEFT - RIGHT);
  const y = (casts: number) => HEIGHT - BOTTOM - (casts / all) * (HEIGHT - TOP - BOTTOM);
  // between one cast and the next none is made
  const line = (at: (p: CastRuns['points'][number]) => number) => [
    `${x(runs.startMs)},${y(0)}`,
    ...runs.points.flatMap((p, i) => {
      const t = x(at(p)).toFixed(1);
      return [`${t},${y(runs.points[i - 1]?.casts ?? 0)}`, `${t},${y(p.casts)}`];
    }),
  ];
  const band = [...line((p) => p.soonMs), ...line((p) => p.lateMs).reverse()].join(' ');
  const steps = marks(all);
  return (
    <>
      <svg viewBox={`0 0 ${WIDTH} ${HEIGHT}`} role="img" aria-label={said(runs)}>
        {steps.map((n) => (
          <g key={n} className="grid">
            <line x1={LEFT} x2={WIDTH - RIGHT} y1={y(n)} y2={y(n)} />
            <text x={LEFT - 8} y={y(n) + 4} textAnchor="end">
              {n}
            </text>
          </g>
        ))}
        {runs.days
          .filter((d) => x(d.ms) > LEFT && x(d.ms) < WIDTH - RIGHT - 20)
          .map((d) => (
            <g key={d.ms} className="grid">
              <line x1={x(d.ms)} x2={x(d.ms)} y1={TOP} y2={HEIGHT - BOTTOM} />
              <text x={x(d.ms)} y={HEIGHT - BOTTOM + 20} textAnchor="middle">
                {d.text}
              </text>
            </g>
          ))}
        <polygon className="band" points={band} />
        <polyline className="middle" points={line((p) => p.ms).join(' ')} />
      </svg>
      <p className="quiet legend">
        Good casts still to come, from {runs.start}: the line is half of the time, the band eight
        times of ten.
      </p>
    </>
  );
}

function said(runs: CastRuns) {
  const chosen = runs.rows.find((r) => r.chosen);
  return `${runs.points.at(-1)?.casts ?? 0} casts, half of the time done by ${chosen?.done ?? ''}, nine times of ten by ${chosen?.promise ?? ''}`;
}

/** A few round numbers up to all. */
function marks(all: number) {
  const step = [1, 2, 5, 10, 20, 50, 100, 200, 500, 1000, 2000, 5000, 10_000, 20_000].find(
    (s) => all / s <= 6,
  );
  const by = step ?? all;
  return Array.from({ length: Math.floor(all / by) + 1 }, (_, i) => i * by);
}
