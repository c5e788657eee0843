import { useQuery } from '@tanstack/react-query';
import Button from 'react-bootstrap/Button';
import type { Job } from '../../api/client';
import { big } from '../../ui/big';
import { FigureText } from '../../ui/FigureText';
import { NotRead } from '../../ui/NotRead';
import { boxShapesQuery, cutListQuery } from '../jobQueries';
import type { JobDesk } from '../useJob';

/** What the pieces leave as, by the ending of their address. */
const DRAWINGS = [
  { as: 'pdf', what: 'one page' },
  { as: 'pdf?tiled=true', what: 'pages to glue together' },
  { as: 'dxf', what: 'DXF in mm' },
  { as: 'svg', what: 'SVG' },
];

/** Boxes one has, then boxes of every shape round the same master; one click takes one. */
export function BoxShapes({ job, desk }: { job: Job; desk: JobDesk }) {
  const { data, error, refetch, isPlaceholderData } = useQuery(boxShapesQuery(job.id, job.version));
  if (!data) {
    return <NotRead what="The other boxes" error={error} again={refetch} />;
  }
  return (
    <section className="part" aria-label="Shapes of box">
      <h2>Other boxes, same walls</h2>
      <table className={`compare${isPlaceholderData ? ' stale' : ''}`}>
        <thead>
          <tr>
            <th scope="col">Box</th>
            <th scope="col">Rubber</th>
            <th scope="col">Compared with a rectangle</th>
            <th scope="col">Thinnest wall</th>
            <th scope="col">To cut</th>
            <th scope="col" aria-label="Choose" />
          </tr>
        </thead>
        <tbody>
          {data.map((b) => (
            <tr key={b.text} className={b.now ? 'now' : undefined}>
              <td>{big(b.text)}</td>
              <td className="n" data-label="Rubber">
                <FigureText figure={b.figures['rubber']} />
              </td>
              <td className="n" data-label="Compared with a rectangle">
                <FigureText figure={b.figures['saved']} />
              </td>
              <td className="n" data-label="Thinnest wall">
                <FigureText figure={b.figures['thinnest']} />
              </td>
              <td className="n" data-label="To cut">
                <FigureText figure={b.figures['sheet']} />
              </td>
              <td>
                <Button
                  size="sm"
                  variant="outline-primary"
                  disabled={b.now}
                  aria-label={`Choose the ${b.text}`}
                  onClick={() => desk.apply(b.edits)}
                >
                  {b.now ? 'Chosen' : 'Choose'}
                </Button>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}

/** What to cut for the box, and the drawings to cut it by. */
export function CutList({ job }: { job: Job }) {
  const { data, error, refetch, isPlaceholderData } = useQuery(cutListQuery(job.id, job.version));
  if (!data) {
    return <NotRead what="The cut list" error={error} again={refetch} />;
  }
  const file = (ending: string) => `/api/jobs/${job.id}/box/cutlist.${ending}`;
  return (
    <section className="part" aria-label="Cut list">
      <h2>Cut list</h2>
      <table className={`compare${isPlaceholderData ? ' stale' : ''}`}>
        <tbody>
          {data.parts.map((p) => (
            <tr key={`${p.name} ${p.size}`}>
              <td>
                {p.count > 1 && `${p.count} × `}
                {p.name}
                {p.note && <span className="quiet note">{p.note}</span>}
              </td>
              <td className="n">{p.size}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {data.besides.map((b) => (
        <p key={b} className="quiet">
          {b}
        </p>
      ))}
      <div className="tools">
        {DRAWINGS.map(({ as, what }) => (
          <Button key={as} size="sm" variant="outline-primary" href={file(as)}>
            Drawing 1:1, {what}
          </Button>
        ))}
      </div>
    </section>
  );
}
