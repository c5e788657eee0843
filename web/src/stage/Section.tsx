import { useQuery } from '@tanstack/react-query';
import type { Drawing, Job } from '../api/client';
import { sectionQuery, type CutName } from '../job/jobQueries';
import { NotRead } from '../ui/NotRead';
import { useSize } from '../ui/useSize';
import { Dipstick, type Dragging } from './Dipstick';
import type { ShapeDesk } from '../job/useStudy';
import { AirMarks } from './AirMarks';
import { CautionPins } from './CautionPins';
import { Knife, type Cutting } from './Knife';
import { SectionShapes } from './SectionShapes';
import { marginsOf, scaleOf, type Scale } from './scale';

interface Props {
  job: Job;
  cut: CutName;
  at: number | null;
  pointed: string | null;
  /** Called with the caution pointed at, or null. */
  point: (id: string | null) => void;
  shape: ShapeDesk;
  line: Dragging;
  parting: Dragging;
  cutting: Cutting;
  /** A jacket's partings, moved to where they run now. */
  divide: (degrees: number[]) => void;
}

/** The cut through box, rubber and master, to scale, with dimensions and dipstick. */
export function Section({
  job,
  cut,
  at,
  pointed,
  point,
  shape,
  line,
  parting,
  cutting,
  divide,
}: Props) {
  const { ref, width, height } = useSize<HTMLDivElement>();
  const { data, error, refetch, isPlaceholderData } = useQuery({
    ...sectionQuery(job.id, job.version, cut, at),
    enabled: job.dipstick !== undefined || job.skin !== undefined,
  });
  const drawing = data?.cut === cut || !isPlaceholderData ? data : undefined;
  const reads = job.dipstick?.line;
  const margins =
    drawing && marginsOf(drawing, width, reads ? [reads.height, reads.volume, reads.mass] : []);
  const scale = margins && scaleOf(drawing, width, height, margins, job.dipstick !== undefined);
  return (
    <div
      ref={ref}
      className={`drawing${isPlaceholderData ? ' stale' : ''}`}
      data-stale={isPlaceholderData}
    >
      {!drawing && <NotRead what="The drawing" error={error} again={refetch} />}
      {drawing && margins && scale && width > 0 && (
        <svg
          role="group"
          aria-label={`Section, ${cut === 'TOP' ? 'seen from above' : cut === 'FRONT' ? 'seen from the front' : 'seen from the right'}`}
        >
          <Plan drawing={drawing} scale={scale} rows={margins.rows} />
          {shape.study && (
            <AirMarks study={shape.study} stale={shape.stale} cut={drawing.cut} scale={scale} />
          )}
          <CautionPins
            cautions={job.cautions}
            cut={drawing.cut}
            scale={scale}
            pointed={pointed}
            point={point}
          />
          {drawing.cut === 'TOP' && job.skin && (
            <Partings
              key={`partings ${job.version}`}
              skin={job.skin}
              drawing={drawing}
              scale={scale}
              cutting={cutting}
              divide={divide}
            />
          )}
          {drawing.cut === 'TOP' && job.cut && (
            <Knife
              key={`knife ${job.version}`}
              label="Way of the cut"
              degrees={job.cut.degrees}
              step={job.cut.stepDegrees}
              drawing={drawing}
              scale={scale}
              cutting={cutting}
            />
          )}
          {job.dipstick && (
            <Dipstick
              key={job.version}
              jobId={job.id}
              stick={job.dipstick}
              x={width - margins.beside}
              wide={margins.stick}
              scale={
                cut === 'TOP'
                  ? {
                      x: (mm) => mm,
                      y: (mm) =>
                        height - 70 - (mm / (job.dipstick?.heightMm ?? 1)) * (height - 120),
                    }
                  : scale
              }
              cut={cut}
              line={line}
              parting={parting}
              batches={batchLines(job)}
            />
          )}
        </svg>
      )}
    </div>
  );
}

/** Where each batch of the first pour but the last comes up to; the next is poured turned over. */
function batchLines(job: Job) {
  const first = job.batches.each.filter((b) => b.pour === 1);
  return first.slice(0, -1).flatMap((b) => {
    const level = job.figures[`batch.${b.number}.level`];
    return level ? [{ number: b.number, mm: level.value }] : [];
  });
}

/** How a skin is cut open and its jacket divided, seen from above. */
function Partings({
  skin,
  drawing,
  scale,
  cutting,
  divide,
}: {
  skin: NonNullable<Job['skin']>;
  drawing: Drawing;
  scale: Scale;
  cutting: Cutting;
  divide: (degrees: number[]) => void;
}) {
  const step = skin.stepDegrees;
  return (
    <>
      {skin.cutDegrees !== undefined && (
        <Knife
          label="Way of the cut"
          degrees={skin.cutDegrees}
          step={step}
          drawing={drawing}
          scale={scale}
          cutting={cutting}
          round
        />
      )}
      {skin.partings.map((degrees, i) => (
        <Knife
          key={degrees}
          label={`Parting ${i + 1} of the jacket`}
          degrees={degrees}
          step={step}
          drawing={drawing}
          scale={scale}
          cutting={{
            drop: (to) => divide(skin.partings.map((other, k) => (k === i ? to : other))),
          }}
          round
        />
      ))}
    </>
  );
}

function Plan({ drawing, scale, rows }: { drawing: Drawing; scale: Scale; rows: number[] }) {
  return (
    <>
      <SectionShapes drawing={drawing} scale={scale} />
      {drawing.dimensions.map((d) => (
        <DimensionLine
          key={`${d.side} ${d.row} ${d.from}`}
          dimension={d}
          drawing={drawing}
          scale={scale}
          rows={rows}
        />
      ))}
    </>
  );
}

function DimensionLine({
  dimension: d,
  drawing,
  scale,
  rows,
}: {
  dimension: Drawing['dimensions'][number];
  drawing: Drawing;
  scale: Scale;
  rows: number[];
}) {
  if (d.side === 'BELOW') {
    const y = scale.y(drawing.bottom) + 16 + 26 * (d.row - 1);
    const a = scale.x(d.from);
    const b = scale.x(d.to);
    return (
      <g>
        <path className="dimension" d={`M${a} ${y}H${b}M${a} ${y - 4}v8M${b} ${y - 4}v8`} />
        <text
          className={WORDS[d.of] ? 'halo asked' : 'halo'}
          onClick={() => openWord(WORDS[d.of])}
          x={(a + b) / 2}
          y={y + 15}
          textAnchor="middle"
        >
          {d.text}
        </text>
      </g>
    );
  }
  const x = scale.x(drawing.left) - (rows[d.row - 1] ?? 0);
  const a = scale.y(d.from);
  const b = scale.y(d.to);
  const middle = (a + b) / 2;
  // a short length has no room along the line: its text lies across, outside it
  const across = a - b < 8 * d.text.length;
  return (
    <g>
      <path className="dimension" d={`M${x} ${a}V${b}M${x - 4} ${a}h8M${x - 4} ${b}h8`} />
      <text
        className={WORDS[d.of] ? 'halo asked' : 'halo'}
        onClick={() => openWord(WORDS[d.of])}
        x={x - 6}
        y={across ? middle + 4 : middle}
        textAnchor={across ? 'end' : 'middle'}
        transform={across ? undefined : `rotate(-90 ${x - 6} ${middle})`}
      >
        {d.text}
      </text>
    </g>
  );
}

/** The word behind each dimension; none behind what only follows. */
const WORDS: Record<Drawing['dimensions'][number]['of'], string> = {
  LEFT_WALL: 'mould.leftMm',
  RIGHT_WALL: 'mould.rightMm',
  FRONT_WALL: 'mould.frontMm',
  BACK_WALL: 'mould.backMm',
  LENGTH: 'mould.insideLengthMm',
  WIDTH: 'mould.insideWidthMm',
  HEIGHT: '',
  ACROSS: '',
  LIFT: 'pose.liftMm',
  OVER_TOP: 'mould.overTopMm',
  PARTING: 'parting.upMm',
  RISER_LEFT: 'parting.riserLeftMm',
  RISER_RIGHT: 'parting.riserRightMm',
  SKIN_WALL: 'skin.wallMm',
  FLANGE: 'skin.flangeMm',
};

/** A click on a dimension opens the word behind it; sides that are all alike have one word. */
function openWord(key: string) {
  const word = (k: string) => document.querySelector<HTMLElement>(`button[data-word="${k}"]`);
  (word(key) ?? word('mould.sidesMm'))?.click();
}
