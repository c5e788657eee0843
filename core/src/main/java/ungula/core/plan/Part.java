package ungula.core.plan;

import ungula.core.working.FigureBook;

/**
 * What one function found out for a plan: an immutable result, and what of it may be shown. Other
 * parts ask it for what they need; they do not read figures.
 */
interface Part {

  /** Adds its figures. What was shown before may be quoted, word for word. */
  void show(FigureBook figures);
}
