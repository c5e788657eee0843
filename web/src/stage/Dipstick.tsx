import { useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import { client, unwrap, type Job, type Reading } from '../api/client';
import type { CutName } from '../job/jobQueries';
import type { Scale } from './scale';

/** What can be done with a mark of the dipstick. */
export interface Dragging {
  /** Called with what the dipstick reads where a drag ended. */
  drop: (at: Reading) => void;
  nudge: (steps: number) => void;
}

interface Props {
  jobId: string;
  stick: NonNullable<Job['dipstick']>;
  x: number;
  /** The stick itself, without its readings. */
  wide: number;
  scale: Scale;
  cut: CutName;
  line: Dragging;
  parting: Dragging;
  /** Where each batch but the last comes up to, mm above the plate. */
  batches?: { number: number; mm: number }[];
}

/** Ticks nearer together than this are not all lettered, pixels. */
const APART = 14;

/** Height against volume and mass; its pour line and its parting can be dragged. */
export function Dipstick({ jobId, stick, x, wide, scale, cut, line, parting, batches }: Props) {
  const [filled, setFilled] = useState<number | null>(null);
  const top = scale.y(stick.heightMm);
  const bottom = scale.y(0);
  const y = scale.y(filled ?? stick.line.heightMm);
  const shared = { jobId, stick, x, wide, scale, cut };
  const second = stick.ticks[1];
  const apart = second ? Math.abs(scale.y(second.mm) - scale.y(stick.ticks[0]?.mm ?? 0)) : APART;
  const lettered = Math.max(1, Math.ceil(APART / Math.max(1, apart)));
  return (
    <g aria-label="Dipstick" role="group">
      <text x={x + wide / 2} y={top - 8} textAnchor="middle" className="strong">
        dipstick
      </text>
      <rect className="stick" x={x} y={top} width={wide} height={bottom - top} />
      <rect
        className="filled"
        x={x + 0.5}
        y={y}
        width={wide - 1}
        height={Math.max(0, bottom - y)}
      />
      {stick.ticks.map((t, i) => (
        <g key={t.mm}>
          <line x1={x} x2={x + 9} y1={scale.y(t.mm)} y2={scale.y(t.mm)} stroke="currentColor" />
          {i % lettered === 0 && (
            <text className="soft" x={x - 5} y={scale.y(t.mm) + 4} textAnchor="end">
              {t.text}
            </text>
          )}
        </g>
      ))}
      <line
        x1={x}
        x2={x + wide}
        y1={scale.y(stick.masterTopMm)}
        y2={scale.y(stick.masterTopMm)}
        stroke="currentColor"
        strokeDasharray="3 3"
      >
        <title>top of the master</title>
      </line>
      {batches?.map((b) => (
        <g key={b.number} className="batch">
          <line x1={x} x2={x + wide} y1={scale.y(b.mm)} y2={scale.y(b.mm)} />
          <text x={x + wide - 4} y={scale.y(b.mm) + 12} textAnchor="end">
            {b.number}
          </text>
          <title>{`batch ${String(b.number)} comes up to here`}</title>
        </g>
      ))}
      {stick.parting && (
        <Mark {...shared} mark="PARTING" kept={stick.parting} dragging={parting} moved={noMove} />
      )}
      <Mark {...shared} mark="LINE" kept={stick.line} dragging={line} moved={setFilled} />
    </g>
  );
}

const noMove = () => undefined;

const NAMES = { LINE: 'Pour line', PARTING: 'Parting' } as const;
const CLASSES = { LINE: 'POUR_LINE', PARTING: 'PARTING' } as const;

interface MarkProps extends Omit<Props, 'line' | 'parting'> {
  mark: 'LINE' | 'PARTING';
  kept: Reading;
  dragging: Dragging;
  /** Called with the height it is dragged to, and null when it is back where it is kept. */
  moved: (heightMm: number | null) => void;
}

/** One height that can be dragged. */
function Mark({ jobId, stick, x, wide, scale, cut, mark, kept, dragging, moved }: MarkProps) {
  const [dragged, setDragged] = useState<Reading | null>(null);
  const asking = useRef(false);
  const wanted = useRef<number | null>(null);
  const reading = dragged ?? kept;
  const top = scale.y(stick.heightMm);
  const bottom = scale.y(0);
  const y = scale.y(reading.heightMm);

  const show = (next: Reading | null) => {
    setDragged(next);
    moved(next === null ? null : next.heightMm);
  };
  const read = (at: number) =>
    unwrap(
      client.GET('/api/jobs/{id}/dipstick', {
        params: { path: { id: jobId }, query: { mark, at } },
      }),
    );

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
        show(await read(at));
      }
    } catch {
      // no answer: the mark goes back to where it is kept
      show(null);
    } finally {
      asking.current = false;
    }
  };

  const heightAt = (e: PointerEvent<SVGGElement>) => {
    const svg = e.currentTarget.ownerSVGElement;
    const box = svg?.getBoundingClientRect();
    const py = e.clientY - (box?.top ?? 0);
    const mm = ((bottom - py) / Math.max(1, bottom - top)) * stick.heightMm;
    return Math.min(stick.heightMm, Math.max(1, mm));
  };
  const onMove = (e: PointerEvent<SVGGElement>) => {
    if (e.currentTarget.hasPointerCapture(e.pointerId)) {
      wanted.current = heightAt(e);
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
      const at = await read(heightAt(e));
      show(at);
      dragging.drop(at);
    } catch {
      show(null);
    }
  };
  const onKey = (e: KeyboardEvent) => {
    const steps = { ArrowUp: 1, ArrowDown: -1 }[e.key];
    if (steps) {
      e.preventDefault();
      dragging.nudge(steps * (e.shiftKey ? 10 : 1));
    }
  };

  return (
    <>
      {dragged && cut !== 'TOP' && (
        <line x1={60} x2={x} y1={y} y2={y} className={CLASSES[mark]} strokeDasharray="6 4" />
      )}
      <g
        className="handle"
        role="slider"
        tabIndex={0}
        aria-label={NAMES[mark]}
        aria-orientation="vertical"
        aria-valuemin={0}
        aria-valuemax={stick.heightMm}
        aria-valuenow={reading.heightMm}
        aria-valuetext={`${reading.height}, ${reading.volume} ${reading.mass}`}
        onPointerDown={(e) => e.currentTarget.setPointerCapture(e.pointerId)}
        onPointerMove={onMove}
        onPointerUp={(e) => void onUp(e)}
        onKeyDown={onKey}
      >
        <rect
          x={x - 4}
          y={y - 14}
          width={wide + 92}
          height={mark === 'LINE' ? 40 : 28}
          fill="transparent"
        />
        <line x1={x} x2={x + wide} y1={y} y2={y} className={CLASSES[mark]} />
        <path className="grip" d={`M${x + wide + 1} ${y}l11 -8v16z`} />
        <text x={x + wide + 16} y={y + 4} className="strong">
          {reading.height}
        </text>
        <text x={x + wide + 16} y={y + 20}>
          {mark === 'LINE' ? reading.volume : 'parting'}
        </text>
        {mark === 'LINE' && reading.mass && (
          <text x={x + wide + 16} y={y + 36} className="soft">
            {reading.mass}
          </text>
        )}
      </g>
    </>
  );
}
