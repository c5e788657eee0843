// What of a page does not fit its window, a line each: wider than it, cut off, texts of a drawing
// over each other, and what is to be touched and smaller than a fingertip.
() => {
  const width = window.innerWidth;
  const found = new Set();
  const named = (e) => {
    const text = (e.getAttribute('aria-label') ?? e.textContent ?? '').trim().slice(0, 60);
    return `${e.tagName.toLowerCase()} "${text}"`;
  };
  const box = (e) => e.getBoundingClientRect();
  const seen = (e) =>
    box(e).width > 0 &&
    box(e).height > 0 &&
    getComputedStyle(e).visibility !== 'hidden' &&
    !e.closest('.visually-hidden');
  // a comparison of many moulds side by side is moved to the side
  const moved = (e) => e.closest('.approaches') !== null;
  if (document.documentElement.scrollWidth > width) {
    found.add(`the page is wider by ${document.documentElement.scrollWidth - width}`);
  }
  for (const e of document.body.querySelectorAll('*')) {
    if (!seen(e) || moved(e)) {
      continue;
    }
    const style = getComputedStyle(e);
    const drawn = e.closest('svg') !== null;
    if (!drawn && (box(e).right > width + 1 || box(e).left < -1)) {
      found.add(`off the side: ${named(e)}`);
    }
    if (!drawn && style.overflowX !== 'visible' && e.scrollWidth > e.clientWidth + 1) {
      found.add(`cut off: ${named(e)}`);
    }
    const touched = 'a, button, input, select, textarea, summary, [role=button], [role=slider]';
    // as wide as its time, and again in a list beside it
    const listed = e.matches('[data-listed]');
    if (e.matches(touched) && !e.disabled && !listed) {
      const label = e.matches('[type=checkbox], [type=radio]') ? e.closest('label') : null;
      const { width: w, height: h } = box(label ?? e);
      if (w < 23.5 || h < 23.5) {
        found.add(`too small: ${named(e)}, ${Math.round(w)} by ${Math.round(h)}`);
      }
    }
  }
  const texts = [...document.querySelectorAll('.drawing svg text')].filter(seen);
  texts.forEach((a, i) => {
    if (box(a).right > width + 1 || box(a).left < 0) {
      found.add(`off the side: ${named(a)}`);
    }
    for (const b of texts.slice(0, i)) {
      const across = Math.min(box(a).right, box(b).right) - Math.max(box(a).left, box(b).left);
      const up = Math.min(box(a).bottom, box(b).bottom) - Math.max(box(a).top, box(b).top);
      if (across > 2 && up > 3) {
        found.add(`over each other: ${named(a)} and ${named(b)}`);
      }
    }
  });
  return [...found].join('\n');
}
