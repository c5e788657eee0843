import { useEffect, useRef, useState, useSyncExternalStore } from 'react';
import { Problem, type Drawing, type Job, type Place, type SurfacePoint } from '../api/client';
import type { ShapeDesk } from '../job/useStudy';
import { MASTER_COLOUR, type Paint } from './marks';
import { NotRead } from '../ui/NotRead';
import { CoatsOn } from './CoatsOn';
import { filmed, watchFilm } from './film';
import { SolidScene, type Pick, type Seen } from './SolidScene';

interface Props {
  job: Job;
  /** When given, a click on the master calls it. */
  pick?: ((at: Pick) => void) | undefined;
  /** What a click does, in words. */
  hint: string;
  /** Air, sprue and vents to show; null shows none. */
  shape: ShapeDesk | null;
  /** What a stroke over the master does; null when a click picks. */
  paint: Paint | null;
  stroke: (paint: Paint, places: SurfacePoint[]) => Promise<Job | undefined>;
  /** What the master is coloured by. */
  show: 'LOCKED' | 'WALL' | null;
  /** Against gravity, as it lies to be cast in; null stands it as it is poured. */
  lying: Place | null;
  withBox: boolean;
  /** Places to be ringed, as the master is drawn. */
  spots?: { x: number; y: number; z: number }[];
  /** Where it is looked at from; asked again, it is brought in sight again. */
  seen: Seen;
  /** Called when this machine cannot draw solids. */
  missing: () => void;
}

const STANDING: Place = { x: 0, y: 0, z: 1 };

/** The full colour of what is shown by facet, and what it means. */
const SHOWN = {
  LOCKED: { colour: '#8a2f22', text: 'Dark red: the mould is locked here.' },
  WALL: { colour: '#1d5f6b', text: 'The darker, the thinner the rubber; ' },
};

/** Degrees round and up, by key. */
const TURNS: Record<string, [number, number]> = {
  ArrowLeft: [-15, 0],
  ArrowRight: [15, 0],
  ArrowUp: [0, 15],
  ArrowDown: [0, -15],
};

const COATS: Record<string, [string, string]> = {
  detail: ['#4f8f99', '#4f8f99'],
  build: ['#8fc0c6', '#a9d2d6'],
  smoothing: ['#d3e6e4', '#d3e6e4'],
};

/** Build coats that lie over each other are told apart by turns. */
function coatColour(coat: { name: string; number: number }) {
  return COATS[coat.name]?.[coat.number % 2] ?? '#8fc0c6';
}

type Part = Job['solids'][number];

const PARTS: Record<Part, { colour: string; cover: number; text: string }> = {
  PARTING: { colour: '#1f6a4f', cover: 0.5, text: 'parting' },
  CUT: { colour: '#1f6a4f', cover: 0.6, text: 'cut' },
  CORE: { colour: '#1f6a4f', cover: 0.7, text: 'core' },
  JACKET: { colour: '#c9b48b', cover: 0.35, text: 'jacket' },
};

/** What is fetched to be drawn, and what is said of it when that fails. */
const FAILED = {
  master: 'The master',
  box: 'The box',
  coats: 'The coats',
  parts: 'The mould round the master',
  marks: 'What is marked on the master',
  facets: 'What colours the master',
};
type What = keyof typeof FAILED;

/** The master in its rubber and box, turned with the mouse. */
export default function SolidView(props: Props) {
  const { job, pick, hint, shape, paint, stroke, show, lying, withBox, spots, seen, missing } =
    props;
  const host = useRef<HTMLDivElement>(null);
  const scene = useRef<SolidScene | null>(null);
  const latestPick = useRef(pick);
  const latestMissing = useRef(missing);
  const latestStroke = useRef<(places: SurfacePoint[]) => void>(() => undefined);
  const [loaded, setLoaded] = useState('');
  const [failed, setFailed] = useState<{ what: What; error: Error } | null>(null);
  const [tries, setTries] = useState(0);
  const [tinted, setTinted] = useState('');
  const [drawnCoats, setDrawnCoats] = useState(0);
  const [drawnParts, setDrawnParts] = useState(0);
  const [coatsOn, setCoatsOn] = useState<number | null>(null);
  const dipstick = job.dipstick;
  const coats = withBox && !show && !pick && job.skin ? job.skin.coats : [];
  const on = Math.min(coatsOn ?? coats.length, coats.length);
  // what the coats look like changes with these
  const coatsKey = coats.map((c) => c.thickness).join() + (job.figures['skin.plugs']?.text ?? '');

  useEffect(() => {
    latestPick.current = pick;
    latestMissing.current = missing;
    latestStroke.current = (places) => {
      if (paint) {
        void stroke(paint, places).then((next) => {
          if (next?.marksKey === job.marksKey || !next) {
            scene.current?.endStroke();
          }
        });
      }
    };
  });

  useEffect(() => {
    const element = host.current;
    if (!element) {
      return;
    }
    try {
      scene.current = new SolidScene(
        element,
        (at) => latestPick.current?.(at),
        (places) => latestStroke.current(places),
      );
    } catch {
      latestMissing.current();
      return;
    }
    return () => {
      scene.current?.dispose();
      scene.current = null;
    };
  }, []);

  /** Fetches something to draw; what fails is said in its place, until it is asked for again. */
  const fetching = (
    what: What,
    draw: (get: (path: string) => Promise<Response>) => Promise<void>,
  ) => {
    const stop = new AbortController();
    const get = async (path: string) => {
      const answer = await fetch(`/api/jobs/${job.id}/${path}`, { signal: stop.signal });
      if (!answer.ok) {
        throw Problem.of(answer.status, await answer.json().catch(() => null));
      }
      return answer;
    };
    setFailed((before) => (before?.what === what ? null : before));
    draw(get).catch((e: unknown) => {
      // the page may have gone on to something else
      if (!stop.signal.aborted) {
        setFailed({ what, error: e instanceof Problem ? e : Problem.of(0, null) });
      }
    });
    return () => stop.abort();
  };

  useEffect(
    () =>
      fetching('master', async (get) => {
        scene.current?.setMaster(await (await get('mesh')).arrayBuffer());
        setLoaded(job.shapeKey);
      }),
    // oxlint-disable-next-line react/exhaustive-deps -- fetching follows the job
    [job.id, job.shapeKey, tries],
  );

  useEffect(() => {
    scene.current?.look(seen.from);
  }, [seen]);

  useEffect(
    () =>
      fetching('box', async (get) => {
        if (!withBox || show || !dipstick) {
          scene.current?.setBox(null);
          return;
        }
        const plan = (await (await get('section?cut=TOP')).json()) as Drawing;
        scene.current?.setBox(plan, dipstick.lineMm, dipstick.heightMm);
        scene.current?.lift(job.liftMm);
      }),
    // oxlint-disable-next-line react/exhaustive-deps -- fetching follows the job
    [job.id, job.version, job.liftMm, withBox, show, dipstick, tries],
  );

  useEffect(
    () =>
      fetching('coats', async (get) => {
        const meshes = await Promise.all(
          coats.slice(0, on).map(async (c) => ({
            data: await (await get(`skin/coats/${c.number}/mesh`)).arrayBuffer(),
            colour: coatColour(c),
          })),
        );
        if (loaded) {
          scene.current?.setCoats(meshes);
          setDrawnCoats(meshes.length);
        }
      }),
    // oxlint-disable-next-line react/exhaustive-deps -- coatsKey names what coats holds
    [job.id, coatsKey, on, loaded, tries],
  );

  const parts = withBox && !show && !pick ? job.solids : [];
  const partsKey = parts.join();
  useEffect(
    () =>
      fetching('parts', async (get) => {
        const meshes = await Promise.all(
          parts.map(async (part) => ({
            data: await (await get(`solids/${part}/mesh`)).arrayBuffer(),
            ...PARTS[part],
          })),
        );
        if (loaded) {
          scene.current?.setParts(meshes);
          setDrawnParts(meshes.length);
        }
      }),
    // oxlint-disable-next-line react/exhaustive-deps -- partsKey names what parts holds
    [job.id, job.version, partsKey, loaded, tries],
  );

  const radius = paint ? (paint.brushMm ?? 0) / 2 : null;
  useEffect(() => {
    scene.current?.setBrush(radius);
  }, [radius]);

  const anyMarks = job.marks.some((m) => m.area);
  useEffect(
    () =>
      fetching('marks', async (get) => {
        const bits = anyMarks && loaded ? await (await get('marks')).arrayBuffer() : null;
        scene.current?.setMarked(bits && new Uint8Array(bits));
      }),
    // oxlint-disable-next-line react/exhaustive-deps -- fetching follows the job
    [job.id, job.marksKey, anyMarks, loaded, tries],
  );

  const watched = useSyncExternalStore(watchFilm, () => filmed()?.of ?? null);
  const castUp = shape?.study?.castUp ?? null;
  const lies = watched === 'CAST' ? castUp : watched === 'RUBBER' ? null : lying;
  const { x, y, z } = lies ?? STANDING;
  const laid = lies !== null;
  useEffect(() => {
    scene.current?.lay(laid ? { x, y, z } : null);
  }, [laid, x, y, z, loaded]);

  useEffect(() => {
    const fill = () => {
      const now = withBox && !show ? filmed() : null;
      scene.current?.fill(now);
      if (host.current) {
        host.current.dataset.filled = now?.alongMm.toFixed(1) ?? '';
      }
    };
    fill();
    return watchFilm(fill);
  }, [withBox, show, loaded]);

  const study = shape?.study ?? null;
  const stale = shape?.stale ?? false;
  useEffect(() => {
    scene.current?.setMarks(show ? null : study, stale, laid ? 'CAST' : watched);
  }, [study, stale, show, laid, watched, loaded]);

  // the same places are the same rings
  const ringed = JSON.stringify(spots ?? []);
  useEffect(() => {
    if (loaded && spots) {
      scene.current?.point(spots);
    }
    // oxlint-disable-next-line react/exhaustive-deps -- ringed names what spots holds
  }, [ringed, loaded]);

  useEffect(
    () =>
      fetching('facets', async (get) => {
        if (!show || !loaded || !study || stale) {
          scene.current?.setTint(null, MASTER_COLOUR);
          if (!spots) {
            scene.current?.point([]);
          }
          setTinted('');
          return;
        }
        const facets = await get(`study/facets?quantity=${show}`);
        const values = new Uint8Array(await facets.arrayBuffer());
        // rubber of an inch or more keeps the master's own colour
        const share = show === 'LOCKED' ? values : values.map((tenths) => 255 - tenths);
        scene.current?.setTint(share, SHOWN[show].colour);
        scene.current?.point(show === 'WALL' && study.thinnest ? [study.thinnest] : []);
        setTinted(show);
      }),
    // oxlint-disable-next-line react/exhaustive-deps -- fetching follows the job
    [job.id, show, loaded, study, stale, tries],
  );

  return (
    <div
      className="solid"
      ref={host}
      data-loaded={loaded}
      data-shows={tinted}
      data-spots={spots?.length}
      data-coats={drawnCoats}
      data-parts={drawnParts}
      data-pockets={study && !stale ? study.poured.length + study.cast.length : ''}
      aria-label="The master in its mould, solid. Arrows turn it, Enter picks what is in the middle."
      role="group"
      tabIndex={0}
      onKeyDown={(e) => {
        const [round = 0, up = 0] = TURNS[e.key] ?? [];
        if (e.target === host.current && (round || up)) {
          e.preventDefault();
          scene.current?.turn(round, up);
        } else if (e.target === host.current && e.key === 'Enter') {
          scene.current?.pickMiddle();
        }
      }}
    >
      <span className="middle" aria-hidden="true" />
      {loaded !== job.shapeKey && failed?.what !== 'master' && (
        <p className="fetching" role="status">
          Fetching the master …
        </p>
      )}
      {failed && (
        <div className="fetching">
          <NotRead
            what={FAILED[failed.what]}
            error={failed.error}
            again={() => setTries(tries + 1)}
          />
        </div>
      )}
      <div className="hint bar small">
        {coats.length > 0 && (
          <CoatsOn coats={coats} on={on} drawn={drawnCoats} setOn={setCoatsOn} />
        )}
        {drawnParts > 0 && (
          <span className="quiet">
            {parts.map((part) => (
              <span key={part} className="partname">
                <i style={{ background: PARTS[part].colour, opacity: PARTS[part].cover }} />
                {PARTS[part].text}
              </span>
            ))}
          </span>
        )}
        {hint && <span className="quiet">{hint}</span>}
        {show && (
          <span className="quiet">
            {SHOWN[show].text}
            {show === 'WALL' && study && `the ring is at its thinnest, ${study.thinnestText}.`}
          </span>
        )}
      </div>
    </div>
  );
}
