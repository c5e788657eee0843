import type { Days } from '../../api/client';
import { bars, clock, DAY_MIN } from './axis';
import { Hatch, WAITING } from './Hatch';
import { HEAD, LEFT } from './layout';

const ROW = 66;
const NAMES = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'];

/** A week across, for what takes many days. */
export function Weeks({ days, width }: { days: Days; width: number }) {
  const offset = NAMES.indexOf(days.days[0]?.name ?? 'Mon');
  const weeks = Math.ceil((offset + days.days.length) / 7);
  const one = (width - LEFT - 8) / 7;
  const left = (day: number, min: number) => LEFT + one * (((day + offset) % 7) + min / DAY_MIN);
  const top = (day: number) => HEAD + ROW * Math.floor((day + offset) / 7);
  return (
    <svg height={HEAD + weeks * ROW + 8} role="img" aria-label="Steps by week">
      <Hatch />
      {NAMES.map((n, i) => (
        <text key={n} className="hour" x={LEFT + one * (i + 0.5)} y={20} textAnchor="middle">
          {n}
        </text>
      ))}
      {days.days.map((d, i) => (
        <g key={d.date}>
          {d.hours.map((h) => (
            <rect
              key={h.from}
              className="open"
              x={left(i, h.from)}
              width={left(i, h.to) - left(i, h.from)}
              y={top(i)}
              height={ROW - 10}
            />
          ))}
          {(i === 0 || (i + offset) % 7 === 0) && (
            <text className="date" x={4} y={top(i) + 32}>
              {d.text}
            </text>
          )}
        </g>
      ))}
      {[true, false].map((waits) =>
        bars(days, waits).map((b) => (
          <g key={b.key} className={waits ? 'wait' : 'bar'}>
            <title>{`${b.label}, ${clock(b.from)} to ${clock(b.to)}`}</title>
            <rect
              x={left(b.day, b.from)}
              width={Math.max(1.5, (one * (b.to - b.from)) / DAY_MIN)}
              y={top(b.day) + (waits ? 30 : 6)}
              height={waits ? 14 : 20}
              fill={waits ? WAITING : undefined}
            />
          </g>
        )),
      )}
    </svg>
  );
}
