import { client, unwrap, type Task } from '../api/client';

/** How long to leave between two looks at work in the background. */
const LOOK_MS = 150;

/** Looks after work in the background until it ends, telling each time how far it is. */
export async function followTask(first: Task, tell: (task: Task) => void): Promise<Task> {
  const path = { params: { path: { id: first.id } } };
  let task = first;
  while (task.state === 'RUNNING') {
    tell(task);
    await new Promise((r) => setTimeout(r, LOOK_MS));
    task = await unwrap(client.GET('/api/tasks/{id}', path));
  }
  return task;
}

export function cancelTask(task: Task): void {
  void client.DELETE('/api/tasks/{id}', { params: { path: { id: task.id } } });
}
