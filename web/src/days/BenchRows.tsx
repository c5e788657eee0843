import type { Bench } from '../api/client';
import { across, clock, workday } from '../job/days/axis';
import { DayGround } from '../job/days/DayGround';
import { Hatch, WAITING } from '../job/days/Hatch';
import { useSize } from '../ui/useSize';

const HEAD = 30;
const LEFT = 70;
const LANE = 26;
const PAD = 12;
const IDLE = 34;
const LETTER = 7;

type Job = Bench['jobs'][number];

/** A row a day, in it a lane for each job that is worked at. */
export function BenchRows({ bench }: { bench: Bench }) {
  const { ref, width } = useSize<HTMLDivElement>();
  return (
    <div ref={ref} className="thing days rows">
      {width > 0 && <Drawn bench={bench} width={width} />}
    </div>
  );
}

function Drawn({ bench, width }: { bench: Bench; width: number }) {
  const range = workday([
    ...bench.days.flatMap((d) => d.hours),
    ...bench.jobs.flatMap((j) => j.bars.filter((b) => b.hands)),
  ]);
  const x = across(range, LEFT, width - 12);
  const on = (day: number) =>
    bench.jobs.filter((j) => j.bars.some((b) => b.day === day && b.hands));
  const lanes = bench.days.map((_, day) => on(day).length);
  const hidden = bench.days.map((_, day) => dull(lanes, day));
  const high = (day: number) => {
    if (hidden[day]) {
      return 0;
    }
    const many = lanes[day] ?? 0;
    return many === 0 ? IDLE : PAD + many * LANE;
  };
  const tops: number[] = [];
  let below = HEAD;
  for (let day = 0; day < bench.days.length; day++) {
    tops.push(below);
    below += hidden[day] ? 0 : high(day) + 8;
  }
  const step = width < 600 ? 240 : 120;
  const ticks = x.ticks(30).filter((t) => t % step === 0);
  return (
    <svg height={below} role="img" aria-label="Jobs by day and hour">
      <Hatch />
      {ticks.map((t) => (
        <text key={t} className="hour" x={x(t)} y={18} textAnchor="middle">
          {t / 60}
        </text>
      ))}
      {bench.days.map((d, i) => {
        const top = tops[i] ?? HEAD;
        if (hidden[i]) {
          return null;
        }
        const until = hidden[i + 1] ? bench.days[hidden.indexOf(false, i + 1) - 1] : undefined;
        return (
          <g key={d.date}>
            <text className={`weekday${d.today ? ' today' : ''}`} x={2} y={top + 21}>
              {d.name}
            </text>
            {high(i) > IDLE && (
              <text className="date" x={2} y={top + 36}>
                {d.text}
              </text>
            )}
            <DayGround hours={d.hours} ticks={ticks} x={x} top={top} high={high(i)} />
            {until && (
              <text className="lane" x={LEFT + 6} y={top + 21}>
                to {until.name} {until.text}: no work by hand
              </text>
            )}
            {on(i).map((j, lane) => (
              <Lane key={j.id} job={j} day={i} x={x} y={top + PAD / 2 + lane * LANE} />
            ))}
          </g>
        );
      })}
    </svg>
  );
}

/** Hands as blocks, waits behind them, and whose they are. */
function Lane({
  job,
  day,
  x,
  y,
}: {
  job: Job;
  day: number;
  x: ReturnType<typeof across>;
  y: number;
}) {
  const bars = job.bars.filter((b) => b.day === day);
  const last = Math.max(...bars.filter((b) => b.hands).map((b) => b.to));
  const first = Math.min(...bars.filter((b) => b.hands).map((b) => b.from));
  const room = job.name.length * LETTER;
  const before = x(last) + room > (x.range()[1] ?? 0) && x(first) - room > LEFT;
  const sorted = [...bars].sort((a, b) => Number(a.hands) - Number(b.hands));
  return (
    <g>
      {sorted.map((b, i) => (
        <g key={i} className={b.hands ? 'bar' : 'wait'}>
          <title>{`${job.name}: ${b.label}, ${clock(b.from)} to ${clock(b.to)}`}</title>
          <rect
            x={x(b.from)}
            width={Math.max(2, x(b.to) - x(b.from) - (b.hands ? 1 : 0))}
            y={b.hands ? y : y + 5}
            height={b.hands ? LANE - 6 : LANE - 16}
            fill={b.hands ? undefined : WAITING}
          />
        </g>
      ))}
      <text
        className="whose"
        x={before ? x(first) - 7 : x(last) + 7}
        y={y + 14}
        textAnchor={before ? 'end' : 'start'}
      >
        {job.name}
      </text>
    </g>
  );
}

/** Whether a day is one of several without work, and not the first of them. */
function dull(lanes: number[], day: number) {
  return lanes[day] === 0 && lanes[day - 1] === 0 && day + 1 < lanes.length;
}
