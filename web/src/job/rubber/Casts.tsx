import type { Job } from '../../api/client';
import { FigureText } from '../../ui/FigureText';
import { CastOf } from '../casts/CastOf';
import { Word } from '../../ui/Word';

/** What comes of the mould: how many casts, how large, and what each costs. */
export function Casts({ job }: { job: Job }) {
  const f = job.figures;
  return (
    <div className="part">
      <h2>What is cast in it</h2>
      <p className="sentence">
        <CastOf job={job} /> Wanted: <Word k="cast.wanted" after="." />
      </p>
      {f['life.casts'] && (
        <p className="sentence">
          The mould gives about <FigureText figure={f['life.casts']} />
          {f['life.moulds'] && (
            <>
              , so they take <FigureText figure={f['life.moulds']} />
            </>
          )}
          .
          {f['cost.job'] && (
            <>
              {' '}
              It costs <FigureText figure={f['cost.job']} />
              {f['cost.cast'] && (
                <>
                  , a cast <FigureText figure={f['cost.cast']} />
                </>
              )}
              .
            </>
          )}
        </p>
      )}
      {f['cast.potLife'] && (
        <p className="sentence">
          A cast weighs <FigureText figure={f['cast.mass']} />. That much resin can be poured for{' '}
          <FigureText figure={f['cast.potLife']} />.
        </p>
      )}
      {f['size.lost'] && (
        <p className="sentence">
          A cast comes out <FigureText figure={f['size.cast']} />,{' '}
          <FigureText figure={f['size.lost']} /> {f['size.lost'].label}. To have it as large as the
          master, scale the master by <FigureText figure={f['size.scaleUp']} />.
        </p>
      )}
    </div>
  );
}
