import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router-dom';
import type { Job } from '../../api/client';
import { mouldsQuery } from '../../mould/mouldQueries';
import { FigureText } from '../../ui/FigureText';
import { Word } from '../../ui/Word';
import type { JobDesk } from '../useJob';

/** A label that is cast into the rubber: what it says, where it is set, how it will read. */
export function CastLabel({ job, desk }: { job: Job; desk: JobDesk }) {
  const f = job.figures;
  const word = job.words['label.code'];
  const code = word && !word.unset ? word.text : '';
  if (job.words['label.place']?.value === 'NONE') {
    return (
      <p className="sentence">
        Cast into the rubber: <Word k="label.place" after="." />
      </p>
    );
  }
  const label = job.castLabel;
  return (
    <section className="part" aria-label="Label in the rubber">
      <h2>Label in the rubber</h2>
      <p className="sentence">
        A label is set <Word k="label.place" after="," /> in capitals <Word k="label.letterMm" />{' '}
        high. It says <Word k="label.text" after="." /> The mould’s code is{' '}
        <Word k="label.code" after="." />
        <Taken code={code} desk={desk} />
      </p>
      {label && (
        <figure className="castlabel">
          <svg
            role="img"
            aria-label={`As it reads in the rubber: ${label.lines.join(', ')}`}
            viewBox={[
              -label.widthMm / 2 - 1,
              -label.heightMm / 2 - 1,
              label.widthMm + 2,
              label.heightMm + 2,
            ].join(' ')}
            style={{ width: `${label.widthMm + 2}mm` }}
          >
            <rect
              x={-label.widthMm / 2}
              y={-label.heightMm / 2}
              width={label.widthMm}
              height={label.heightMm}
            />
            <path d={label.letters} fillRule="evenodd" />
          </svg>
          <figcaption>
            As it reads in the rubber, <FigureText figure={f['label.size']} />. It is set{' '}
            {label.where}, and takes the place of <FigureText figure={f['label.volume']} /> of
            rubber; <FigureText figure={f['label.rubber']} /> of it stay between label and master.{' '}
            <a href={`/api/jobs/${job.id}/label.stl`}>Model to print, STL</a>,{' '}
            <a href={`/api/jobs/${job.id}/label.3mf`}>3MF</a>, or{' '}
            <a href={`/api/jobs/${job.id}/label.pdf`}>a drawing at its true size</a>, both mirrored.
          </figcaption>
        </figure>
      )}
    </section>
  );
}

/** A code is for one mould: the next label takes another. */
function Taken({ code, desk }: { code: string; desk: JobDesk }) {
  const used = useQuery({ ...mouldsQuery(code, 'IN_USE', 0), enabled: code !== '' });
  const retired = useQuery({ ...mouldsQuery(code, 'RETIRED', 0), enabled: code !== '' });
  const all = [...(used.data?.moulds ?? []), ...(retired.data?.moulds ?? [])];
  if (!all.some((m) => m.code === code)) {
    return null;
  }
  return (
    <>
      {' '}
      <Link to={`/moulds/${code}`}>A mould has this code already</Link>:{' '}
      <button
        type="button"
        className="figure"
        onClick={() => desk.apply([{ word: 'label.code', text: '' }])}
      >
        take another for the next
      </button>
      .
    </>
  );
}
