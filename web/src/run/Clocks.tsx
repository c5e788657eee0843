import type { RunClock } from '../api/client';

/** "4:05", "1:04:05"; what is over counts on with a minus. */
export function left(ms: number) {
  const all = Math.ceil(Math.abs(ms) / 1000);
  const h = Math.floor(all / 3600);
  const m = Math.floor(all / 60) % 60;
  const s = String(all % 60).padStart(2, '0');
  return (ms < 0 ? '−' : '') + (h > 0 ? `${h}:${String(m).padStart(2, '0')}:${s}` : `${m}:${s}`);
}

const DAY = 24 * 3600 * 1000;

/** All that runs, each with what is left of it. */
export function Clocks({ clocks, now }: { clocks: RunClock[]; now: number }) {
  return (
    <ul className="clocks" aria-label="Clocks">
      {clocks.map((c) => {
        const gone = Math.min(1, Math.max(0, (now - c.fromMs) / (c.untilMs - c.fromMs || 1)));
        const rung = c.rings.filter((r) => r.atMs <= now).length;
        const coming = c.fromMs > now;
        // once it has called the last time but one
        const late = c.what !== 'WAIT' && !coming && rung > 0 && rung >= c.rings.length - 1;
        const far = c.untilMs - now > DAY;
        return (
          <li key={c.key} className={late ? 'late' : ''}>
            <span>
              {c.label}
              {c.what === 'WINDOW' && (coming ? ` from ${c.from}` : ' now')}
            </span>
            <strong>{far ? c.until : left((coming ? c.fromMs : c.untilMs) - now)}</strong>
            <span className="bar" aria-hidden>
              <i style={{ width: `${100 * gone}%` }} />
            </span>
            <small>
              {coming ? 'to go' : c.what === 'POT_LIFE' ? 'use it by ' : 'until '}
              {!coming && c.until}
            </small>
          </li>
        );
      })}
    </ul>
  );
}
