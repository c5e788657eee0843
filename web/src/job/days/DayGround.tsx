import type { Days } from '../../api/client';
import type { across } from './axis';

interface Props {
  hours: Days['days'][number]['hours'];
  ticks: number[];
  x: ReturnType<typeof across>;
  top: number;
  high: number;
}

/** What a day's row is drawn on: its hours of work, with the hours of the clock across. */
export function DayGround({ hours, ticks, x, top, high }: Props) {
  return (
    <>
      {hours.map((h) => (
        <rect
          key={h.from}
          className="open"
          x={x(h.from)}
          width={Math.max(0, x(h.to) - x(h.from))}
          y={top}
          height={high}
        />
      ))}
      {ticks.map((t) => (
        <line key={t} className="grid" x1={x(t)} x2={x(t)} y1={top} y2={top + high} />
      ))}
    </>
  );
}
