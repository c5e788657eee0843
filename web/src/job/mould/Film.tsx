import { useEffect, useId, useState } from 'react';
import { useQuery } from '@tanstack/react-query';
import Button from 'react-bootstrap/Button';
import { client, unwrap, type Filling } from '../../api/client';
import { NotRead } from '../../ui/NotRead';
import { film as tell } from '../../viewer/film';

/** A whole film takes so long, whatever it tells. */
const FILM_MS = 12_000;

/** Between two pictures for whoever wants no motion. */
const STEPS = 10;

type By = 'mm3' | 'afterS';

const BY: [By, string][] = [
  ['mm3', 'by volume'],
  ['afterS', 'by time'],
];

export type Poured = 'RUBBER' | 'CAST';

/** The mould filling: the level climbs with what is poured, air that is sealed off stays behind. */
export function Film({ id, version, of }: { id: string; version: number; of: Poured }) {
  const { data, error, refetch } = useQuery({
    queryKey: ['job', id, 'filling', of, version],
    queryFn: () =>
      unwrap(client.GET('/api/jobs/{id}/filling', { params: { path: { id }, query: { of } } })),
  });
  if (!data) {
    return <NotRead what="How it fills" error={error} again={refetch} />;
  }
  return <Shown film={data} of={of} />;
}

function Shown({ film, of }: { film: Filling; of: Poured }) {
  const [share, setShare] = useState(1);
  const [started, setStarted] = useState(false);
  const [by, setBy] = useState<By>('mm3');
  const playing = started && share < 1;
  useEffect(() => {
    if (!playing) {
      return undefined;
    }
    const still = window.matchMedia('(prefers-reduced-motion: reduce)').matches;
    const every = still ? FILM_MS / STEPS : FILM_MS / 240;
    const step = every / FILM_MS;
    const timer = window.setInterval(() => setShare((s) => Math.min(1, s + step)), every);
    return () => window.clearInterval(timer);
  }, [playing]);
  const full = film.course.at(-1);
  const now = film.course.find((p) => p[by] >= share * (full?.[by] ?? 0)) ?? full;
  const alongMm = now?.alongMm ?? 0;
  useEffect(() => {
    tell({ of, alongMm });
  }, [of, alongMm]);
  useEffect(() => () => tell(null), []);
  const sealed = film.sealed.filter((s) => s.mm3 <= (now?.mm3 ?? 0));
  const play = () => {
    if (!playing && share >= 1) {
      setShare(0);
    }
    setStarted(!playing);
  };
  const what = of === 'CAST' ? 'a cast is poured' : 'the rubber is poured';
  return (
    <figure className={`film ${of}`} aria-label={`How it fills while ${what}`}>
      <Picture film={film} level={now?.levelMm ?? 0} sealed={sealed} />
      <div className="reel">
        <Button size="sm" variant="outline-primary" onClick={play}>
          {playing ? 'Pause' : 'Play'}
        </Button>
        <input
          type="range"
          aria-label="How much is poured"
          aria-valuetext={now?.text}
          min={0}
          max={1}
          step={0.005}
          value={share}
          onChange={(e) => {
            setStarted(false);
            setShare(Number(e.target.value));
          }}
        />
        <output>{now?.text}</output>
        <span className="btn-group" role="group" aria-label="What moves on evenly">
          {BY.map(([value, name]) => (
            <Button
              key={value}
              size="sm"
              variant="outline-primary"
              active={by === value}
              aria-pressed={by === value}
              onClick={() => setBy(value)}
            >
              {name}
            </Button>
          ))}
        </span>
      </div>
      <figcaption>
        {film.says}
        {sealed.length > 0 && ` ${kept(sealed.map((s) => s.volume))}.`}
        {film.ends
          .filter((e) => e.late)
          .map((e) => (
            <span key={`${e.across} ${e.up}`}> {e.text}.</span>
          ))}
      </figcaption>
    </figure>
  );
}

/** What stays behind. */
function kept(volumes: string[]) {
  return volumes.length === 1
    ? `${volumes[0]} of air is sealed off`
    : `Air is sealed off in ${volumes.length} places: ${volumes.join(', ')}`;
}

interface Seen {
  film: Filling;
  level: number;
  sealed: Filling['sealed'];
}

/** Up is up, as the mould stands meanwhile. */
function Picture({ film, level, sealed }: Seen) {
  const under = useId();
  const all = film.shapes.flatMap((s) => s.rings);
  const box = bounds(all);
  const pad = 0.03 * Math.max(box.right - box.left, box.top - box.bottom);
  const view = [
    box.left - pad,
    -box.top - pad,
    box.right - box.left + 2 * pad,
    box.top - box.bottom + 2 * pad,
  ];
  const of = (role: Filling['shapes'][number]['role']) =>
    film.shapes
      .filter((s) => s.role === role)
      .flatMap((s) => s.rings)
      .map(path)
      .join('');
  const below = `M${box.left} ${-level}H${box.right}V${-box.bottom}H${box.left}z`;
  return (
    <svg viewBox={view.join(' ')} data-sealed={sealed.length} data-level={level.toFixed(1)}>
      <defs>
        <clipPath id={under}>
          <path d={below} />
        </clipPath>
      </defs>
      <path className="around" d={of('AROUND')} fillRule="evenodd" />
      <path className="room" d={of('ROOM')} fillRule="evenodd" />
      <g clipPath={`url(#${under})`}>
        <path className="filled" d={of('ROOM')} fillRule="evenodd" />
        <path className="kept" d={of('AIR')} />
      </g>
      <path className="body" d={of('BODY')} fillRule="evenodd" />
      <path className="ways" d={of('WAY')} />
      {film.ends.map((e) => (
        <circle
          key={`${e.across} ${e.up}`}
          className={e.late ? 'end late' : 'end'}
          cx={e.across}
          cy={-e.up}
          r={pad / 2}
        >
          <title>{e.text}</title>
        </circle>
      ))}
      {sealed.map((s) => (
        <circle key={`${s.mm3} ${s.across}`} cx={s.across} cy={-s.up} r={pad / 2}>
          <title>{kept([s.volume])}</title>
        </circle>
      ))}
    </svg>
  );
}

function path(ring: number[]) {
  let d = '';
  for (let i = 0; i + 1 < ring.length; i += 2) {
    d += `${i === 0 ? 'M' : 'L'}${ring[i]} ${-(ring[i + 1] ?? 0)}`;
  }
  return `${d}z`;
}

function bounds(rings: number[][]) {
  const box = { left: Infinity, right: -Infinity, bottom: Infinity, top: -Infinity };
  for (const ring of rings) {
    for (let i = 0; i + 1 < ring.length; i += 2) {
      const x = ring[i] ?? 0;
      const y = ring[i + 1] ?? 0;
      box.left = Math.min(box.left, x);
      box.right = Math.max(box.right, x);
      box.bottom = Math.min(box.bottom, y);
      box.top = Math.max(box.top, y);
    }
  }
  return box;
}
