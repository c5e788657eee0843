import { useEffect, useRef, useState } from 'react';
import type { Drawing, Job } from '../api/client';
import { SolidScene, type Preset } from './SolidScene';

interface Props {
  job: Job;
  /** When given, a click on a face rests the master on it. */
  rest?: (normal: string) => void;
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
export default function SolidView({ job, rest, withBox, missing }: Props) {
  const host = useRef<HTMLDivElement>(null);
  const scene = useRef<SolidScene | null>(null);
  const latestRest = useRef(rest);
  const latestMissing = useRef(missing);
  const [loaded, setLoaded] = useState('');
  const dipstick = job.dipstick;

  useEffect(() => {
    latestRest.current = rest;
    latestMissing.current = missing;
  });

  useEffect(() => {
    const element = host.current;
    if (!element) {
      return;
    }
    try {
      scene.current = new SolidScene(element, (normal) => latestRest.current?.(normal));
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

  return (
    <div
      className="solid"
      ref={host}
      data-loaded={loaded}
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
        {rest && <span className="quiet">Click a face to rest the master on it.</span>}
      </div>
    </div>
  );
}
