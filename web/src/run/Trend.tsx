const WIDTH = 320;
const HEIGHT = 150;

/** What the gauge showed in the last minutes, with the newest at the right. */
export function Trend({ trend, text }: { trend: number[]; text: string }) {
  if (trend.length < 2) {
    return null;
  }
  const most = 105;
  const points = trend
    .map((k, i) => `${(i / (trend.length - 1)) * WIDTH},${HEIGHT - (k / most) * HEIGHT}`)
    .join(' ');
  return (
    <svg
      className="trend"
      viewBox={`-4 -10 ${WIDTH + 90} ${HEIGHT + 30}`}
      role="img"
      aria-label={`Pressure, now ${text}`}
    >
      <line x1={0} x2={WIDTH} y1={HEIGHT} y2={HEIGHT} className="ground" />
      <polyline points={points} />
      <text x={WIDTH + 8} y={HEIGHT - ((trend[trend.length - 1] ?? 0) / most) * HEIGHT + 6}>
        {text}
      </text>
      <text x={0} y={HEIGHT + 18} className="quiet">
        the last {trend.length < 120 ? `${trend.length} s` : `${Math.round(trend.length / 60)} min`}
      </text>
    </svg>
  );
}
