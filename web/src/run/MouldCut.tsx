import { useQuery } from '@tanstack/react-query';
import { useId } from 'react';
import type { Drawing, Run, RunBatch, RunTask } from '../api/client';
import { SectionShapes } from '../stage/SectionShapes';
import { sectionOfRunQuery } from './runQueries';

const WIDE = 420;
const HIGH = 400;
const EDGE = 14;
/** For what the level is called. */
const BESIDE = 96;

/** What a mould stands in while it is made. */
const BOX = new Set<string>(['WALL', 'PLATE', 'RISER', 'GAP']);

/** What is drawn, from edge to edge. */
function round(shapes: Drawing['shapes'], whole: Drawing) {
  const at = shapes.flatMap((s) => s.rings);
  const xs = at.flatMap((ring) => ring.filter((_, i) => i % 2 === 0));
  const ys = at.flatMap((ring) => ring.filter((_, i) => i % 2 === 1));
  return xs.length === 0
    ? whole
    : {
        left: Math.min(...xs),
        right: Math.max(...xs),
        top: Math.max(...ys),
        bottom: Math.min(...ys),
      };
}

interface Props {
  run: Run;
  task: RunTask;
  batch: RunBatch | undefined;
}

/** The mould as it was planned, with the rubber that is in it, or that comes next. */
export function MouldCut({ run, task, batch }: Props) {
  const { data: drawing } = useQuery(sectionOfRunQuery(run.id));
  const within = useId();
  if (!drawing) {
    return null;
  }
  const level = task.kind === 'POUR' || task.kind === 'LEVEL' ? batch : undefined;
  const last = [...run.batches].reverse().find((b) => b.poured);
  const shown = level ?? last;
  const at = shown?.drawnMm;
  const poured = run.batches.some((b) => b.drawnMm !== undefined);
  // cast from, it stands with its opening up, out of its box
  const casts = run.casts.length > 0;
  const turned = casts || ((batch ?? last)?.turned ?? false);
  const shapes = drawing.shapes.filter(
    (s) => !((poured || casts) && s.role === 'POUR_LINE') && !(casts && BOX.has(s.role)),
  );
  const { left, right, top: high, bottom: low } = casts ? round(shapes, drawing) : drawing;
  const k = Math.min((WIDE - 2 * EDGE - BESIDE) / (right - left), (HIGH - 2 * EDGE) / (high - low));
  const x = (v: number) => EDGE + (v - left) * k;
  const y = (v: number) => (turned ? EDGE + (v - low) * k : HIGH - EDGE - (v - low) * k);
  const bottom = turned ? drawing.top : 0;
  const upTo = at ?? bottom;
  const top = Math.min(y(upTo), y(bottom));
  const height = Math.abs(y(upTo) - y(bottom));
  return (
    <div className="drawing">
      <svg
        viewBox={`0 0 ${WIDE} ${HIGH}`}
        role="img"
        aria-label={
          shown && at !== undefined
            ? `The mould, rubber ${shown.expected} above its base`
            : 'The mould, cut from front to back'
        }
      >
        {poured && (
          <clipPath id={within}>
            <rect x={0} y={top} width={WIDE} height={height} />
          </clipPath>
        )}
        <SectionShapes
          drawing={{ ...drawing, shapes }}
          scale={{ x, y }}
          {...(poured ? { within } : {})}
        />
        {level && at !== undefined && (
          <g className="tolevel">
            <line x1={x(drawing.left)} x2={x(drawing.right) + 6} y1={y(at)} y2={y(at)} />
            <text x={x(drawing.right) + 10} y={y(at) + 6}>
              {level.expected}
            </text>
          </g>
        )}
      </svg>
    </div>
  );
}
