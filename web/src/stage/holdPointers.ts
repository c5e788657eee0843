/** For tests: jsdom captures no pointers, so that a drag is held here. */
export function holdPointers() {
  let held = false;
  Object.assign(Element.prototype, {
    setPointerCapture: () => (held = true),
    releasePointerCapture: () => (held = false),
    hasPointerCapture: () => held,
  });
}
