/** What is drawn with it. */
export const WAITING = 'url(#waiting)';

/** Hatching for what the mould does by itself. */
export function Hatch() {
  return (
    <defs>
      <pattern
        id="waiting"
        width={9}
        height={9}
        patternUnits="userSpaceOnUse"
        patternTransform="rotate(45)"
      >
        <rect width={9} height={9} className="ground" />
        <line x1={0} x2={0} y1={0} y2={9} className="line" />
      </pattern>
    </defs>
  );
}
