import Button from 'react-bootstrap/Button';
import type { Job } from '../../api/client';
import { Pick } from '../../ui/Pick';
import { MARK_COLOURS, type Paint } from '../../viewer/marks';
import type { JobDesk } from '../useJob';

interface Props {
  job: Job;
  desk: JobDesk;
  paint: Paint | null;
  setPaint: (next: Paint | null) => void;
}

const BRUSHES = [2, 4, 6, 10, 20];
const BENDS = [5, 15, 30, 45];

const FIRST: Omit<Paint, 'mark'> = { erase: false, brushMm: 6, bendDegrees: 15 };

/** What is marked on the master, and the brush that marks it. */
export function Marks({ job, desk, paint, setPaint }: Props) {
  return (
    <section className="part marks" aria-label="Marks">
      <h2>Marks</h2>
      <p className="sentence">
        {paint ? (
          <>
            {paint.erase ? 'Erase' : 'Paint'}{' '}
            {paint.brushMm === null ? (
              <>
                a face at a time, over bends up to{' '}
                <Pick
                  name="bends that belong to a face"
                  options={BENDS}
                  text={(degrees) => `${degrees}°`}
                  value={paint.bendDegrees}
                  choose={(bendDegrees) => setPaint({ ...paint, bendDegrees })}
                />
                , or <Turn to={() => setPaint({ ...paint, brushMm: 6 })}>with a brush</Turn>.
              </>
            ) : (
              <>
                with a brush{' '}
                <Pick
                  name="brush"
                  options={BRUSHES}
                  text={(mm) => `${mm} mm`}
                  value={paint.brushMm}
                  choose={(brushMm) => setPaint({ ...paint, brushMm })}
                />{' '}
                across, or <Turn to={() => setPaint({ ...paint, brushMm: null })}>whole faces</Turn>
                .
              </>
            )}{' '}
            <Turn to={() => setPaint({ ...paint, erase: !paint.erase })}>
              {paint.erase ? 'Paint instead' : 'Erase instead'}
            </Turn>
          </>
        ) : (
          'Take a mark, then paint it on the solid. Cautions and ways up heed it.'
        )}
      </p>
      <ul>
        {job.marks.map((m) => (
          <li key={m.mark}>
            <Button
              size="sm"
              variant={paint?.mark === m.mark ? 'primary' : 'outline-primary'}
              aria-pressed={paint?.mark === m.mark}
              onClick={() =>
                setPaint(paint?.mark === m.mark ? null : { ...FIRST, ...paint, mark: m.mark })
              }
            >
              <span className="swatch" style={{ background: MARK_COLOURS[m.mark] }} />
              {m.text.charAt(0).toUpperCase() + m.text.slice(1)}
            </Button>
            <span className="quiet">{m.meaning}</span>
            {m.area && (
              <>
                <span className="n">{m.area}</span>
                <Button
                  size="sm"
                  variant="outline-primary"
                  aria-label={`Erase all that is marked “${m.text}”`}
                  onClick={() => desk.apply([{ word: 'marks.none', text: m.mark }])}
                >
                  Erase all
                </Button>
              </>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}

function Turn({ to, children }: { to: () => void; children: string }) {
  return (
    <button type="button" className="figure" onClick={to}>
      {children}
    </button>
  );
}
