import { useEffect, useRef, useState } from 'react';

/** Files dropped anywhere on the page; true while one is held over it. */
export function useDrop(take: (file: File) => void): boolean {
  const [over, setOver] = useState(false);
  const latest = useRef(take);
  useEffect(() => {
    latest.current = take;
  });
  useEffect(() => {
    const holds = (e: DragEvent) => e.dataTransfer?.types.includes('Files') ?? false;
    const onOver = (e: DragEvent) => {
      if (holds(e)) {
        e.preventDefault();
        setOver(true);
      }
    };
    const onLeave = (e: DragEvent) => {
      if (e.relatedTarget === null) {
        setOver(false);
      }
    };
    const onDrop = (e: DragEvent) => {
      const file = e.dataTransfer?.files[0];
      setOver(false);
      if (file) {
        e.preventDefault();
        latest.current(file);
      }
    };
    window.addEventListener('dragover', onOver);
    window.addEventListener('dragleave', onLeave);
    window.addEventListener('drop', onDrop);
    return () => {
      window.removeEventListener('dragover', onOver);
      window.removeEventListener('dragleave', onLeave);
      window.removeEventListener('drop', onDrop);
    };
  }, []);
  return over;
}
