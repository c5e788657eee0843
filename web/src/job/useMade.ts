import { useState } from 'react';
import { client, Problem, unwrap, type Task } from '../api/client';
import { cancelTask, followTask } from './followTask';

/** A file that takes a while: what it is called, where it is asked for and where it then is. */
export const MADE = {
  mended: { text: 'Mended copy', make: '/api/jobs/{id}/mended', file: 'mended.stl' },
  stl: { text: 'Pieces of the mould', make: '/api/jobs/{id}/pieces', file: 'pieces.zip' },
  threeMf: { text: 'Pieces of the mould', make: '/api/jobs/{id}/pieces', file: 'pieces.3mf' },
} as const;

export type MadeName = keyof typeof MADE;

/** Has a file made on the server, and saves it. */
export function useMade(id: string) {
  const [task, setTask] = useState<Task | null>(null);
  const [text, setText] = useState('');
  const [problem, setProblem] = useState<string | null>(null);
  const make = async (name: MadeName) => {
    const what = MADE[name];
    setText(what.text);
    setProblem(null);
    const path = { params: { path: { id } } };
    try {
      const end = await followTask(await unwrap(client.POST(what.make, path)), setTask);
      if (end.state === 'DONE') {
        window.location.assign(`/api/jobs/${id}/${what.file}`);
      } else if (end.state === 'FAILED') {
        setProblem(`${what.text}: nothing was made. ${end.problem}`);
      }
    } catch (e) {
      if (e instanceof Problem) {
        setProblem(`${what.text}: nothing was made. ${e.message}`);
      }
    } finally {
      setTask(null);
    }
  };
  return {
    task,
    text,
    problem,
    dismiss: () => setProblem(null),
    make: (name: MadeName) => void make(name),
    stop: () => task && cancelTask(task),
  };
}
