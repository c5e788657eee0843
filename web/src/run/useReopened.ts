import { useEffect, useState } from 'react';

/**
 * Whether this page opens again while the server is not heard: on https, and on the computer the
 * server runs on, once the browser has kept what the page is made of.
 */
export function useReopened() {
  const workers = 'serviceWorker' in navigator ? navigator.serviceWorker : null;
  const [kept, setKept] = useState(() => workers !== null && workers.controller !== null);
  useEffect(() => {
    const keep = async () => {
      await workers?.register('/page-worker.js');
      const worker = (await workers?.ready)?.active;
      worker?.postMessage({
        keep: performance
          .getEntriesByType('resource')
          .map((e) => e.name)
          .filter((name) => new URL(name).pathname.startsWith('/assets/')),
      });
      setKept(worker !== null && worker !== undefined);
    };
    // without it the page says that it has to stay open
    keep().catch(() => setKept(false));
  }, [workers]);
  return kept;
}
