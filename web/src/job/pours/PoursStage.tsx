import { Fragment, useState } from 'react';
import { Link } from 'react-router-dom';
import { figureOf, type Job } from '../../api/client';
import { FigureText } from '../../ui/FigureText';
import { Word } from '../../ui/Word';
import { Stopped } from '../Stopped';
import { Done, OtherRecords, RecordBatch } from './RecordBatch';
import { useMixed } from './useMixed';

/** What is mixed when: every batch with its weights, its marks and its time. */
export function PoursStage({ job }: { job: Job }) {
  const f = job.figures;
  const { each, reason, fewer } = job.batches;
  const { poured } = job.box;
  if (each.length === 0) {
    return (
      <>
        <h1>Pours</h1>
        <p>
          {job.words['rubber.product']?.unset
            ? 'Choose a rubber on the Rubber stage to see its batches here.'
            : 'Nothing can be weighed yet: see what is missing below.'}
        </p>
      </>
    );
  }
  return (
    <>
      <h1>Pours</h1>
      {job.stopped && <Stopped job={job} />}
      {poured ? (
        <p className="sentence">
          The rubber is <Word k="rubber.bubbles" after="," /> and mixed in{' '}
          <Word k="rubber.batches" after={job.words['rubber.batches']?.unset ? ':' : undefined} />{' '}
          {job.words['rubber.batches']?.unset && <FigureText figure={f['batch.count']} />}
          {!f['later.base'] && !job.stopped && (
            <>
              {' '}
              of <FigureText figure={f['mix.total']} />
              {f['rest.base'] && ' at most, the first to cover the master'}
            </>
          )}
          . {reason}{' '}
          {job.words['rubber.sealingMm']?.unset ? (
            <>
              Sealing pour: <Word k="rubber.sealingMm" after="." />
            </>
          ) : (
            <>
              Before that, <Word k="rubber.sealingMm" /> is poured to seal the joints and left until
              tacky.
            </>
          )}
        </p>
      ) : (
        <p className="sentence">
          Each coat is a batch of its own. The Mould stage says when each is mixed.
        </p>
      )}
      {fewer.length > 0 && <p className="quiet">It would be {list(fewer)}.</p>}
      {f['batch.minutes'] && (
        <p className="sentence">
          {poured ? 'One' : 'The first'} takes <FigureText figure={f['batch.minutes']} />
          {f['rubber.potLife'] && (
            <>
              {' '}
              against a pot life of <FigureText figure={f['rubber.potLife']} /> in your room
            </>
          )}
          .
          {f['pump.left'] && (
            <>
              {' '}
              The pump leaves <FigureText figure={f['pump.left']} /> in the chamber.
            </>
          )}
        </p>
      )}
      <Table job={job} />
      {poured && (
        <p>
          Other moulds of the same rubber can{' '}
          <Link to={`/together?rubber=${job.words['rubber.product']?.text ?? ''}`}>
            share its batches
          </Link>
          .
        </p>
      )}
    </>
  );
}

/** What each batch has besides its weights; only columns that are known. */
const COLUMNS = [
  { key: 'fill', text: 'Fill mark' },
  { key: 'level', text: 'Level' },
  { key: 'start', text: 'Begin' },
] as const;

/** What is weighed for one batch. */
function Weights({ f, b }: { f: Job['figures']; b: Job['batches']['each'][number] }) {
  return (
    <>
      <FigureText figure={figureOf(f, b.base)} />
      {b.hardener && (
        <>
          {' '}
          + <FigureText figure={figureOf(f, b.hardener)} />
        </>
      )}
      {b.additives.map((a) => (
        <Fragment key={a}>
          {' '}
          + <FigureText figure={figureOf(f, a)} />
        </Fragment>
      ))}
    </>
  );
}

function Table({ job }: { job: Job }) {
  const f = job.figures;
  const { each } = job.batches;
  const mixed = useMixed(job.id);
  const [open, setOpen] = useState<number | null>(null);
  const columns = COLUMNS.filter((c) => each.some((b) => f[`batch.${b.number}.${c.key}`]));
  return (
    <>
      <table className="compare batches">
        <thead>
          <tr>
            <th scope="col">Batch</th>
            <th scope="col" className="n">
              Weigh
            </th>
            {columns.map((c) => (
              <th key={c.key} scope="col" className="n">
                {c.text}
              </th>
            ))}
            <th scope="col">Mixed</th>
          </tr>
        </thead>
        <tbody>
          {each.map((b) => (
            <tr key={b.key}>
              <th scope="row">
                {b.number} {b.of}
              </th>
              <td className="n" data-label="Weigh">
                {job.stopped ? '–' : <Weights f={f} b={b} />}
              </td>
              {columns.map((c) => (
                <td key={c.key} className="n" data-label={c.text}>
                  {f[`batch.${b.number}.${c.key}`] ? (
                    <FigureText figure={f[`batch.${b.number}.${c.key}`]} />
                  ) : (
                    '–'
                  )}
                  {c.key === 'fill' && f[`batch.${b.number}.line`] && (
                    <span className="small quiet by">
                      <FigureText figure={f[`batch.${b.number}.line`]} />
                    </span>
                  )}
                  {c.key === 'start' && f[`batch.${b.number}.latest`] && (
                    <>
                      {' '}
                      to <FigureText figure={f[`batch.${b.number}.latest`]} />
                    </>
                  )}
                  {c.key === 'start' && f[`batch.${b.number}.by`] && (
                    <span className="small quiet by">
                      poured by <FigureText figure={f[`batch.${b.number}.by`]} />
                    </span>
                  )}
                </td>
              ))}
              <td>
                {mixed.of(b.number) ? (
                  '✓'
                ) : (
                  <button
                    type="button"
                    className="figure"
                    aria-label={`Batch ${b.number} is mixed`}
                    onClick={() => setOpen(b.number)}
                  >
                    Record
                  </button>
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {open !== null && !mixed.of(open) && (
        <RecordBatch key={open} number={open} mixed={mixed} close={() => setOpen(null)} />
      )}
      {each.map((b) => (
        <Done key={b.key} number={b.number} mixed={mixed} />
      ))}
      <OtherRecords mixed={mixed} />
      {mixed.said && (
        <p role="status" className="count CHECK">
          {mixed.said}
        </p>
      )}
    </>
  );
}

/** "a, b or c". */
function list(parts: string[]) {
  return parts.length < 2
    ? (parts[0] ?? '')
    : `${parts.slice(0, -1).join(', ')} or ${parts.at(-1) ?? ''}`;
}
