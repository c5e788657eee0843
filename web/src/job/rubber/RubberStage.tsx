import { Link } from 'react-router-dom';
import type { Job } from '../../api/client';
import { FigureText } from '../../ui/FigureText';
import { Word } from '../../ui/Word';
import { big } from '../../ui/big';
import { Stopped } from '../Stopped';
import { Casts } from './Casts';
import { Rubbers } from './Rubbers';
import { Touching } from './Touching';

export function RubberStage({ job }: { job: Job }) {
  const base = job.figures['mix.base'];
  const picked = !job.words['rubber.product']?.unset;
  const first = job.words['rubber.first']?.value === 'HARDENER' ? 'hardener' : 'base';
  const other = first === 'base' ? 'hardener' : 'base';
  const { poured } = job.box;
  return (
    <>
      <h1>Rubber</h1>
      <p className="sentence">
        {poured ? 'Poured' : 'Brushed on'} with{' '}
        <Word
          k="rubber.product"
          options={job.rubbers.map((r) => ({ value: r.id, text: r.name, note: r.summary }))}
        />
        {picked && (
          <>
            {job.catalysts.length > 0 && (
              <>
                {' '}
                with{' '}
                <Word
                  k="rubber.catalyst"
                  options={[{ value: '', text: 'the usual' }, ...job.catalysts]}
                />{' '}
                catalyst
              </>
            )}
            , mixed <Word k="rubber.ratio" after=":" />{' '}
            {job.ratioSentence || 'the sheet gives no ratio'}
          </>
        )}
        .
      </p>
      {!picked && (
        <p>
          Pick a rubber and the amounts stand here to the gram. What each one is, the{' '}
          <Link to="/rubber">rubber shelf</Link> says.
        </p>
      )}
      <Rubbers job={job} picked={picked} />
      {picked && (
        <>
          {poured ? (
            <p className="sentence">
              The box takes <FigureText figure={job.figures['rubber.box']} />, plus{' '}
              {job.words['rubber.allowancePct']?.unset ? (
                <Word k="rubber.allowancePct" after="," />
              ) : (
                <>
                  an allowance of <Word k="rubber.allowancePct" after="," />
                </>
              )}{' '}
              <FigureText figure={job.figures['rubber.allowance']} />. The <Word k="rubber.first" />{' '}
              goes into the cup first.
            </p>
          ) : (
            <p className="sentence">
              The skin takes <FigureText figure={job.figures['rubber.box']} />, plus an allowance of{' '}
              <FigureText figure={job.figures['rubber.allowance']} />. The <Word k="rubber.first" />{' '}
              goes into the cup first. The <Link to={`/jobs/${job.id}/mould`}>Mould stage</Link>{' '}
              says what each coat takes.
            </p>
          )}
          {base &&
            (job.stopped ? <Stopped job={job} /> : <Weigh job={job} first={first} other={other} />)}
          {poured && <Besides job={job} />}
          {base && !job.stopped && <Poured job={job} first={first} other={other} />}
          {base && <Alike job={job} />}
          <Touching job={job} />
          <Casts job={job} />
          <Buying job={job} />
        </>
      )}
    </>
  );
}

/** What goes into a poured mould besides base and hardener. */
function Besides({ job }: { job: Job }) {
  return (
    <>
      <p className="sentence">
        Additives: <Word k="rubber.additive.dosePct" />
        {job.words['rubber.additive.dosePct']?.unset ? (
          '.'
        ) : (
          <>
            {' '}
            of a <Word k="rubber.additive.kind" after="," />{' '}
            <Word k="rubber.additive.name" after="," /> <Word k="rubber.additive.of" after="," />{' '}
            its density <Word k="rubber.additive.density" after=";" /> also{' '}
            <Word k="rubber.also.dosePct" />
            {job.words['rubber.also.dosePct']?.unset ? (
              '.'
            ) : (
              <>
                {' '}
                of a <Word k="rubber.also.kind" after="," /> <Word k="rubber.also.name" after="," />{' '}
                <Word k="rubber.also.of" after="," /> its density{' '}
                <Word k="rubber.also.density" after="." />
              </>
            )}
          </>
        )}
      </p>
      <p className="sentence">
        Cured offcuts of the same rubber: <Word k="rubber.offcutsMm3" />
        {job.figures['offcuts.most'] && (
          <>
            {' '}
            (room for <FigureText figure={job.figures['offcuts.most']} />, clear of the master)
          </>
        )}
        .
      </p>
    </>
  );
}

type Part = 'base' | 'hardener';

function Weigh({ job, first, other }: { job: Job; first: Part; other: Part }) {
  const parts = ([first, other, 'additive', 'also'] as const).filter(
    (p) => job.figures[`mix.${p}`],
  );
  return (
    <div className="weigh" aria-label="Weigh out">
      {parts.map((p, i) => {
        const byVolume =
          p === 'additive' || p === 'also' ? undefined : job.figures[`mix.${p}Volume`];
        return (
          <div key={p} style={{ display: 'contents' }}>
            <span className="order">{i + 1}</span>
            <span className="amount">
              <FigureText figure={job.figures[`mix.${p}`]} lone />
            </span>
            <span>
              {job.figures[`mix.${p}`]?.label}
              {byVolume && (
                <span className="quiet">
                  {' '}
                  · <FigureText figure={byVolume} />
                </span>
              )}
            </span>
          </div>
        );
      })}
      <span />
      <span className="n" style={{ textAlign: 'right' }}>
        <FigureText figure={job.figures['mix.total']} />
      </span>
      <span>
        in the cup, <FigureText figure={job.figures['mix.volume']} />
      </span>
    </div>
  );
}

function Poured({ job, first, other }: { job: Job; first: Part; other: Part }) {
  return (
    <div className="part">
      <h2>Weighed so far</h2>
      <p className="sentence">
        {big(first)}: <Word k="rubber.firstG" after="," /> {other}:{' '}
        <Word k="rubber.secondG" after="." />
      </p>
      {job.second && (
        <p role="status" className={job.second.state === 'OVER' ? 'refusal' : ''}>
          {job.second.words} <span className="quiet">Target:</span>{' '}
          <FigureText figure={job.figures['mix.second']} />
        </p>
      )}
    </div>
  );
}

/** Several moulds of one master. */
function Alike({ job }: { job: Job }) {
  const f = job.figures;
  const several = f['moulds.mass'] !== undefined;
  return (
    <div className="part">
      <h2>Identical moulds</h2>
      <p className="sentence">
        Make <Word k="rubber.moulds" /> of this master
        {several && ', one after the other'}.
      </p>
      {several && (
        <>
          <p className="sentence">
            For all: <FigureText figure={f['moulds.mass']} /> of base and hardener
            {f['moulds.hands'] && (
              <>
                , <FigureText figure={f['moulds.hands']} /> of work by hand
              </>
            )}
            {f['moulds.cost'] && (
              <>
                , costing <FigureText figure={f['moulds.cost']} />
              </>
            )}
            .
          </p>
          {f['moulds.elapsed'] && f['moulds.pace'] && (
            <p className="sentence">
              You open <FigureText figure={f['moulds.pace']} />. The last is open after{' '}
              <FigureText figure={f['moulds.elapsed']} />.
            </p>
          )}
          <p className="sentence">
            The first mould weighs: <Word k="rubber.mouldG" after="." /> Once it is weighed, rubber,
            batches and cost of all are worked out from it.
          </p>
        </>
      )}
    </div>
  );
}

function Buying({ job }: { job: Job }) {
  const bought = [job.figures['buy.0'], job.figures['buy.1']].filter((f) => f !== undefined);
  return (
    <div className="part">
      <h2>Cost and packs</h2>
      {job.packs.length > 0 ? (
        <p>
          This job uses <FigureText figure={job.figures['rubber.cost']} /> of it. It is sold as{' '}
          {job.packs.join(', ')}.
          {bought.map((f) => (
            <span key={f.key}>
              {' '}
              {big(f.label)}: <FigureText figure={f} />.
            </span>
          ))}{' '}
          The <Link to={`/shopping?job=${job.id}`}>shopping list</Link> subtracts your stock.
        </p>
      ) : (
        <p>The sheet names no packs, so there is no price.</p>
      )}
      {job.figures['rubber.potLife'] && (
        <p>
          In your room it can be {job.box.poured ? 'poured' : 'brushed'} for{' '}
          <FigureText figure={job.figures['rubber.potLife']} /> and cures in{' '}
          <FigureText figure={job.figures['rubber.demould']} />. Where the sheet says otherwise, the
          sheet counts.
        </p>
      )}
    </div>
  );
}
