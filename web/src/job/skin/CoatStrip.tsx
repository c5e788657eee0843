import type { Job } from '../../api/client';
import { useSize } from '../../ui/useSize';

type Clock = NonNullable<Job['skin']>['clock'];

const ROW = 22;
const HEAD = 24;
const LEFT = 26;
const DAY_MIN = 24 * 60;

/**
 * When each coat may go on: hands-on time as a bar, the time in which the next one sticks as a
 * lighter one. Nights take no room.
 */
export function CoatStrip({ clock, workingMin }: { clock: Clock; workingMin: number }) {
  const shown = (min: number) => atWork(min, workingMin);
  const { ref, width } = useSize<HTMLDivElement>();
  const end = Math.max(...clock.map((c) => shown(Math.max(c.toMin, c.closesMin))));
  const scale = (min: number) => LEFT + (shown(min) / end) * (width - LEFT - 8);
  const step = [30, 60, 120, 240, 480].find((s) => end / s <= 7) ?? 480;
  const ticks = Array.from({ length: Math.floor(end / step) + 1 }, (_, i) => i * step);
  const missed = [...new Set(clock.map((c) => c.missed))].filter((what) => what !== '');
  const height = HEAD + ROW * clock.length + 6;
  return (
    <div ref={ref} className="strip">
      {width > 0 && (
        <svg height={height} role="img" aria-label="When each coat goes on">
          {ticks.map((min) => {
            const x = LEFT + (min / end) * (width - LEFT - 8);
            return (
              <g key={min}>
                <line className="tick" x1={x} x2={x} y1={HEAD - 5} y2={height} />
                <text x={x} y={13} textAnchor={min === 0 ? 'start' : 'middle'}>
                  {time(min, workingMin)}
                </text>
              </g>
            );
          })}
          {clock.map((c, i) => {
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

/** Minutes at work: what is left of each day after the work is left out. */
function atWork(min: number, workingMin: number) {
  const day = Math.floor(min / DAY_MIN);
  return day * workingMin + Math.min(workingMin, min - day * DAY_MIN);
}

function time(min: number, workingMin: number) {
  const day = Math.floor(min / workingMin);
  const hours = (min - day * workingMin) / 60;
  const text = `${hours} h`;
  return day === 0 ? text : `day ${day + 1}, ${text}`;
}
