import { useState, type KeyboardEvent, type PointerEvent } from 'react';
import type { Days } from '../../api/client';
import { clock, DAY_MIN, dateAfter } from './axis';
import type { Layout } from './layout';
import type { Cost } from './useBegin';

const SNAP_MIN = 10;

export interface BeginDesk {
  /** Called with a date and time while the beginning is dragged. */
  drag: (at: string) => void;
  drop: (at: string) => void;
  leave: () => void;
  dragged: string | null;
  cost: Cost | null;
  /** What is shown is about to be replaced. */
  stale: boolean;
}

/** The beginning, to be dragged along the hours and from day to day, or moved by keys. */
export function BeginMark({ days, lay, desk }: { days: Days; lay: Layout; desk: BeginDesk }) {
  const [held, setHeld] = useState(false);
  const { dragged, cost } = desk;
  const first = lay.hands[0];
  if (!first) {
    return null;
  }
  const now = `${days.days[first.day]?.date}T${padded(first.from)}`;
  const { day, min } = place(days, dragged ?? now);
  const at = (e: PointerEvent<SVGElement>) => {
    const box = e.currentTarget.ownerSVGElement?.getBoundingClientRect();
    const to = lay.x.invert(e.clientX - (box?.left ?? 0));
    const snapped = Math.min(Math.round(to / SNAP_MIN) * SNAP_MIN, DAY_MIN - SNAP_MIN);
    const date = days.days[lay.dayAt(e.clientY - (box?.top ?? 0))]?.date ?? '';
    return `${date}T${padded(snapped)}`;
  };
  const move = (e: KeyboardEvent) => {
    if (desk.stale) {
      return;
    }
    const by = { ArrowLeft: -1, ArrowRight: 1 }[e.key];
    const byDay = { PageUp: -1, ArrowUp: -1, PageDown: 1, ArrowDown: 1 }[e.key];
    if (e.key === 'Enter' && dragged !== null) {
      desk.drop(dragged);
    } else if (e.key === 'Escape') {
      desk.leave();
    } else if (by || byDay) {
      const step = (by ?? 0) * (e.shiftKey ? 60 : SNAP_MIN);
      desk.drag(moved(dragged ?? now, step, byDay ?? 0));
    } else {
      return;
    }
    e.preventDefault();
    e.stopPropagation();
  };
  const { y, high } = lay.handLane;
  const toTheLeft = lay.x(min) > (lay.x(lay.range[0]) + lay.x(lay.range[1])) / 2;
  return (
    <g
      className={`begin${held || dragged !== null ? ' held' : ''}`}
      role="slider"
      tabIndex={0}
      aria-label="Beginning"
      aria-valuetext={said(days, dragged, cost, min)}
      aria-valuenow={min}
      aria-valuemin={0}
      aria-valuemax={DAY_MIN}
      transform={`translate(${lay.x(min)} ${lay.top(day)})`}
      onKeyDown={move}
      onBlur={desk.leave}
      onPointerDown={(e) => {
        if (!desk.stale) {
          e.currentTarget.setPointerCapture(e.pointerId);
          setHeld(true);
        }
      }}
      onPointerMove={(e) => {
        if (held) {
          desk.drag(at(e));
        }
      }}
      onPointerUp={(e) => {
        setHeld(false);
        if (dragged !== null) {
          desk.drop(at(e));
        }
      }}
      onPointerCancel={() => {
        setHeld(false);
        desk.leave();
      }}
    >
      <line y1={6} y2={y + high} />
      <path d="M-8 10 L8 10 L0 24 Z" />
      <rect className="grip" x={-14} y={0} width={28} height={y} />
      <text x={toTheLeft ? -12 : 12} y={15} textAnchor={toTheLeft ? 'end' : 'start'}>
        {dragged === null ? `begin ${clock(min)}` : said(days, dragged, cost, min)}
      </text>
    </g>
  );
}

const padded = (min: number) => clock(min).padStart(5, '0');

/** What it would cost to begin there. */
function said(days: Days, dragged: string | null, cost: Cost | null, min: number) {
  if (dragged === null) {
    return days.begin;
  }
  return cost === null ? `begin ${clock(min)} …` : `begin ${cost.begin}: ${cost.says}`;
}

function moved(at: string, minutes: number, days: number) {
  const [date = '', time = ''] = at.split('T');
  const [h = 0, m = 0] = time.split(':').map(Number);
  const min = h * 60 + m + minutes;
  const over = min < 0 ? -1 : min >= DAY_MIN ? 1 : 0;
  return `${dateAfter(date, days + over)}T${padded(min)}`;
}

/** Where a date and time lie among the days shown. */
function place(days: Days, at: string) {
  const [date = '', time = ''] = at.split('T');
  const [h = 0, m = 0] = time.split(':').map(Number);
  const day = days.days.findIndex((d) => d.date === date);
  const before = date < (days.days[0]?.date ?? '');
  return { day: day >= 0 ? day : before ? 0 : days.days.length - 1, min: h * 60 + m };
}
