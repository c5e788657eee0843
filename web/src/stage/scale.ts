import type { Drawing } from '../api/client';

/** From millimetres in the drawing to pixels on the page. */
export interface Scale {
  x: (mm: number) => number;
  y: (mm: number) => number;
}

/** Room round the drawing for dimensions below it, in pixels. */
const ROOM = { top: 26, bottom: 66 };

/** A letter of a dimension and what is kept free beside its text, in pixels. */
const LETTER = 7.5;
const BESIDE_TEXT = 16;

/** How the page is divided between the drawing and what stands beside it, in pixels. */
export interface Margins {
  /** How far left of the drawing each row of heights stands, nearest first. */
  rows: number[];
  left: number;
  right: number;
  /** Of the dipstick itself. */
  stick: number;
  /** For the dipstick and its readings. */
  beside: number;
}

/**
 * A phone has no room to spare.
 *
 * @param readings what is written beside the dipstick
 */
export function marginsOf(d: Drawing, width: number, readings: string[]): Margins {
  const narrow = width < 520;
  const rows: number[] = [];
  let left = 10;
  for (let row = 1; ; row++) {
    const texts = d.dimensions.filter((m) => m.side !== 'BELOW' && m.row === row);
    if (texts.length === 0) {
      break;
    }
    rows.push(left);
    left += LETTER * Math.max(...texts.map((m) => m.text.length)) + BESIDE_TEXT;
  }
  const stick = narrow ? 28 : 40;
  const beside = stick + BESIDE_TEXT + LETTER * Math.max(0, ...readings.map((r) => r.length));
  return {
    rows,
    left: narrow ? left : Math.max(112, left),
    right: narrow ? 30 : 40,
    stick,
    beside: narrow ? beside : Math.max(136, beside),
  };
}

/**
 * The largest scale at which the drawing with its dimensions fits, in the middle.
 *
 * @param stick whether a dipstick stands on its right
 */
export function scaleOf(
  d: Drawing,
  width: number,
  height: number,
  margins: Margins,
  stick: boolean,
): Scale {
  const beside = stick ? margins.beside : 0;
  const wide = Math.max(1, width - margins.left - margins.right - beside);
  const high = Math.max(1, height - ROOM.top - ROOM.bottom);
  const k = Math.min(wide / (d.right - d.left), high / (d.top - d.bottom));
  const x0 = margins.left + (wide - k * (d.right - d.left)) / 2;
  const y0 = ROOM.top + (high - k * (d.top - d.bottom)) / 2;
  return {
    x: (mm) => x0 + (mm - d.left) * k,
    y: (mm) => y0 + (d.top - mm) * k,
  };
}
