import { useState, type KeyboardEvent, type PointerEvent } from 'react';
import type { Drawing } from '../api/client';
import type { Scale } from './scale';

/** What can be done with a cut or a parting. */
export interface Cutting {
  drop: (degrees: number) => void;
}

interface Props {
  /** What is turned. */
  label: string;
  degrees: number;
  /** It is turned by so much at a time. */
  step: number;
  drawing: Drawing;
  scale: Scale;
  cutting: Cutting;
  /** The mould is round rather than a block. */
  round?: boolean;
}

/** Where the knife goes in, or a jacket parts, seen from above: dragged round the mould. */
export function Knife({ label, degrees, step, drawing, scale, cutting, round }: Props) {
  const [dragged, setDragged] = useState<number | null>(null);
  const shown = dragged ?? degrees;
  const at = (shown * Math.PI) / 180;
  const away = 1.04 * (round ? Math.max(drawing.right, drawing.top) : reach(drawing, at));
  const x = scale.x(away * Math.cos(at));
  const y = scale.y(away * Math.sin(at));

  const towards = (e: PointerEvent<SVGGElement>) => {
    const box = e.currentTarget.ownerSVGElement?.getBoundingClientRect();
    const right = e.clientX - (box?.left ?? 0) - scale.x(0);
    const up = scale.y(0) - (e.clientY - (box?.top ?? 0));
    const turn = (Math.atan2(up, right) * 180) / Math.PI;
    return (Math.round(turn / step) * step + 360) % 360;
  };
  const onMove = (e: PointerEvent<SVGGElement>) => {
    if (e.currentTarget.hasPointerCapture(e.pointerId)) {
      setDragged(towards(e));
    }
  };
  const onUp = (e: PointerEvent<SVGGElement>) => {
    if (e.currentTarget.hasPointerCapture(e.pointerId)) {
      e.currentTarget.releasePointerCapture(e.pointerId);
      cutting.drop(towards(e));
    }
  };
  const onKey = (e: KeyboardEvent) => {
    const steps = { ArrowUp: 1, ArrowLeft: 1, ArrowDown: -1, ArrowRight: -1 }[e.key];
    if (steps) {
      e.preventDefault();
      cutting.drop((degrees + steps * step + 360) % 360);
    }
  };
  return (
    <>
      {dragged !== null && (
        <line className="CUT_LINE" x1={scale.x(0)} y1={scale.y(0)} x2={x} y2={y} />
      )}
      <g
        className="handle"
        role="slider"
        tabIndex={0}
        aria-label={label}
        aria-valuemin={0}
        aria-valuemax={359}
        aria-valuenow={shown}
        aria-valuetext={`${shown} degrees`}
        onPointerDown={(e) => e.currentTarget.setPointerCapture(e.pointerId)}
        onPointerMove={onMove}
        onPointerUp={onUp}
        onKeyDown={onKey}
      >
        <circle cx={x} cy={y} r={16} fill="transparent" />
        <path
          className="knife"
          transform={`translate(${x} ${y}) rotate(${-shown})`}
          d="M-9 0l18 -7v14z"
        />
      </g>
    </>
  );
}

/** From the middle to the rim of the drawing. */
function reach(drawing: Drawing, at: number) {
  const x = Math.cos(at) > 0 ? drawing.right : -drawing.left;
  const y = Math.sin(at) > 0 ? drawing.top : -drawing.bottom;
  return Math.min(
    x / Math.max(1e-6, Math.abs(Math.cos(at))),
    y / Math.max(1e-6, Math.abs(Math.sin(at))),
  );
}
