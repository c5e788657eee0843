import { OrderOfWork } from './OrderOfWork';
import { useState, type ReactNode } from 'react';
import type { Job, JobFigure } from '../../api/client';
import { FigureText } from '../../ui/FigureText';
import { Word } from '../../ui/Word';
import { big } from '../../ui/big';
import { BoxShapes, CutList } from './BoxParts';
import { CastLabel } from './CastLabel';
import { SkinParts } from '../skin/SkinParts';
import type { JobDesk } from '../useJob';

interface Props {
  job: Job;
  desk: JobDesk;
  /** What the shape decides, after the box. */
  children?: ReactNode;
}

export function MouldStage({ job, desk, children }: Props) {
  if (!job.box.poured) {
    return (
      <>
        <h1>Mould</h1>
        <SkinParts job={job} desk={desk} />
        {job.skin && (
          <>
            <Casts job={job} />
            <OrderOfWork job={job} />
          </>
        )}
        {children}
      </>
    );
  }
  if (!job.dipstick) {
    return (
      <>
        <h1>Mould</h1>
        <p>The box follows the master. Say on the Master stage what its shape is known from.</p>
      </>
    );
  }
  const { sided, ofPipe } = job.box;
  const own = job.words['mould.shape']?.value === 'OWN';
  return (
    <>
      <h1>Mould</h1>
      <p className="sentence">
        <span className="capital">
          <Word k="mould.kind" after="," />
        </span>{' '}
        poured in a <Word k="mould.shape" /> {ofPipe || own ? 'on' : 'of'}{' '}
        <Word k="mould.sheet" after="," /> leaving {own && 'at least '}
        <Word k="mould.sidesMm" /> round the sides, <Word k="mould.overTopMm" /> over the top and{' '}
        <Word k="pose.liftMm" /> below, with <Word k="mould.freeboardMm" /> of wall above the pour
        line.
      </p>
      {job.box.onPlate && <OnPlate job={job} />}
      {sided && (own ? <Inside /> : <Sides job={job} />)}
      <p className="sentence">
        {ofPipe ? (
          'The'
        ) : (
          <>
            The walls have <Word k="mould.ribSpacingMm" after=";" /> the
          </>
        )}{' '}
        master is held by <Word k="mould.fixing" after="." />
        {job.box.cupped && (
          <>
            {' '}
            Rubber is poured <Word k="mould.filling" after="." />
          </>
        )}
      </p>
      {job.dipstick.parting && <Halves job={job} />}
      {job.cut && <Knife job={job} />}
      <div className="part">
        <table className="compare">
          <tbody>
            <Row job={job} k="rubber.box" name="Rubber in the box" />
            <Row job={job} k="box.inside" name="Inside, to the pour line" />
            <Row job={job} k="box.outside" name="Outside, to the top of the walls" />
            <Row job={job} k="box.thinnest" name={job.figures['box.thinnest']?.label ?? ''} />
            <Row
              job={job}
              k="box.cost"
              name={own ? 'Sheet for the base' : 'Sheet for walls and base'}
            />
            <Row job={job} k="box.seal" name="Joints to seal" />
            {job.figures['fits.boards'] && (
              <Row job={job} k="fits.boards" name={job.figures['fits.boards'].label} />
            )}
          </tbody>
        </table>
      </div>
      <CastLabel job={job} desk={desk} />
      <Casts job={job} />
      <OrderOfWork job={job} />
      <BoxShapes job={job} desk={desk} />
      <CutList job={job} />
      {children}
    </>
  );
}

/** Several masters in one mould. */
function OnPlate({ job }: { job: Job }) {
  const land = job.figures['plate.land'];
  return (
    <p className="sentence">
      One mould holds <Word k="plate.copies" /> of the master
      {land ? (
        <>
          , <FigureText figure={job.figures['plate.masters']} /> in all, laid{' '}
          <Word k="plate.laying" after="," /> with at least <Word k="plate.landMm" /> of rubber
          between any two (now <FigureText figure={land} />
          ).
        </>
      ) : (
        '.'
      )}
    </p>
  );
}

const SIDES = [
  'mould.leftMm',
  'mould.rightMm',
  'mould.frontMm',
  'mould.backMm',
  'mould.insideLengthMm',
  'mould.insideWidthMm',
] as const;

/** Sides that differ, or a box that is there already: said only when wanted. */
function Sides({ job }: { job: Job }) {
  const [wanted, setWanted] = useState(false);
  if (!wanted && SIDES.every((k) => job.words[k]?.unset)) {
    return (
      <p>
        <button type="button" className="figure" onClick={() => setWanted(true)}>
          Set each side by itself, or use a box you have
        </button>
      </p>
    );
  }
  return (
    <p className="sentence">
      Left <Word k="mould.leftMm" after="," /> right <Word k="mould.rightMm" after="," /> front{' '}
      <Word k="mould.frontMm" after="," /> back <Word k="mould.backMm" after="." /> A box you have:
      inside <Word k="mould.insideLengthMm" /> long, <Word k="mould.insideWidthMm" /> wide.
    </p>
  );
}

/** Of a box or frame one has. */
function Inside() {
  return (
    <p className="sentence">
      Inside it is <Word k="mould.insideLengthMm" /> long and <Word k="mould.insideWidthMm" /> wide.
    </p>
  );
}

/** How a two-part mould comes apart. */
function Halves({ job }: { job: Job }) {
  const f = job.figures;
  return (
    <>
      <p className="sentence">
        The halves meet <Word k="parting.line" after="," /> <Word k="parting.upMm" />
        {job.words['parting.upMm']?.unset ? '' : ' up the master'}, and register by{' '}
        <Word k="parting.keying" after="." /> For the first pour the master is bedded in{' '}
        <Word k="parting.bedding" after="." />
      </p>
      <p className="sentence">
        The upper half takes <FigureText figure={f['parting.upper']} />, the lower{' '}
        <FigureText figure={f['parting.lower']} />. Locked as they come apart:{' '}
        <FigureText figure={f['parting.locked']} />. The seam is{' '}
        <FigureText figure={f['parting.seam']} /> long
        {f['parting.clean'] && (
          <>
            , <FigureText figure={f['parting.clean']} /> of it on what is to stay clean
          </>
        )}
        {f['parting.keys'] && (
          <>
            ; <FigureText figure={f['parting.keys']} /> fit beside it
            {job.words['parting.keying']?.value === 'DOMES_BOTH' &&
              ', round ones on the lower half, square ones on the upper'}
          </>
        )}
        {f['parting.ring'] && (
          <>
            ; the seal ring is <FigureText figure={f['parting.ring']} /> round, its middle{' '}
            <Word k="parting.ring.offsetMm" /> off the cavity, <Word k="parting.ring.widthMm" />{' '}
            wide and <Word k="parting.ring.heightMm" /> high
          </>
        )}
        .
        {f['parting.riserLeft'] && (
          <>
            {' '}
            Risers: <FigureText figure={f['parting.riserLeft']} /> high,{' '}
            <Word k="parting.riserLeftMm" /> in from the left end, and{' '}
            <FigureText figure={f['parting.riserRight']} /> high, <Word k="parting.riserRightMm" />{' '}
            in from the right.
          </>
        )}
      </p>
    </>
  );
}

/** How a block is cut open. */
function Knife({ job }: { job: Job }) {
  const f = job.figures;
  return (
    <p className="sentence">
      It is cut open on <Word k="cut.towardsDegrees" />{' '}
      <span className="together">
        (<FigureText figure={f['cut.towards']} />
        ),
      </span>{' '}
      and <Word k="cut.extent" after="." /> To cut: <FigureText figure={f['cut.area']} />, at least{' '}
      <FigureText figure={f['cut.shallowest']} /> from the master to the outside, with a seam of{' '}
      <FigureText figure={f['cut.seam']} />
      {f['cut.clean'] && (
        <>
          , <FigureText figure={f['cut.clean']} /> of it on what is to stay clean
        </>
      )}
      . Stays locked when it opens: <FigureText figure={f['cut.locked']} />.
    </p>
  );
}

/** What a cast takes, and what it is poured in through. */
function Casts({ job }: { job: Job }) {
  const f = job.figures;
  const hollow = job.words['hollow.wallMm']?.unset === false;
  const core = f['core.volume'];
  return (
    <section className="part" aria-label="Casting">
      <h2>A cast</h2>
      <p className="sentence">
        Casts are {hollow && 'hollow, with a wall of '}
        <Word k="hollow.wallMm" after="." />{' '}
        {core && (
          <>
            The core takes <FigureText figure={core} /> and stands on{' '}
            <FigureText figure={f['core.pins']} />
            {f['core.stretch'] && (
              <>
                ; it is drawn through <FigureText figure={f['core.opening']} /> and stretches by{' '}
                <FigureText figure={f['core.stretch']} />
              </>
            )}
            .{' '}
          </>
        )}
        {!f['cast.volume'] && 'What a cast takes is being worked out …'}
      </p>
      {f['cast.volume'] && (
        <p className="sentence">
          {f['plate.masters'] ? 'All casts of a pour take' : 'A cast takes'}{' '}
          <FigureText figure={f['cast.volume']} />, <FigureText figure={f['cast.mass']} />
          {job.words['cast.product']?.unset === false ? (
            ' by the sheet of what is cast.'
          ) : (
            <>
              , of something with a viscosity of <Word k="channels.resin.viscosityPas" after="," />{' '}
              a pot life of <Word k="channels.resin.potLifeMin" /> and a density of{' '}
              <Word k="channels.resin.density" after="." />
            </>
          )}
          {f['sprue.diameter'] ? (
            <>
              {' '}
              It runs in through a sprue <Word k="channels.sprueMm" />{' '}
              <span className="together">
                (<FigureText figure={f['sprue.diameter']} />
                ),
              </span>{' '}
              <Word k="channels.spout" after="," /> and fills in{' '}
              <span className="together">
                <FigureText figure={f['sprue.fill']} />;
              </span>{' '}
              vents are <Word k="channels.ventMm" /> across, <Word k="channels.ventBy" after="." />
            </>
          ) : (
            ' It is poured in through the open base.'
          )}
          {f['cast.last'] && (
            <>
              {' '}
              The last of it arrives after{' '}
              <span className="together">
                <FigureText figure={f['cast.last']} />.
              </span>
            </>
          )}
          {f['fits.pot'] && (
            <>
              {' '}
              In the pressure pot the mould: <FigureText figure={f['fits.pot']} />.
            </>
          )}
        </p>
      )}
    </section>
  );
}

function Row({ job, k, name }: { job: Job; k: JobFigure; name: string }) {
  return (
    <tr>
      <td>{big(name)}</td>
      <td className="n">
        <FigureText figure={job.figures[k]} />
      </td>
    </tr>
  );
}
