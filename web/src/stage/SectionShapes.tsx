import { useId } from 'react';
import type { Drawing } from '../api/client';

/** Drawn as lines, however many points they have. */
const LINES = new Set(['GAP', 'PARTING', 'CUT_LINE']);

interface Props {
  drawing: Drawing;
  scale: { x: (mm: number) => number; y: (mm: number) => number };
  /** Id of a path rubber is kept within; all of it where there is none. */
  within?: string;
}

/** What is cut, hatched and tinted by what it is. */
export function SectionShapes({ drawing, scale, within }: Props) {
  const hatch = useId();
  const dots = useId();
  const ring = (points: number[], close: boolean) => {
    let d = '';
    for (let i = 0; i < points.length; i += 2) {
      d += `${i === 0 ? 'M' : 'L'}${scale.x(points[i] ?? 0).toFixed(1)} ${scale.y(points[i + 1] ?? 0).toFixed(1)}`;
    }
    return close ? `${d}Z` : d;
  };
  return (
    <>
      <defs>
        <pattern
          id={hatch}
          width="7"
          height="7"
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(45)"
        >
          <rect width="7" height="7" fill="#fffdf7" />
          <line x1="0" y1="0" x2="0" y2="7" stroke="#9a8f7a" strokeWidth="1" />
        </pattern>
        <pattern id={dots} width="6" height="6" patternUnits="userSpaceOnUse">
          <rect width="6" height="6" fill="#fff3d0" />
          <circle cx="3" cy="3" r="1.3" fill="#a86d08" />
        </pattern>
      </defs>
      {drawing.shapes.map((s, i) => (
        <path
          key={i}
          className={s.role}
          fillRule="evenodd"
          clipPath={s.role === 'RUBBER' && within ? `url(#${within})` : undefined}
          fill={
            s.role === 'MASTER'
              ? `url(#${hatch})`
              : s.role === 'AIR' || s.role === 'CAST_AIR'
                ? `url(#${dots})`
                : undefined
          }
          d={s.rings.map((r) => ring(r, r.length > 4 && !LINES.has(s.role))).join('')}
        />
      ))}
    </>
  );
}
