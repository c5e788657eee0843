import type { Weighing } from '../api/client';

const WIDE = 160;
const NARROW = 118;
const HIGH = 380;

/** The cup as a gauge: what is in it, and the mark it is poured to. */
export function Cup({ weighing }: { weighing: Weighing }) {
  const { cup } = weighing;
  const y = (share: number) => HIGH - share * HIGH;
  const half = (share: number) => (NARROW + (WIDE - NARROW) * share) / 2;
  const band = (from: number, to: number) =>
    `M${100 - half(from)} ${y(from)} L${100 - half(to)} ${y(to)} H${100 + half(to)} L${100 + half(from)} ${y(from)} Z`;
  const green = weighing.place === 'GREEN';
  const layers = cup.layers.map((l, i) => {
    const from = cup.layers[i - 1]?.top ?? 0;
    return { ...l, from, top: Math.max(from, l.top) };
  });
  const all = layers[layers.length - 1]?.top ?? 0;
  return (
    <svg
      className="cup"
      viewBox="0 -6 290 400"
      role="img"
      aria-label={`${weighing.now} ${weighing.unit} of ${weighing.target} in the cup`}
    >
      {layers.map((l, i) => (
        <path key={i} className={l.first ? 'base' : 'second'} d={band(l.from, l.top)} />
      ))}
      <path className="green" d={band(cup.low, Math.max(cup.high, cup.low + 0.012))} />
      <line
        className="mark"
        x1={100 - half(cup.mark) - 12}
        x2={100 + half(cup.mark) + 12}
        y1={y(cup.mark)}
        y2={y(cup.mark)}
      />
      <text className="marked" x={100 + half(cup.mark) + 18} y={y(cup.mark) + 6}>
        {weighing.target}
      </text>
      <line
        className={green ? 'level green' : 'level'}
        x1={100 - half(all) - 6}
        x2={100 + half(all) + 6}
        y1={y(all)}
        y2={y(all)}
      />
      <path
        className="wall"
        d={`M${100 - WIDE / 2} -4 L${100 - NARROW / 2} ${HIGH} H${100 + NARROW / 2} L${100 + WIDE / 2} -4`}
      />
      {layers
        .filter((l) => l.top - l.from > 0.06)
        .map((l, i) => (
          <text key={i} className="named" x={100} y={y((l.from + l.top) / 2) + 6}>
            {l.name}
          </text>
        ))}
    </svg>
  );
}
