import { useState } from 'react';
import { client, Problem, unwrap, type Task } from '../api/client';
import { cancelTask, followTask } from './followTask';

/** Has a closed copy of the master made and saves it. */
export function useMendedCopy(id: string) {
  const [task, setTask] = useState<Task | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const make = async () => {
    setProblem(null);
    const path = { params: { path: { id } } };
    try {
      const end = await followTask(
        await unwrap(client.POST('/api/jobs/{id}/mended', path)),
        setTask,
      );
      if (end.state === 'DONE') {
        window.location.assign(`/api/jobs/${id}/mended.stl`);
      } else if (end.state === 'FAILED') {
        setProblem(`No mended copy was made. ${end.problem}`);
      }
    } catch (e) {
      if (e instanceof Problem) {
        setProblem(`No mended copy was made. ${e.message}`);
      }
    } finally {
      setTask(null);
    }
  };
  return {
    task,
    problem,
    dismiss: () => setProblem(null),
    make: () => void make(),
    stop: () => task && cancelTask(task),
  };
}
