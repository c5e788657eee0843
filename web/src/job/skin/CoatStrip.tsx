import type { Job } from '../../api/client';
import { useSize } from '../../ui/useSize';

type Clock = NonNullable<NonNullable<Job['skin']>['clock']>;

const ROW = 22;
const HEAD = 24;
const LEFT = 26;
const DAY_MIN = 24 * 60;

/**
 * When each coat may go on: hands-on time as a bar, the time in which the next one sticks as a
 * lighter one. Nights take no room.
 */
export function CoatStrip({ clock }: { clock: Clock }) {
  const { coats } = clock;
  const [from, to] = hours(coats);
  const shown = (min: number) => atWork(min, from, to);
  const { ref, width } = useSize<HTMLDivElement>();
  const begin = shown(coats[0]?.fromMin ?? 0);
  const end = Math.max(...coats.map((c) => shown(Math.max(c.toMin, c.closesMin))));
  const across = (worked: number) => LEFT + ((worked - begin) / (end - begin)) * (width - LEFT - 8);
  const scale = (min: number) => across(shown(min));
  const step = [30, 60, 120, 240, 480].find((s) => (end - begin) / s <= 7) ?? 480;
  const first = Math.ceil(begin / step) * step;
  const ticks = Array.from(
    { length: Math.max(0, Math.floor((end - first) / step) + 1) },
    (_, i) => first + i * step,
  );
  const missed = [...new Set(coats.map((c) => c.missed))].filter((what) => what !== '');
  const height = HEAD + ROW * coats.length + 6;
  return (
    <div ref={ref} className="strip">
      {width > 0 && (
        <svg height={height} role="img" aria-label="When each coat goes on">
          {ticks.map((min) => {
            const x = across(min);
            return (
              <g key={min}>
                <line className="tick" x1={x} x2={x} y1={HEAD - 5} y2={height} />
                <text x={x} y={13} textAnchor={x < LEFT + 20 ? 'start' : 'middle'}>
                  {time(min, from, to, clock.days)}
                </text>
              </g>
            );
          })}
          {coats.map((c, i) => {
            const y = HEAD + ROW * i;
            return (
              <g key={c.number}>
                <title>{c.missed}</title>
                <text x={4} y={y + 15}>
                  {c.number}
                </text>
                {c.closesMin > c.opensMin && (
                  <rect
                    className="window"
                    x={scale(c.opensMin)}
                    width={Math.max(2, scale(c.closesMin) - scale(c.opensMin))}
                    y={y + 3}
                    height={ROW - 6}
                  />
                )}
                <rect
                  className="hands"
                  x={scale(c.fromMin)}
                  width={Math.max(2, scale(c.toMin) - scale(c.fromMin))}
                  y={y + 3}
                  height={ROW - 6}
                />
              </g>
            );
          })}
        </svg>
      )}
      <p className="legend">
        <span className="hands" /> at the brush <span className="window" /> the next may go on
      </p>
      {missed.map((what) => (
        <p key={what} className="quiet">
          {what}
        </p>
      ))}
    </div>
  );
}

/** The hours of a day in which coats go on or may, as minutes of its clock. */
function hours(coats: Clock['coats']): [number, number] {
  const all = coats.flatMap((c) => [c.fromMin, c.toMin, c.opensMin, c.closesMin]);
  const within = all.map((min) => min % DAY_MIN);
  return [Math.floor(Math.min(...within) / 60) * 60, Math.ceil(Math.max(...within) / 60) * 60];
}

/** Minutes at work: what is left of each day after the night is left out. */
function atWork(min: number, from: number, to: number) {
  const day = Math.floor(min / DAY_MIN);
  return day * (to - from) + Math.min(to - from, Math.max(0, min - day * DAY_MIN - from));
}

function time(worked: number, from: number, to: number, days: string[]) {
  const day = Math.min(days.length - 1, Math.floor(worked / (to - from)));
  const min = Math.round(from + worked - day * (to - from));
  const text = `${Math.floor(min / 60)}:${String(min % 60).padStart(2, '0')}`;
  return days.length > 1 ? `${days[day] ?? ''} ${text}` : text;
}
