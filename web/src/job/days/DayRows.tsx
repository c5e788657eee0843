import type { Days } from '../../api/client';
import { clock, DAY_MIN, type Bar } from './axis';
import { BeginMark, type BeginDesk } from './BeginMark';
import { DayGround } from './DayGround';
import { Hatch, WAITING } from './Hatch';
import { LEFT, type Layout } from './layout';

/** A letter takes about so many pixels. */
const LETTER = 6.4;

interface Props {
  days: Days;
  lay: Layout;
  picked: string | null;
  pick: (step: string) => void;
  begin: BeginDesk;
}

/** A row a day: your hands above, the mould below; nights and breaks are paper. */
export function DayRows({ days, lay, picked, pick, begin }: Props) {
  return (
    <svg height={lay.below + 12} role="group" aria-label="Steps by day and hour">
      <Hatch />
      {lay.ticks.map((t) => (
        <text key={t} className="hour" x={lay.x(t)} y={20} textAnchor="middle">
          {t / 60}
        </text>
      ))}
      {days.days.map((d, i) => (
        <Row key={d.date} day={d} top={lay.top(i)} high={lay.inner(i)} lay={lay} />
      ))}
      {lay.waits.map((b) => (
        <Wait key={b.key} bar={b} lay={lay} />
      ))}
      <Hands lay={lay} picked={picked} pick={pick} />
      <Windows days={days} lay={lay} />
      <Marks days={days} lay={lay} />
      <BeginMark days={days} lay={lay} desk={begin} />
    </svg>
  );
}

function Row({
  day,
  top,
  high,
  lay,
}: {
  day: Days['days'][number];
  top: number;
  high: number;
  lay: Layout;
}) {
  const { x, handLane } = lay;
  return (
    <g>
      <text className={`weekday${day.today ? ' today' : ''}`} x={4} y={top + 34}>
        {day.name}
      </text>
      <text className="date" x={4} y={top + 51}>
        {day.text}
      </text>
      {day.today && high > 60 && (
        <text className="date" x={4} y={top + 67}>
          today
        </text>
      )}
      <DayGround hours={day.hours} ticks={lay.ticks} x={x} top={top} high={high} />
      {day.hours.length === 0 && (
        <text className="lane" x={LEFT + 6} y={top + 14}>
          no work
        </text>
      )}
      {day.taken.map((t) => (
        <rect
          key={t.from}
          className="taken"
          x={x(t.from)}
          width={Math.max(1, x(t.to) - x(t.from))}
          y={top + handLane.y}
          height={handLane.high}
        >
          <title>{`Another job, ${clock(t.from)} to ${clock(t.to)}`}</title>
        </rect>
      ))}
    </g>
  );
}

function Hands({
  lay,
  picked,
  pick,
}: {
  lay: Layout;
  picked: string | null;
  pick: (step: string) => void;
}) {
  const named = withRoom(lay);
  return lay.hands.map((b) => (
    <Hand
      key={b.key}
      bar={b}
      lay={lay}
      text={named.has(b.key) ? b.label : ''}
      picked={b.keys.includes(picked ?? '')}
      pick={() => pick(b.keys[0] ?? '')}
    />
  ));
}

/** Bars whose names do not run into those before them. */
function withRoom(lay: Layout) {
  const named = new Set<string>();
  let day = -1;
  let free = 0;
  for (const b of lay.hands) {
    const from = lay.x(b.from);
    if (b.day !== day || from >= free) {
      named.add(b.key);
      day = b.day;
      free = from + b.label.length * LETTER + 8;
    }
  }
  return named;
}

function Hand({
  bar,
  lay,
  text,
  picked,
  pick,
}: {
  bar: Bar;
  lay: Layout;
  text: string;
  picked: boolean;
  pick: () => void;
}) {
  const x = lay.x(bar.from);
  const wide = Math.max(3, lay.x(bar.to) - x - 1.5);
  const y = lay.top(bar.day) + lay.handLane.y;
  const { high } = lay.handLane;
  const name = `${bar.label}, ${clock(bar.from)} to ${clock(bar.to)}`;
  return (
    <g
      className={`bar${picked ? ' picked' : ''}`}
      role="button"
      tabIndex={0}
      aria-label={name}
      aria-pressed={picked}
      data-listed
      onClick={pick}
      onKeyDown={(e) => {
        if (e.key === 'Enter' || e.key === ' ') {
          e.preventDefault();
          pick();
        }
      }}
    >
      <title>{name}</title>
      <rect x={x} width={wide} y={y} height={high} />
      {bar.chain && <rect className="chain" x={x} width={wide} y={y + high + 2} height={3} />}
      {bar.pinned && <circle className="pin" cx={x + 4} cy={y + 7} r={3} />}
      {bar.keys.length > 1 && <path className="group" d={`M${x} ${y - 2} v-4 h${wide} v4`} />}
      {text && (
        <text x={x} y={y + high + 17}>
          {text}
        </text>
      )}
    </g>
  );
}

function Wait({ bar, lay }: { bar: Bar; lay: Layout }) {
  const { range, waitLane } = lay;
  if (bar.to <= range[0] || bar.from >= range[1]) {
    return null;
  }
  const x = lay.x(bar.from);
  const wide = Math.max(2, lay.x(bar.to) - x);
  const y = lay.top(bar.day) + (lay.idle(bar.day) ? 20 : waitLane.y);
  return (
    <g className="wait">
      <title>{`${bar.label}, ${clock(bar.from)} to ${clock(bar.to)}`}</title>
      <rect x={x} width={wide} y={y} height={waitLane.high} fill={WAITING} />
      {bar.chain && (
        <rect className="chain" x={x} width={wide} y={y + waitLane.high + 2} height={3} />
      )}
      {wide > bar.label.length * LETTER + 12 && (
        <text x={x + 7} y={y + waitLane.high / 2 + 4}>
          {bar.label}
        </text>
      )}
      {bar.to >= DAY_MIN && (
        <text className="night" x={lay.x(range[1]) + 6} y={y + waitLane.high / 2 + 5} aria-hidden>
          ☾
        </text>
      )}
    </g>
  );
}

/** Windows that close, over the step that has to begin in them. */
function Windows({ days, lay }: { days: Days; lay: Layout }) {
  return days.steps.map((s, i) => {
    const w = s.window;
    if (!w) {
      return null;
    }
    // windows overlap: every other one a little higher
    const y = lay.top(w.day) + lay.handLane.y - (i % 4 < 2 ? 9 : 15);
    return (
      <g key={s.key} className="window">
        <title>{`${s.label} begins between ${clock(w.from)} and ${clock(w.to)}`}</title>
        <path d={`M${lay.x(w.from)} ${y + 5} v-5 H${lay.x(w.to)} v5`} />
      </g>
    );
  });
}

/** When to be back, and when it is done. */
function Marks({ days, lay }: { days: Days; lay: Layout }) {
  const { hands, handLane } = lay;
  const last = hands.at(-1);
  const middle = handLane.y + handLane.high / 2;
  return (
    <>
      {hands
        .filter((b, i) => i > 0 && b.day !== hands[i - 1]?.day)
        .map((b) => (
          <g
            key={b.key}
            className="back"
            transform={`translate(${lay.x(b.from)} ${lay.top(b.day)})`}
          >
            <circle cy={middle} r={handLane.high / 2 + 1} />
            <text x={-6} y={16}>
              back {clock(b.from)}
            </text>
          </g>
        ))}
      {last && (
        <text className="finish" x={lay.x(last.to) + 8} y={lay.top(last.day) + middle + 5}>
          ◆ {days.told?.finish.label} {clock(last.to)}
        </text>
      )}
    </>
  );
}
