import type { Days } from '../../api/client';
import { across, bars, shown, type Zoom } from './axis';

export const HEAD = 34;
export const LEFT = 70;
const RIGHT = 26;

/** Heights of a day's row, by the room there is; of a day on which nothing is done. */
const LOW = 128;
const TALL = 230;
const IDLE = 62;

const HOUR = 60;

/** Where everything of a timeline lies, in pixels. */
export type Layout = ReturnType<typeof layOut>;

export function layOut(days: Days, zoom: Zoom, width: number, height: number) {
  const range = shown(days, zoom);
  const x = across(range, LEFT, width - RIGHT);
  const hands = bars(days, false);
  const waits = bars(days, true);
  const idle = (day: number) =>
    !hands.some((b) => b.day === day) && !waits.some((b) => b.day === day && b.from > range[0]);
  const idleDays = days.days.filter((_, day) => idle(day)).length;
  const busyDays = Math.max(1, days.days.length - idleDays);
  const room = (height - HEAD - 16 - IDLE * idleDays) / busyDays;
  const row = Math.min(TALL, Math.max(LOW, room));
  const more = (row - LOW) / 2;
  const tops: number[] = [];
  let below = HEAD;
  for (let day = 0; day < days.days.length; day++) {
    tops.push(below);
    below += idle(day) ? IDLE : row;
  }
  const wide = (range[1] - range[0]) / (width - LEFT - RIGHT);
  const step = wide > 3.6 ? 4 * HOUR : wide > 2.6 ? 3 * HOUR : wide > 0.5 ? 2 * HOUR : HOUR;
  const from = Math.ceil(range[0] / step) * step;
  const count = Math.floor((range[1] - from) / step) + 1;
  return {
    range,
    x,
    hands,
    waits,
    idle,
    top: (day: number) => tops[day] ?? HEAD,
    /** The day a height is in. */
    dayAt: (y: number) =>
      Math.max(
        0,
        tops.findLastIndex((top) => y >= top),
      ),
    inner: (day: number) => (idle(day) ? IDLE : row) - 14,
    ticks: Array.from({ length: count }, (_, i) => from + i * step),
    handLane: { y: 34 + more / 3, high: 34 + more / 2 },
    waitLane: { y: 90 + 1.2 * more, high: 24 + more / 3 },
    below,
  };
}
