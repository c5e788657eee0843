import { useEffect, useRef, useState } from 'react';
import type { RunLive } from '../api/client';

/** So long without a word the server is lost, ms. */
const LOST = 3500;

/** A stream without a word for so long hangs, though nobody says so: it is opened anew, ms. */
const SILENT = 8000;

/** Until it is opened again, ms. */
const AGAIN = 1000;

/** Of an EventSource that is not opened again by the browser. */
const CLOSED = 2;

/** What changes at every moment, and the time by the server's clock. */
export function useLive(id: string, silent = SILENT) {
  const [live, setLive] = useState<RunLive | null>(null);
  const [lost, setLost] = useState(false);
  const heard = useRef({ at: 0, server: 0, speed: 1 });
  useEffect(() => {
    heard.current.at = performance.now();
    let source: EventSource;
    let opened = 0;
    let again: ReturnType<typeof setTimeout> | undefined;
    const open = () => {
      opened = performance.now();
      source = new EventSource(`/api/runs/${id}/live`);
      source.addEventListener('message', (e: MessageEvent<string>) => {
        const now = JSON.parse(e.data) as RunLive;
        heard.current = { at: performance.now(), server: now.now, speed: now.speed };
        setLive(now);
        setLost(false);
      });
      source.addEventListener('error', () => {
        if (heard.current.server === 0) {
          setLost(true);
        }
        // the browser opens one again that broke, but not one that was answered with an error
        if (source.readyState === CLOSED) {
          again = setTimeout(open, AGAIN);
        }
      });
    };
    open();
    const watch = setInterval(() => {
      if (performance.now() - heard.current.at > LOST) {
        setLost(true);
      }
      if (performance.now() - Math.max(heard.current.at, opened) > silent) {
        clearTimeout(again);
        source.close();
        open();
      }
    }, 500);
    return () => {
      clearInterval(watch);
      clearTimeout(again);
      source.close();
    };
  }, [id, silent]);
  return { live, lost, heard };
}

/**
 * The time by the server's clock, once a second: it goes on while the server is lost, and does not
 * follow when the clock of this screen is set.
 */
export function useServerNow(heard: ReturnType<typeof useLive>['heard'], known: number) {
  const read = () =>
    heard.current.server === 0
      ? known
      : heard.current.server + (performance.now() - heard.current.at) * heard.current.speed;
  const [now, setNow] = useState(read);
  useEffect(() => {
    const tick = setInterval(() => setNow(read()), 250);
    return () => clearInterval(tick);
    // read looks at what it is given
    // oxlint-disable-next-line react/exhaustive-deps
  }, [known]);
  return now === 0 ? known : now;
}
