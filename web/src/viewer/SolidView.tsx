import { useEffect, useRef, useState } from 'react';
import type { Drawing, Job } from '../api/client';
import type { ShapeDesk } from '../job/useStudy';
import { SolidScene, type Pick, type Preset } from './SolidScene';

interface Props {
  job: Job;
  /** When given, a click on the master calls it. */
  pick?: ((at: Pick) => void) | undefined;
  /** What a click does, in words. */
  hint: string;
  /** Air, sprue and vents to show; null shows none. */
  shape: ShapeDesk | null;
  /** Whether the surface the mould is locked on is shown. */
  locked: boolean;
  withBox: boolean;
  /** Called when this machine cannot draw solids. */
  missing: () => void;
}

const PRESETS: { id: Preset; text: string }[] = [
  { id: 'corner', text: 'Corner' },
  { id: 'front', text: 'Front' },
  { id: 'side', text: 'Side' },
  { id: 'top', text: 'Top' },
];

/** The master in its rubber and box, turned with the mouse. */
export default function SolidView({ job, pick, hint, shape, locked, withBox, missing }: Props) {
  const host = useRef<HTMLDivElement>(null);
  const scene = useRef<SolidScene | null>(null);
  const latestPick = useRef(pick);
  const latestMissing = useRef(missing);
  const [loaded, setLoaded] = useState('');
  const [tinted, setTinted] = useState(false);
  const dipstick = job.dipstick;

  useEffect(() => {
    latestPick.current = pick;
    latestMissing.current = missing;
  });

  useEffect(() => {
    const element = host.current;
    if (!element) {
      return;
    }
    try {
      scene.current = new SolidScene(element, (at) => latestPick.current?.(at));
    } catch {
      latestMissing.current();
      return;
    }
    return () => {
      scene.current?.dispose();
      scene.current = null;
    };
  }, []);

  useEffect(() => {
    const stop = new AbortController();
    void (async () => {
      try {
        const answer = await fetch(`/api/jobs/${job.id}/mesh`, { signal: stop.signal });
        if (answer.ok) {
          scene.current?.setMaster(await answer.arrayBuffer());
          setLoaded(job.shapeKey);
        }
      } catch {
        // the page went on to something else
      }
    })();
    return () => stop.abort();
  }, [job.id, job.shapeKey]);

  useEffect(() => {
    const stop = new AbortController();
    void (async () => {
      if (!withBox || !dipstick) {
        scene.current?.setBox(null);
        return;
      }
      try {
        const answer = await fetch(`/api/jobs/${job.id}/section?cut=TOP`, { signal: stop.signal });
        if (answer.ok) {
          scene.current?.setBox(
            (await answer.json()) as Drawing,
            dipstick.lineMm,
            dipstick.heightMm,
          );
          scene.current?.lift(job.liftMm);
        }
      } catch {
        // the page went on to something else
      }
    })();
    return () => stop.abort();
  }, [job.id, job.version, job.liftMm, withBox, dipstick]);

  const study = shape?.study ?? null;
  const stale = shape?.stale ?? false;
  useEffect(() => {
    scene.current?.setMarks(study, stale);
  }, [study, stale, loaded]);

  useEffect(() => {
    const stop = new AbortController();
    void (async () => {
      if (!locked || !loaded || !study || stale) {
        scene.current?.setLocked(null);
        setTinted(false);
        return;
      }
      try {
        const answer = await fetch(`/api/jobs/${job.id}/study/locked`, { signal: stop.signal });
        if (answer.ok) {
          scene.current?.setLocked(new Uint8Array(await answer.arrayBuffer()));
          setTinted(true);
        }
      } catch {
        // the page went on to something else
      }
    })();
    return () => stop.abort();
  }, [job.id, locked, loaded, study, stale]);

  return (
    <div
      className="solid"
      ref={host}
      data-loaded={loaded}
      data-locked={tinted}
      data-pockets={study && !stale ? study.poured.length + study.cast.length : ''}
      aria-label="The master in its mould, solid"
      role="group"
    >
      <div className="hint bar small">
        {PRESETS.map((p) => (
          <button
            key={p.id}
            type="button"
            className="btn btn-sm btn-outline-primary"
            onClick={() => scene.current?.look(p.id)}
          >
            {p.text}
          </button>
        ))}
        {hint && <span className="quiet">{hint}</span>}
        {locked && <span className="quiet">Dark red: the mould is locked here.</span>}
      </div>
    </div>
  );
}
