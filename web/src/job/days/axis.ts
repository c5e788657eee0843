import { scaleLinear } from 'd3-scale';
import type { Days } from '../../api/client';

/** How much of a day is shown across. */
export type Zoom = 'hours' | 'day' | 'week';

export const DAY_MIN = 24 * 60;

/** Minutes of the clock shown across: those of work and of all that is done, or the whole day. */
export function shown(days: Days, zoom: Zoom): [number, number] {
  if (zoom === 'day') {
    return [0, DAY_MIN];
  }
  if (zoom === 'week') {
    return [0, 7 * DAY_MIN];
  }
  return workday([
    ...days.days.flatMap((d) => d.hours),
    ...days.steps.filter((s) => s.kind !== 'WAIT').flatMap((s) => s.pieces),
  ]);
}

/** Whole hours round all work of a day, with some of the evening. */
export function workday(work: { from: number; to: number }[]): [number, number] {
  const from = Math.min(8 * 60, ...work.map((w) => w.from));
  const to = Math.max(17 * 60, ...work.map((w) => w.to));
  return [
    Math.max(0, Math.floor(from / 60) * 60 - 60),
    Math.min(DAY_MIN, Math.ceil(to / 60) * 60 + 120),
  ];
}

/** From minutes of the clock to pixels, and back. */
export function across([from, to]: [number, number], left: number, right: number) {
  return scaleLinear().domain([from, to]).range([left, right]).clamp(true);
}

/** "8:30" of minutes of the clock. */
export function clock(min: number) {
  const of = ((min % DAY_MIN) + DAY_MIN) % DAY_MIN;
  return `${Math.floor(of / 60)}:${String(Math.round(of % 60)).padStart(2, '0')}`;
}

/** A day so many days after another, both as dates. */
export function dateAfter(date: string, days: number) {
  const at = new Date(`${date}T12:00:00Z`);
  at.setUTCDate(at.getUTCDate() + days);
  return at.toISOString().slice(0, 10);
}

/** Steps that lie beside each other without a gap in a group, or alone: one bar with one name. */
export interface Bar {
  key: string;
  label: string;
  keys: string[];
  group: string;
  day: number;
  from: number;
  to: number;
  chain: boolean;
  pinned: boolean;
}

/** The bars of work by hand, or of what is waited for. */
export function bars(days: Days, waits: boolean): Bar[] {
  const all: Bar[] = [];
  const chain = new Set(days.chain);
  for (const s of days.steps) {
    if ((s.kind === 'WAIT') !== waits) {
      continue;
    }
    for (const p of s.pieces) {
      const last = all.at(-1);
      const goesOn =
        last !== undefined &&
        s.group !== '' &&
        last.group === s.group &&
        last.day === p.day &&
        p.from <= last.to + 1;
      if (goesOn) {
        last.to = Math.max(last.to, p.to);
        last.keys.push(s.key);
        last.chain ||= chain.has(s.key);
        last.pinned ||= s.pinned;
      } else {
        all.push({
          key: `${s.key} ${p.day}`,
          label: s.label,
          keys: [s.key],
          group: s.group,
          day: p.day,
          from: p.from,
          to: p.to,
          chain: chain.has(s.key),
          pinned: s.pinned,
        });
      }
    }
  }
  return all;
}
