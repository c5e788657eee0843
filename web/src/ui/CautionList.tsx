import Button from 'react-bootstrap/Button';
import type { Caution, Edit } from '../api/client';

const LEVELS = { STOP: 'Stop', CHECK: 'Check', NOTE: 'Note' } as const;

interface Props {
  cautions: Caution[];
  apply: (edits: Edit[]) => void;
  /** Called with the caution pointed at, or null: the drawing shows its place. */
  point: (id: string | null) => void;
}

/** What will go wrong, why, and the ways out with their price. */
export function CautionList({ cautions, apply, point }: Props) {
  return (
    <ul className="cautions" aria-label="Cautions">
      {cautions.map((c) => (
        <li
          key={c.id}
          className={`caution ${c.level}`}
          data-caution={c.id}
          onMouseEnter={() => point(c.id)}
          onMouseLeave={() => point(null)}
          onFocus={() => point(c.id)}
          onBlur={() => point(null)}
        >
          <h3>
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
