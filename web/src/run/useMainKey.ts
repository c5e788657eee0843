import { useEffect, useRef } from 'react';

const NOT_A_FOOT = new Set(['Tab', 'Escape', 'Shift', 'Control', 'Alt', 'Meta', 'ArrowLeft']);

/** Space, Enter or any key of a foot switch presses the main key; the left arrow looks back. */
export function useMainKey(main: (() => void) | undefined, back: () => void) {
  const now = useRef({ main, back });
  useEffect(() => {
    now.current = { main, back };
  });
  useEffect(() => {
    const onKey = (e: KeyboardEvent) => {
      const at = e.target as HTMLElement;
      if (at.closest('input, textarea, select') || e.ctrlKey || e.metaKey || e.altKey || e.repeat) {
        return;
      }
      const pressed = at.closest('button, a') && (e.key === 'Enter' || e.key === ' ');
      if (e.key === 'ArrowLeft') {
        now.current.back();
      } else if (!pressed && !NOT_A_FOOT.has(e.key)) {
        e.preventDefault();
        now.current.main?.();
      }
    };
    // what was pressed with a finger is not pressed again by the foot
    const onClick = (e: MouseEvent) => {
      const at = document.activeElement;
      if (e.detail > 0 && at instanceof HTMLButtonElement) {
        at.blur();
      }
    };
    window.addEventListener('keydown', onKey);
    window.addEventListener('click', onClick);
    return () => {
      window.removeEventListener('keydown', onKey);
      window.removeEventListener('click', onClick);
    };
  }, []);
}
