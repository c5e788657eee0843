import { lazy, Suspense, useState } from 'react';
import { useSearchParams } from 'react-router-dom';
import type { Job } from '../api/client';
import { Section } from '../stage/Section';
import { SectionPlane } from '../stage/SectionPlane';
import { Pick } from '../ui/Pick';
import type { Paint } from '../viewer/marks';
import type { Preset, Seen } from '../viewer/SolidScene';
import type { SolidTool } from './mould/ShapePart';
import type { JobDesk } from './useJob';
import type { ShapeDesk } from './useStudy';
import type { CutName } from './jobQueries';

const SolidView = lazy(() => import('../viewer/SolidView'));

type View = CutName | 'SOLID';

const VIEWS: { id: View; text: string }[] = [
  { id: 'FRONT', text: 'Front' },
  { id: 'SIDE', text: 'Side' },
  { id: 'TOP', text: 'Top' },
  { id: 'SOLID', text: 'Solid' },
];

const SEEN: Record<Preset, string> = {
  corner: 'the corner',
  front: 'the front',
  side: 'the right',
  top: 'above',
};

const HINTS = {
  rest: 'Click a face to rest the master on it.',
  vent: 'Click where air is to get out.',
  sprue: 'Click where it is to be poured in.',
  paint: 'Paint over the master; drag beside it to turn it.',
  none: '',
};

interface Props {
  job: Job;
  desk: JobDesk;
  stage: string;
  pointed: string | null;
  /** Called with the caution pointed at, or null. */
  point: (id: string | null) => void;
  choose: () => void;
  shape: ShapeDesk;
  tool: SolidTool;
  paint: Paint | null;
}

/** The left half: the thing itself, drawn to scale. */
export function MouldDrawing({
  job,
  desk,
  stage,
  pointed,
  point,
  choose,
  shape,
  tool,
  paint,
}: Props) {
  const [params, setParams] = useSearchParams();
  const [noSolids, setNoSolids] = useState(false);
  const [seen, setSeen] = useState<Seen>({ from: 'corner' });
  const usual: View = stage === 'master' && job.hasShape && !noSolids ? 'SOLID' : 'FRONT';
  const needsSolid = tool.placing !== null || tool.show !== null || paint !== null;
  const asked = needsSolid
    ? 'SOLID'
    : (VIEWS.find((v) => v.id === params.get('view'))?.id ?? usual);
  // while a skin is worked out there is no section of it
  const wished: View = job.dipstick === undefined && job.skin === undefined ? 'SOLID' : asked;
  const view: View = wished === 'SOLID' && (!job.hasShape || noSolids) ? 'FRONT' : wished;
  const at = params.get('at') === null ? null : Number(params.get('at'));
  const show = (next: View, place: number | null) =>
    setParams(
      (p) => {
        p.set('view', next);
        if (place === null) {
          p.delete('at');
        } else {
          p.set('at', String(Math.round(place * 10) / 10));
        }
        return p;
      },
      { replace: place !== null },
    );

  const drawn = job.dipstick ?? job.skin;
  if (!drawn && !job.hasShape) {
    return (
      <section className="thing" aria-label="The master">
        <div className="empty">
          <p>Drop a model file anywhere on this page, and it is drawn here in its box.</p>
          <button type="button" className="btn btn-primary" onClick={choose}>
            Choose a model file
          </button>
          <p className="small quiet" style={{ marginTop: '0.8rem', fontSize: '0.9rem' }}>
            STL, OBJ, PLY, OFF or 3MF. Without one, describe it as a solid or measure it.
          </p>
        </div>
      </section>
    );
  }
  return (
    <section className="thing" aria-label="The master in its mould">
      <div className="views">
        {VIEWS.filter((v) => v.id !== 'SOLID' || job.hasShape).map((v) => (
          <button
            key={v.id}
            type="button"
            className="plain"
            aria-pressed={view === v.id}
            onClick={() => show(v.id, null)}
            disabled={v.id === 'SOLID' && noSolids}
            title={v.id === 'SOLID' && noSolids ? 'This machine cannot draw solids' : undefined}
          >
            {v.text}
          </button>
        ))}
        {view !== 'SOLID' && (
          <SectionPlane job={job} cut={view} at={at} move={(place) => show(view, place)} />
        )}
        {view === 'SOLID' && (
          <span className="cutplace">
            seen from{' '}
            <Pick
              name="Seen from"
              options={Object.keys(SEEN) as Preset[]}
              text={(from) => SEEN[from]}
              value={seen.from}
              choose={(from) => setSeen({ from })}
            />
          </span>
        )}
      </div>
      {view === 'SOLID' ? (
        <Suspense fallback={<div className="solid" />}>
          <SolidView
            job={job}
            withBox={stage !== 'master'}
            seen={seen}
            missing={() => setNoSolids(true)}
            shape={stage === 'master' ? null : shape}
            show={tool.show === 'LYING' ? null : tool.show}
            lying={tool.show === 'LYING' ? (shape.study?.castUp ?? null) : null}
            hint={HINTS[paint ? 'paint' : (tool.placing ?? (stage === 'master' ? 'rest' : 'none'))]}
            paint={paint}
            stroke={desk.paint}
            pick={
              tool.placing
                ? (at) => desk.apply([{ word: `casting.${tool.placing}`, text: at.place }])
                : stage === 'master'
                  ? (at) => desk.apply([{ word: 'pose.rest', text: at.normal }])
                  : undefined
            }
          />
        </Suspense>
      ) : (
        <Section
          job={job}
          cut={view}
          at={at}
          pointed={pointed}
          point={point}
          shape={shape}
          line={{
            drop: (at) => desk.apply([{ word: 'mould.overTopMm', text: `${at.overTopMm} mm` }]),
            nudge: (steps) => void desk.nudge('mould.overTopMm', steps),
          }}
          cutting={{
            drop: (degrees) => desk.apply([{ word: 'cut.towardsDegrees', text: String(degrees) }]),
          }}
          divide={(degrees) => desk.apply([{ word: 'jacket.partings', text: degrees.join(' ') }])}
          parting={{
            drop: (at) => desk.apply([{ word: 'parting.upMm', text: `${at.upMm} mm` }]),
            nudge: (steps) => void desk.nudge('parting.upMm', steps),
          }}
        />
      )}
    </section>
  );
}
