import { useQuery } from '@tanstack/react-query';
import { useId } from 'react';
import type { Run, RunBatch, RunTask } from '../api/client';
import { SectionShapes } from '../stage/SectionShapes';
import { sectionOfRunQuery } from './runQueries';

const WIDE = 420;
const HIGH = 400;
const EDGE = 14;
/** For what the level is called. */
const BESIDE = 96;

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
  const turned = (batch ?? last)?.turned ?? false;
  const k = Math.min(
    (WIDE - 2 * EDGE - BESIDE) / (drawing.right - drawing.left),
    (HIGH - 2 * EDGE) / (drawing.top - drawing.bottom),
  );
  const x = (v: number) => EDGE + (v - drawing.left) * k;
  const y = (v: number) =>
    turned ? EDGE + (v - drawing.bottom) * k : HIGH - EDGE - (v - drawing.bottom) * k;
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
          drawing={
            poured
              ? { ...drawing, shapes: drawing.shapes.filter((s) => s.role !== 'POUR_LINE') }
              : drawing
          }
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
