/** A name nobody else has; also on a page that is not secure, where the browser makes none itself. */
export function newId() {
  const bytes = crypto.getRandomValues(new Uint8Array(16));
  return [...bytes].map((b) => b.toString(16).padStart(2, '0')).join('');
}
