import { useQuery } from '@tanstack/react-query';
import type { CastRuns, Job } from '../../api/client';
import { FigureText } from '../../ui/FigureText';
import { NotRead } from '../../ui/NotRead';
import { glued } from '../../ui/glued';
import { Word } from '../../ui/Word';
import { useWords } from '../../ui/words';
import { castsQuery } from '../jobQueries';
import { AtTheBench } from './AtTheBench';
import { CastOf } from './CastOf';
import { MadePart } from './MadePart';

interface Props {
  job: Job;
  showPlace: (cast: number) => void;
  print: (sheet: string) => void;
}

/** How much is mixed for a cast, what keeps the mould shut, and when all casts are done. */
export function CastsStage({ job, showPlace, print }: Props) {
  const { data: runs, error, refetch } = useQuery(castsQuery(job.id, job.version));
  return (
    <>
      <h1>Casts</h1>
      <Amount job={job} missing={runs?.amount ?? ''} factor={runs?.factor} />
      {runs?.packs.map((p) => (
        <p key={p} className="sentence">
          {glued(p)}
        </p>
      ))}
      {runs && <Closing job={job} closing={runs.closing} />}
      <div className="part">
        <h2>How many, and when</h2>
        <p className="sentence">
          Wanted: <Word k="cast.wanted" after="," /> from <Word k="rubber.moulds" after="." /> One
          mix fills <Word k="cast.series.perMix" after="." /> <Word k="cast.series.scrapPct" /> are
          no good, and times vary by <Word k="cast.series.spreadPct" after="." /> Where it has to be
          released, that is done again after <Word k="cast.series.releaseEvery" after="." /> Filled
          again within half an hour, a mould is warm, and a cast is out of it after{' '}
          <Word k="cast.series.warmMin" after="." /> What is left in the cup: small moulds kept
          ready take <Word k="cast.series.spareMm3" after="." /> Margin on what one costs:{' '}
          <Word k="cast.series.marginPct" after="." />
          {job.figures['cast.price'] && (
            <>
              {' '}
              The price of one: <FigureText figure={job.figures['cast.price']} />.
            </>
          )}
        </p>
        <NotRead what="When the casts are done" error={error} again={refetch} />
        {runs && (runs.missing === '' ? <Runs runs={runs} /> : <p>{runs.missing}</p>)}
      </div>
      <AtTheBench job={job} print={print} />
      <MadePart job={job} showPlace={showPlace} />
    </>
  );
}

function Amount({
  job,
  missing,
  factor,
}: {
  job: Job;
  missing: string;
  factor: CastRuns['factor'];
}) {
  const { write } = useWords();
  const f = job.figures;
  const w = job.words;
  const way = w['cast.amount.way']?.value;
  return (
    <div className="part">
      <h2>How much to mix</h2>
      <p className="sentence">
        <CastOf job={job} /> The amount is{' '}
        <Word k="cast.amount.way" after={way === 'MODEL' ? '.' : ','} />{' '}
        {way === 'HELD' && (
          <>
            it held <Word k="cast.amount.heldMm3" after="." />{' '}
          </>
        )}
        {way === 'WEIGHT' && (
          <>
            <Word k="cast.amount.masterG" /> times <Word k="cast.amount.factor" after="." />{' '}
            {factor && job.words['cast.amount.factor']?.exact !== factor.factor && (
              <>
                It is {factor.factor} {factor.said}.{' '}
                <button
                  type="button"
                  className="plain"
                  onClick={() => void write('cast.amount.factor', factor.factor)}
                >
                  Take {factor.factor}
                </button>{' '}
              </>
            )}
          </>
        )}
        {way === 'SHELL' && (
          <>
            <Word k="cast.amount.shellMm" /> thick.{' '}
          </>
        )}
        {way === 'LAST' && (
          <>
            <Word k="cast.amount.lastG" after="." />{' '}
          </>
        )}
        Left in cups and on sticks: <Word k="cast.amount.lossPct" after="." />
        {f['cast.fill'] && (
          <>
            {' '}
            It foams up <Word k="cast.amount.riseTimes" after="," /> and{' '}
            <Word k="cast.amount.packPct" /> more than just fills it:{' '}
            <FigureText figure={f['cast.fill']} /> {f['cast.fill'].label}.
          </>
        )}
      </p>
      <p className="sentence">
        Cast in: <Word k="cast.amount.inserts" after={w['cast.amount.inserts']?.unset ? '.' : ''} />
        {!w['cast.amount.inserts']?.unset && (
          <>
            {' '}
            of <Word k="cast.amount.insertAcrossMm" /> across, <Word k="cast.amount.insertLongMm" />{' '}
            of each in the cast.
          </>
        )}{' '}
        Stirred in:{' '}
        <Word
          k="cast.amount.filler.dosePct"
          after={w['cast.amount.filler.dosePct']?.unset ? '.' : ''}
        />
        {!w['cast.amount.filler.dosePct']?.unset && (
          <>
            {' '}
            <Word k="cast.amount.filler.of" /> of <Word k="cast.amount.filler.name" after="," />{' '}
            whose density is <Word k="cast.amount.filler.density" after=";" /> also{' '}
            <Word
              k="cast.amount.also.dosePct"
              after={w['cast.amount.also.dosePct']?.unset ? '.' : ''}
            />
            {!w['cast.amount.also.dosePct']?.unset && (
              <>
                {' '}
                <Word k="cast.amount.also.of" /> of <Word k="cast.amount.also.name" after="," />{' '}
                whose density is <Word k="cast.amount.also.density" after="." />
              </>
            )}
          </>
        )}
      </p>
      <p className="sentence">
        It sets under <Word k="cast.pressureKpa" after="." />
        {f['cast.bubble'] && (
          <>
            {' '}
            A bubble shrinks to <FigureText figure={f['cast.bubble']} /> of its width.
          </>
        )}
      </p>
      {missing !== '' && <p>{missing}</p>}
      {f['cast.first'] && f['cast.second'] && (
        <p className="weigh">
          <span>
            <FigureText figure={f['cast.first']} lone />
            <small>{f['cast.first'].label}</small>
          </span>
          <span>
            <FigureText figure={f['cast.second']} lone />
            <small>{f['cast.second'].label}</small>
          </span>
          {[f['cast.filler'], f['cast.also']].map(
            (stirred) =>
              stirred && (
                <span key={stirred.key}>
                  <FigureText figure={stirred} lone />
                  <small>{stirred.label}</small>
                </span>
              ),
          )}
        </p>
      )}
      {f['cast.mixed'] && (
        <p className="sentence">
          That is <FigureText figure={f['cast.mixed']} />
          {f['cast.total'] && (
            <>
              , <FigureText figure={f['cast.total']} />
            </>
          )}
          {f['cast.more'] && (
            <>
              , <FigureText figure={f['cast.more']} /> {f['cast.more'].label}
            </>
          )}
          .
          {f['cast.firstLine'] && f['cast.secondLine'] && (
            <>
              {' '}
              By lines: {f['cast.firstLine'].label} up to{' '}
              <FigureText figure={f['cast.firstLine']} />, then {f['cast.second']?.label} up to{' '}
              <FigureText figure={f['cast.secondLine']} />.
            </>
          )}
          {f['cast.shots'] && (
            <>
              {' '}
              A full injector gives <FigureText figure={f['cast.shots']} /> of them.
            </>
          )}
          {f['cast.potLife'] && (
            <>
              {' '}
              That much can be poured for <FigureText figure={f['cast.potLife']} />.
            </>
          )}
        </p>
      )}
    </div>
  );
}

function Closing({ job, closing }: { job: Job; closing: string }) {
  const opens = job.figures['cast.opens'];
  if (!opens) {
    return null;
  }
  return (
    <div className="part">
      <h2>Keeping it shut</h2>
      <p className="sentence">
        Full, {opens.label} a weight of <FigureText figure={opens} />. {glued(closing)} Bands that
        are too tight open it elsewhere.
      </p>
    </div>
  );
}

function Runs({ runs }: { runs: CastRuns }) {
  const { write } = useWords();
  const chosen = runs.rows.find((r) => r.chosen);
  return (
    <>
      {chosen && (
        <p className="sentence">
          Half of the time they are done by <strong>{chosen.done}</strong>. Promise{' '}
          <strong>{chosen.promise}</strong>: nine times of ten they are done by then.
        </p>
      )}
      <p className="quiet">
        From {runs.start}, once the mould is open. A cast takes {runs.each}; hands work in the hours
        of the workshop.
      </p>
      <table className="compare runs">
        <thead>
          <tr>
            <th scope="col">Moulds</th>
            <th scope="col">Half of the time by</th>
            <th scope="col">Nine times of ten by</th>
            <th scope="col" className="n">
              All moulds
            </th>
            <th scope="col" className="n">
              A cast
            </th>
            <th scope="col">Held up by</th>
          </tr>
        </thead>
        <tbody>
          {runs.rows.map((r) => (
            <tr key={r.moulds} className={r.chosen ? 'chosen' : undefined}>
              <th scope="row">
                <button
                  type="button"
                  className="plain"
                  aria-pressed={r.chosen}
                  onClick={() => void write('rubber.moulds', String(r.moulds))}
                >
                  {r.moulds}
                </button>
                {r.used > r.moulds && <span className="quiet"> of {r.used} in all</span>}
              </th>
              <td data-label="Half of the time by">{r.done}</td>
              <td data-label="Nine times of ten by">{r.promise}</td>
              <td className="n" data-label="All moulds">
                {r.cost === '' ? '–' : r.cost}
              </td>
              <td className="n" data-label="A cast">
                {r.each === '' ? '–' : r.each}
              </td>
              <td data-label="Held up by">{r.heldUp}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {runs.deeds.length > 0 && (
        <details className="deeds">
          <summary>What is done when on {runs.deedsOn}</summary>
          <ol>
            {runs.deeds.map((d) => (
              <li key={d.at + d.what}>
                <b>{d.at}</b> {d.what}
              </li>
            ))}
          </ol>
        </details>
      )}
    </>
  );
}
