import type { Caution, Drawing } from '../api/client';
import type { Scale } from './scale';

const R = 10;

interface At {
  x: number;
  y: number;
}

/** Where a pin finds room: on its place, or at a side of those that are there already. */
function beside(place: At, placed: At[]): At {
  const step = 2 * R + 3;
  for (let ring = 0; ring < 3; ring++) {
    for (let i = 0; i < Math.max(1, 8 * ring); i++) {
      const way = (2 * Math.PI * i) / Math.max(1, 8 * ring);
      const at = {
        x: place.x + ring * step * Math.cos(way),
        y: place.y + ring * step * Math.sin(way),
      };
      if (placed.every((p) => Math.hypot(p.x - at.x, p.y - at.y) > 2 * R)) {
        return at;
      }
    }
  }
  return place;
}

interface Props {
  /** All of the job, in the order they are numbered in. */
  cautions: Caution[];
  cut: Drawing['cut'];
  scale: Scale;
  pointed: string | null;
  /** Called with the caution pointed at, or null. */
  point: (id: string | null) => void;
}

/** Where each caution is, by its number: pointing at one shows the other, a tap leads to it. */
export function CautionPins({ cautions, cut, scale, pointed, point }: Props) {
  const placed: At[] = [];
  return cautions.map((caution, i) => {
    if (!caution.place) {
      return null;
    }
    const place = {
      x: scale.x(cut === 'SIDE' ? caution.place.y : caution.place.x),
      y: scale.y(cut === 'TOP' ? caution.place.y : caution.place.z),
    };
    const at = beside(place, placed);
    placed.push(at);
    const lead = () => {
      const its = document.querySelector<HTMLElement>(`[data-caution="${caution.id}"]`);
      its?.scrollIntoView({ block: 'center' });
      its?.focus({ preventScroll: true });
    };
    return (
      <g
        key={caution.id}
        className={`pin ${caution.level}`}
        role="link"
        tabIndex={0}
        aria-label={`${i + 1}: ${caution.title}`}
        onMouseEnter={() => point(caution.id)}
        onMouseLeave={() => point(null)}
        onFocus={() => point(caution.id)}
        onBlur={() => point(null)}
        onClick={lead}
        onKeyDown={(e) => {
          if (e.key === 'Enter') {
            lead();
          }
        }}
      >
        <circle cx={at.x} cy={at.y} r={pointed === caution.id ? R + 5 : R} data-pin={caution.id} />
        <text x={at.x} y={at.y + 4} textAnchor="middle">
          {i + 1}
        </text>
      </g>
    );
  });
}
