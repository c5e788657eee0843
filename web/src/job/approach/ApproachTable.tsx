import Button from 'react-bootstrap/Button';
import type { Approach } from '../../api/client';
import { Busy } from '../../ui/Busy';
import { big } from '../../ui/big';
import { FigureText } from '../../ui/FigureText';
import type { ApproachDesk } from './useApproaches';
import type { JobDesk } from '../useJob';

const ROWS = [
  ['rubber', 'Rubber'],
  ['mass', 'Its mass'],
  ['money', 'Rubber and sheet'],
  ['work', 'Work by hand'],
  ['open', 'Open after'],
  ['pieces', 'Pieces'],
  ['seam', 'Seam on a cast'],
  ['clean', 'Seam on clean faces'],
  ['locked', 'Locked as it opens'],
  ['stretch', 'Stretch to come off'],
  ['poured', 'Air in the rubber'],
  ['air', 'Air in a cast'],
  ['vents', 'Vents to let it out'],
  ['cast', 'Casting material'],
  ['core', 'Force to draw the core'],
  ['pot', 'In the pressure pot'],
  ['casts', 'Casts to expect'],
] as const;

/** Every mould that works, side by side. */
export function ApproachTable({ approaches, desk }: { approaches: ApproachDesk; desk: JobDesk }) {
  const { data, working, stale, stop } = approaches;
  const works = (data?.approaches ?? []).filter((a) => a.reason === '');
  const known = ROWS.filter(([key]) => works.some((a) => a.figures[key]));
  return (
    <section className="thing approaches" aria-label="Moulds that could be made">
      {working && <Busy {...working} stop={stop} />}
      {works.length > 0 && (
        <table className={working || stale ? 'stale' : undefined}>
          <thead>
            <tr>
              <td />
              {works.map((a, i) => (
                <th key={name(a)} scope="col" className={i === 0 ? 'best' : undefined}>
                  <img src={a.picture} alt="" width={120} height={90} />
                  <span>{title(a)}</span>
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {known.map(([key, text]) => (
              <tr key={key}>
                <th scope="row">{text}</th>
                {works.map((a, i) => (
                  <td key={name(a)} className={i === 0 ? 'best n' : 'n'}>
                    {a.figures[key] ? <FigureText figure={a.figures[key]} /> : '–'}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
          <tfoot>
            <tr>
              <td />
              {works.map((a, i) => (
                <td key={name(a)} className={i === 0 ? 'best' : undefined}>
                  <Take approach={a} desk={desk} best={i === 0} />
                </td>
              ))}
            </tr>
          </tfoot>
        </table>
      )}
    </section>
  );
}

const name = (a: Approach) => `${a.title} ${String(a.now)}`;

/** "Cut mould", and how the master stands in it below. */
function title(a: Approach) {
  const [kind = '', ...way] = a.title.split(', ');
  return (
    <>
      <strong>{big(kind)}</strong>
      <br />
      {way.join(', ')}
    </>
  );
}

/** Makes an approach the mould of the job. */
export function Take({
  approach,
  desk,
  best,
}: {
  approach: Approach;
  desk: JobDesk;
  best: boolean;
}) {
  return (
    <Button
      size="sm"
      variant={best && !approach.now ? 'primary' : 'outline-primary'}
      disabled={approach.now}
      aria-label={`Choose the ${approach.title}`}
      onClick={() => desk.apply(approach.edits)}
    >
      {approach.now ? 'Chosen' : approach.reason ? 'Choose anyway' : 'Choose'}
    </Button>
  );
}
