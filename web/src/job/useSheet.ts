import { useRef, useState } from 'react';
import { client, Problem, unwrap, type Job, type Work } from '../api/client';

/** How long to leave between two looks at what is being worked out. */
const LOOK_MS = 250;

const over = (state: Work['state']) => state !== 'WORKING' && state !== 'OPEN';

/** Opens what is made for paper or export once everything on it is worked out. */
export function useSheet(job: Job | undefined) {
  const [work, setWork] = useState<Work | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const stopped = useRef(false);
  const givenUp = () => stopped.current;
  const path = { params: { path: { id: job?.id ?? '' } } };
  const open = async (file: string) => {
    const address = `/api/jobs/${job?.id ?? ''}/${file}`;
    try {
      if (job?.parts.some((p) => p.state === 'BEING_WORKED_OUT')) {
        stopped.current = false;
        let now = (await unwrap(client.POST('/api/jobs/{id}/study', path))).work;
        while (!over(now.state)) {
          setWork(now);
          await new Promise((r) => setTimeout(r, LOOK_MS));
          if (givenUp()) {
            return;
          }
          // between one question and the next nobody has asked yet
          const look = now.state === 'OPEN' ? client.POST : client.GET;
          now = (await unwrap(look('/api/jobs/{id}/study', path))).work;
        }
        if (now.state === 'STOPPED') {
          return;
        }
      }
      if (window.open(address, '_blank') === null) {
        window.location.assign(address);
      }
    } catch (e) {
      setProblem(e instanceof Problem ? e.message : '');
    } finally {
      setWork(null);
    }
  };
  return {
    /** What it waits for; null while nothing is being made. */
    work,
    problem,
    dismiss: () => setProblem(null),
    open: (file: string) => void open(file),
    stop: () => {
      stopped.current = true;
      setWork(null);
      void client.DELETE('/api/jobs/{id}/study', path);
    },
  };
}
