import type { MarkName } from '../api/client';

/** The master where nothing else is shown. */
export const MASTER_COLOUR = '#e6d9c0';

/** In the order of their bits in the bytes the server sends by facet. */
export const MARK_COLOURS: Record<MarkName, string> = {
  KEEP_CLEAN: '#5b7fa6',
  BASE: '#8b9457',
  THREAD: '#8a6fa8',
  PLUG: '#c0914a',
  FRAGILE: '#bf5f7c',
};

/** What a stroke over the master does. */
export interface Paint {
  mark: MarkName;
  erase: boolean;
  /** Across; null paints whole faces. */
  brushMm: number | null;
  /** Edges bent no more belong to a face. */
  bendDegrees: number;
}
