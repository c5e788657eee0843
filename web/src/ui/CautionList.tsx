import Button from 'react-bootstrap/Button';
import type { Caution, Edit } from '../api/client';

const LEVELS = { STOP: 'Stop', CHECK: 'Check', NOTE: 'Note' } as const;

interface Props {
  /** All of the job, in the order they are numbered in on drawing and sheet. */
  cautions: Caution[];
  /** The stage whose cautions come first. */
  first: string;
  /** The one pointed at on the drawing. */
  pointed: string | null;
  apply: (edits: Edit[]) => void;
  /** Called with the caution pointed at, or null: the drawing shows its place. */
  point: (id: string | null) => void;
}

/** What will go wrong, why, and the ways out with their price. */
export function CautionList({ cautions, first, pointed, apply, point }: Props) {
  const numbered = cautions.map((c, i) => ({ c, number: i + 1 }));
  const here = numbered.filter(({ c }) => c.stage === first);
  const elsewhere = numbered.filter(({ c }) => c.stage !== first);
  return (
    <ul className="cautions" aria-label="Cautions">
      {[...here, ...elsewhere].map(({ c, number }) => (
        <li
          key={c.id}
          className={`caution ${c.level}${c.id === pointed ? ' pointed' : ''}`}
          tabIndex={-1}
          data-caution={c.id}
          onMouseEnter={() => point(c.id)}
          onMouseLeave={() => point(null)}
          onFocus={() => point(c.id)}
          onBlur={() => point(null)}
        >
          <h3>
            <span className="number">{number}</span>
            <span className="level">{LEVELS[c.level]}</span>
            {c.title}
          </h3>
          <p>{c.text}</p>
          {c.fixes.length > 0 && (
            <div className="fixes">
              {c.fixes.map((f, i) => (
                <Button
                  key={f.label}
                  size="sm"
                  variant={i === 0 ? 'primary' : 'outline-primary'}
                  onClick={() => apply(f.edits)}
                >
                  {f.label}
                  {f.price && <span className="price">{f.price}</span>}
                </Button>
              ))}
            </div>
          )}
        </li>
      ))}
    </ul>
  );
}
