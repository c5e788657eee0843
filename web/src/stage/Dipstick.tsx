import { useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import { client, unwrap, type Job, type Reading } from '../api/client';
import type { CutName } from '../job/jobQueries';
import type { Scale } from './scale';

interface Props {
  jobId: string;
  stick: NonNullable<Job['dipstick']>;
  x: number;
  scale: Scale;
  cut: CutName;
  drop: (overTopMm: number) => void;
  nudge: (steps: number) => void;
}

const WIDTH = 40;

/** Height against volume and mass; its pour line can be dragged. */
export function Dipstick({ jobId, stick, x, scale, cut, drop, nudge }: Props) {
  const [dragged, setDragged] = useState<Reading | null>(null);
  const asking = useRef(false);
  const wanted = useRef<number | null>(null);
  const line = dragged ?? stick.line;
  const top = scale.y(stick.heightMm);
  const bottom = scale.y(0);
  const y = scale.y(line.heightMm);

  // one question at a time; the newest height is asked next
  const ask = async (): Promise<void> => {
    if (asking.current) {
      return;
    }
    asking.current = true;
    try {
      while (wanted.current !== null) {
        const at = wanted.current;
        wanted.current = null;
        setDragged(
          await unwrap(
            client.GET('/api/jobs/{id}/dipstick', {
              params: { path: { id: jobId }, query: { at } },
            }),
          ),
        );
      }
    } catch {
      // no answer: the line goes back to where it is kept
      setDragged(null);
    } finally {
      asking.current = false;
    }
  };

  const heightAt = (e: PointerEvent<SVGGElement>) => {
    const svg = e.currentTarget.ownerSVGElement;
    const box = svg?.getBoundingClientRect();
    const py = e.clientY - (box?.top ?? 0);
    return ((bottom - py) / Math.max(1, bottom - top)) * stick.heightMm;
  };
  const onMove = (e: PointerEvent<SVGGElement>) => {
    if (e.currentTarget.hasPointerCapture(e.pointerId)) {
      wanted.current = Math.min(stick.heightMm, Math.max(1, heightAt(e)));
      void ask();
    }
  };
  const onUp = async (e: PointerEvent<SVGGElement>) => {
    if (!e.currentTarget.hasPointerCapture(e.pointerId)) {
      return;
    }
    e.currentTarget.releasePointerCapture(e.pointerId);
    wanted.current = null;
    try {
      const reading = await unwrap(
        client.GET('/api/jobs/{id}/dipstick', {
          params: {
            path: { id: jobId },
            query: { at: Math.min(stick.heightMm, Math.max(1, heightAt(e))) },
          },
        }),
      );
      setDragged(reading);
      drop(reading.overTopMm);
    } catch {
      setDragged(null);
    }
  };
  const onKey = (e: KeyboardEvent) => {
    const steps = { ArrowUp: 1, ArrowDown: -1 }[e.key];
    if (steps) {
      e.preventDefault();
      nudge(steps * (e.shiftKey ? 10 : 1));
    }
  };

  return (
    <g aria-label="Dipstick" role="group">
      <text x={x + WIDTH / 2} y={top - 8} textAnchor="middle" className="strong">
        dipstick
      </text>
      <rect className="stick" x={x} y={top} width={WIDTH} height={bottom - top} />
      <rect
        className="filled"
        x={x + 0.5}
        y={y}
        width={WIDTH - 1}
        height={Math.max(0, bottom - y)}
      />
      {stick.ticks.map((t) => (
        <g key={t.mm}>
          <line x1={x} x2={x + 9} y1={scale.y(t.mm)} y2={scale.y(t.mm)} stroke="currentColor" />
          <text className="soft" x={x - 5} y={scale.y(t.mm) + 4} textAnchor="end">
            {t.text}
          </text>
        </g>
      ))}
      <line
        x1={x}
        x2={x + WIDTH}
        y1={scale.y(stick.masterTopMm)}
        y2={scale.y(stick.masterTopMm)}
        stroke="currentColor"
        strokeDasharray="3 3"
      >
        <title>top of the master</title>
      </line>
      {dragged && cut !== 'TOP' && (
        <line x1={60} x2={x} y1={y} y2={y} className="POUR_LINE" strokeDasharray="6 4" />
      )}
      <g
        className="handle"
        role="slider"
        tabIndex={0}
        aria-label="Pour line"
        aria-orientation="vertical"
        aria-valuemin={0}
        aria-valuemax={stick.heightMm}
        aria-valuenow={line.heightMm}
        aria-valuetext={`${line.height}, ${line.volume} ${line.mass}`}
        onPointerDown={(e) => e.currentTarget.setPointerCapture(e.pointerId)}
        onPointerMove={onMove}
        onPointerUp={(e) => void onUp(e)}
        onKeyDown={onKey}
      >
        <rect x={x - 4} y={y - 14} width={WIDTH + 92} height={40} fill="transparent" />
        <line x1={x - 6} x2={x + WIDTH} y1={y} y2={y} className="POUR_LINE" />
        <path className="grip" d={`M${x + WIDTH + 1} ${y}l11 -8v16z`} />
        <text x={x + WIDTH + 16} y={y + 4} className="strong">
          {line.height}
        </text>
        <text x={x + WIDTH + 16} y={y + 20}>
          {line.volume}
        </text>
        {line.mass && (
          <text x={x + WIDTH + 16} y={y + 36} className="soft">
            {line.mass}
          </text>
        )}
      </g>
    </g>
  );
}
