import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import { figureOf, wordOf, type Job } from '../../api/client';
import { NotRead } from '../../ui/NotRead';
import { FigureText } from '../../ui/FigureText';
import { Pick } from '../../ui/Pick';
import { Word } from '../../ui/Word';
import type { Paint } from '../../viewer/marks';
import { facesQuery } from '../jobQueries';
import { Marks } from './Marks';
import { Stands } from './Stands';
import type { JobDesk } from '../useJob';

interface Props {
  job: Job;
  desk: JobDesk;
  choose: () => void;
  chooseBeside: () => void;
  paint: Paint | null;
  setPaint: (next: Paint | null) => void;
}

const M = 'master.measured.';

const SOLID_NAMES: Record<string, string> = {
  lengthMm: 'long',
  widthMm: 'wide',
  heightMm: 'high',
  diameterMm: 'across',
  topDiameterMm: 'across at the top',
  tubeDiameterMm: 'thick in the ring',
  profile: 'from the bottom up',
  girths: 'round it, from the bottom up',
  carvedPct: 'larger over its carved face than flat',
};

export function MasterStage({ job, desk, choose, chooseBeside, paint, setPaint }: Props) {
  const source = job.words['master.source']?.value;
  const copies = job.figures['plate.copies'];
  // by its volume, which says nothing while nobody knows the material
  const weightKnown =
    job.words['master.massG']?.unset && job.words['master.material']?.value !== 'UNKNOWN';
  return (
    <>
      <h1>Master</h1>
      <p className="sentence">
        {source === 'NONE' ? 'Its shape is' : 'Its shape is known from'} <Word k="master.source" />
        {source === 'FILE' && job.model && (
          <>
            , <strong>{job.model.name}</strong>
          </>
        )}
        . It is made of <Word k="master.material" after="," /> <Word k="master.preparation" />
        {weightKnown && job.figures['master.mass'] && (
          <>
            , which by its volume should weigh <FigureText figure={job.figures['master.mass']} />
            {copies && (
              <>
                {' '}
                for all <FigureText figure={copies} />
              </>
            )}
          </>
        )}
        ; {copies ? 'weight of one' : 'weight'}: <Word k="master.massG" after="." /> A test patch of
        the rubber on it: <Word k="master.patch" after="." /> Where it is now:{' '}
        <Word k="master.where" after="." />
      </p>
      {source === 'FILE' && <ModelFile job={job} choose={choose} chooseBeside={chooseBeside} />}
      {source === 'SOLID' && <SolidSentence job={job} />}
      {source === 'MEASURED' && (
        <p className="sentence">
          Outside it is <Word k={`${M}outline`} after="," />{' '}
          {job.words[`${M}outline`]?.value === 'ROUND' ? (
            <>
              <Word k={`${M}diameterMm`} /> across
            </>
          ) : (
            <>
              <Word k={`${M}lengthMm`} /> long, <Word k={`${M}widthMm`} /> wide
            </>
          )}{' '}
          and <Word k={`${M}heightMm`} /> high. Without a model or a solid, the shape is not
          checked: only sizes, volumes and amounts.
        </p>
      )}
      {source === 'NONE' && (
        <p>
          Drop a model file, or say above how else the shape is known. Volume can also be measured
          with water, a scale or grain, below.
        </p>
      )}
      {job.figures['master.volume'] && (
        <div className="part">
          <h2>
            <FigureText figure={job.figures['master.volume']} lone /> of master
          </h2>
          <p className="sentence">
            Outer size as it stands: <FigureText figure={job.figures['master.size']} />. Volume
            used: <Word k="master.way" after="." />
          </p>
          <Ways job={job} />
        </div>
      )}
      {job.hasShape && <Posing job={job} desk={desk} />}
      {job.hasShape && <Marks job={job} desk={desk} paint={paint} setPaint={setPaint} />}
      <Measuring job={job} />
    </>
  );
}

function ModelFile({
  job,
  choose,
  chooseBeside,
}: {
  job: Job;
  choose: () => void;
  chooseBeside: () => void;
}) {
  return (
    <div>
      {job.model?.lines.map((line) => (
        <p key={line} className="small quiet" style={{ margin: 0 }}>
          {line}
        </p>
      ))}
      <div className="turns" style={{ marginTop: '0.7rem' }}>
        <Button size="sm" variant="outline-primary" onClick={choose}>
          {job.model ? 'Choose another file' : 'Choose a model file'}
        </Button>
        {job.model && (
          <Button size="sm" variant="outline-primary" onClick={chooseBeside}>
            Add another model beside it
          </Button>
        )}
        {job.model && (
          <a className="btn btn-sm btn-outline-primary" href={`/api/jobs/${job.id}/original`}>
            Download the original, {job.model.size}
          </a>
        )}
      </div>
      {job.model && (
        <p className="sentence">
          The file is in{' '}
          <Word
            k="master.unitMm"
            unsaid={job.model.guessedUnit && `${job.model.guessedUnit} (guessed)`}
            after="."
          />
        </p>
      )}
    </div>
  );
}

function SolidSentence({ job }: { job: Job }) {
  const relief = job.words['master.solid.kind']?.value === 'RELIEF';
  return (
    <p className="sentence">
      A <Word k="master.solid.kind" after="," />{' '}
      {job.measures.map((m, i) => (
        <span key={m}>
          <Word k={wordOf(m)} />{' '}
          {relief && m.endsWith('heightMm')
            ? 'deep on average'
            : SOLID_NAMES[m.split('.').at(-1) ?? '']}
          {i < job.measures.length - 1 ? ', ' : ''}
        </span>
      ))}
      , each to ± <Word k="master.solid.toleranceMm" after="." />
    </p>
  );
}

function Ways({ job }: { job: Job }) {
  if (job.ways.length < 2 && !job.ways[0]?.advice) {
    return null;
  }
  const best = job.figures['master.volume'];
  return (
    <>
      <table className="compare">
        <thead>
          <tr>
            <th scope="col">known by</th>
            <th scope="col" className="n">
              volume
            </th>
            <th scope="col" className="n">
              error
            </th>
          </tr>
        </thead>
        <tbody>
          {job.ways.map((w) => {
            const figure = figureOf(job.figures, w.figure);
            return (
              <tr key={w.way} className={figure?.value === best?.value ? 'best' : ''}>
                <td>
                  {w.text}
                  {figure?.value === best?.value ? ' (used)' : ''}
                </td>
                <td className="n" data-label="volume">
                  <FigureText figure={figure} />
                </td>
                <td className="n" data-label="error">
                  {w.plusMinus}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
      {job.ways
        .filter((w) => w.advice)
        .map((w) => (
          <p key={w.way} className="small">
            {w.advice}
          </p>
        ))}
    </>
  );
}

const ANGLES = [90, 45, 15, 5, 1];

/** Seen from the front: which way, about which axis of the plate, in which sense. */
const TURNS = [
  ['back', 'x', -1],
  ['forward', 'x', 1],
  ['left', 'y', -1],
  ['right', 'y', 1],
  ['round to the left', 'z', 1],
  ['round to the right', 'z', -1],
] as const;

function Posing({ job, desk }: { job: Job; desk: JobDesk }) {
  const [by, setBy] = useState(90);
  const { data: faces, error, refetch } = useQuery(facesQuery(job.id, job.shapeKey));
  const offered = faces?.filter((f) => !f.down).slice(0, 5) ?? [];
  const turn = (text: string) => desk.apply([{ word: 'pose.turned', text }]);
  return (
    <div className="part">
      <h2>Which way up</h2>
      <p className="sentence">
        It stands <Word k="pose.liftMm" /> clear of the plate.
      </p>
      <Stands job={job} desk={desk} />
      <NotRead what="Its flat sides" error={error} again={refetch} />
      <p className="sentence">
        Click a face in the solid view to rest it there
        {offered.length > 0 ? ', or choose one of its flat sides:' : '.'}
      </p>
      <div className="turns">
        {offered.map((f) => (
          <Button
            key={f.edit}
            size="sm"
            variant="outline-primary"
            onClick={() => desk.apply([{ word: 'pose.rest', text: f.edit }])}
          >
            on its {f.facing}, {f.area}
          </Button>
        ))}
      </div>
      <p className="sentence">
        Or tip it by{' '}
        <Pick
          name="angle to tip by"
          options={ANGLES}
          text={(degrees) => `${degrees}°`}
          value={by}
          choose={setBy}
        />
        :
      </p>
      <div className="turns">
        {TURNS.map(([name, axis, sign]) => (
          <Button
            key={name}
            size="sm"
            variant="outline-primary"
            onClick={() => turn(`${axis} ${sign * by}`)}
          >
            {name}
          </Button>
        ))}
        <Button
          size="sm"
          variant="outline-primary"
          onClick={() => desk.apply([{ word: 'pose.asModelled', text: '' }])}
        >
          As modelled
        </Button>
      </div>
    </div>
  );
}

function Measuring({ job }: { job: Job }) {
  const vessel = job.words[`${M}vessel`]?.value;
  return (
    <div className="part">
      <h2>Measured another way</h2>
      <p className="sentence">
        Under water in a <Word k={`${M}vessel`} />{' '}
        {vessel === 'RECTANGLE' ? (
          <>
            <Word k={`${M}vesselLengthMm`} /> by <Word k={`${M}vesselWidthMm`} />
          </>
        ) : (
          <>
            Ø <Word k={`${M}vesselDiameterMm`} />
          </>
        )}
        {vessel === 'PAIL' && (
          <>
            {' '}
            at the bottom, Ø <Word k={`${M}vesselTopDiameterMm`} /> at{' '}
            <Word k={`${M}vesselHeightMm`} /> above it
          </>
        )}
        , the level rose from <Word k={`${M}levelBeforeMm`} /> to{' '}
        <Word k={`${M}levelAfterMm`} after="," /> each read to ±{' '}
        <Word k={`${M}readingErrorMm`} after="." />
      </p>
      <p className="sentence">
        <Word k={`${M}overflowG`} /> of water ran over; hung under water it made the scale gain{' '}
        <Word k={`${M}hungG`} after="," /> weighed to ± <Word k={`${M}scaleErrorG`} after="." />
      </p>
      <p className="sentence">
        It, or an identical cast, weighs <Word k={`${M}castG`} /> at a density of{' '}
        <Word k={`${M}castDensity`} /> ± <Word k={`${M}densityErrorPct`} after="." />
      </p>
      <p className="sentence">
        <Word k={`${M}grainMm3`} /> of grain fills the box round the master to the pour line,{' '}
        <Word k={`${M}grainEmptyMm3`} /> the empty box
        {job.words[`${M}grainEmptyMm3`]?.unset && !job.words[`${M}grainBoxMm3`]?.unset && (
          <>
            {' '}
            (box of <Word k={`${M}grainBoxMm3`} after=")" />
          </>
        )}
        , to ± <Word k={`${M}packingPct`} after="." />
      </p>
    </div>
  );
}
