import { useRef, useState } from 'react';
import { Problem, type Task } from '../../api/client';
import { cancelTask, followTask } from '../followTask';

export interface Upload {
  doing: string;
  fraction: number;
  cancel: () => void;
}

/** Sends a model file with progress, then waits while it is read. */
export function useModelUpload(id: string, done: () => Promise<unknown>) {
  const [upload, setUpload] = useState<Upload | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const stop = useRef<() => void>(() => undefined);

  const send = (file: File, to: string): Promise<Task> =>
    new Promise((resolve, reject) => {
      const request = new XMLHttpRequest();
      request.open('POST', `/api/jobs/${id}/${to}?name=${encodeURIComponent(file.name)}`);
      request.setRequestHeader('Content-Type', 'application/octet-stream');
      request.responseType = 'json';
      request.upload.onprogress = (e) =>
        setUpload({
          doing: `Taking in ${file.name}`,
          fraction: e.loaded / Math.max(1, e.total) / 2,
          cancel: () => stop.current(),
        });
      request.onload = () => {
        if (request.status < 300) {
          resolve(request.response as Task);
        } else {
          reject(Problem.of(request.status, request.response));
        }
      };
      request.onerror = () => reject(Problem.of(0, null));
      request.onabort = () => reject(new Problem(0, 'Stopped', ''));
      stop.current = () => request.abort();
      request.send(file);
    });

  const follow = (first: Task): Promise<Task> => {
    stop.current = () => cancelTask(first);
    return followTask(first, (task) =>
      setUpload({
        doing: task.doing,
        fraction: 0.5 + task.fraction / 2,
        cancel: () => stop.current(),
      }),
    );
  };

  const start = async (file: File, to: string) => {
    setProblem(null);
    setUpload({ doing: `Taking in ${file.name}`, fraction: 0, cancel: () => stop.current() });
    try {
      const end = await follow(await send(file, to));
      if (end.state === 'FAILED') {
        setProblem(`${file.name} was not taken. ${end.problem}`);
      }
      await done();
    } catch (e) {
      if (e instanceof Problem && e.title !== 'Stopped') {
        setProblem(`${file.name} was not taken. ${e.message}`);
      }
    } finally {
      setUpload(null);
    }
  };

  return {
    upload,
    problem,
    dismiss: () => setProblem(null),
    start: (f: File) => void start(f, 'model'),
    /** Beside the model there is, on the same plate. */
    startBeside: (f: File) => void start(f, 'model/beside'),
  };
}
