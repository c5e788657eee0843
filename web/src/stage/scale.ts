import type { Drawing } from '../api/client';

/** From millimetres in the drawing to pixels on the page. */
export interface Scale {
  x: (mm: number) => number;
  y: (mm: number) => number;
}

/** Room round the drawing for dimensions, in pixels. */
const ROOM = { left: 112, right: 40, top: 26, bottom: 66 };

/** Room for the dipstick on its right. */
export const DIPSTICK = 136;

/**
 * The largest scale at which the drawing with its dimensions fits, in the middle.
 *
 * @param beside pixels kept free on its right
 */
export function scaleOf(d: Drawing, width: number, height: number, beside: number): Scale {
  const wide = Math.max(1, width - ROOM.left - ROOM.right - beside);
  const high = Math.max(1, height - ROOM.top - ROOM.bottom);
  const k = Math.min(wide / (d.right - d.left), high / (d.top - d.bottom));
  const x0 = ROOM.left + (wide - k * (d.right - d.left)) / 2;
  const y0 = ROOM.top + (high - k * (d.top - d.bottom)) / 2;
  return {
    x: (mm) => x0 + (mm - d.left) * k,
    y: (mm) => y0 + (d.top - mm) * k,
  };
}
