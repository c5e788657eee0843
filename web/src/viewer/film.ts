/**
 * What is watched filling, and how far it is. It is told many times a second: what draws it listens
 * here, so that no page is drawn anew for it.
 */
export interface Filmed {
  of: 'RUBBER' | 'CAST';
  /** How high it stands, against gravity as the mould lies meanwhile. */
  alongMm: number;
}

let now: Filmed | null = null;
const watching = new Set<() => void>();

export function filmed() {
  return now;
}

/** Null when nothing is watched any more. */
export function film(next: Filmed | null) {
  now = next;
  watching.forEach((look) => look());
}

export function watchFilm(look: () => void) {
  watching.add(look);
  return () => {
    watching.delete(look);
  };
}
