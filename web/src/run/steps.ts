import type { Run, RunBatch, RunLive, RunTask } from '../api/client';
import type { KeptAct } from './browserStore';
import type { Doing } from './useActs';

/** A large key at the bottom. */
export interface Key {
  label: string;
  run?: () => void;
}

const ENDED = new Set(['DONE', 'SKIPPED']);

/** Keys of what is done at this screen and not delivered yet. */
export function pendingKeys(waiting: KeptAct[]) {
  return new Set(waiting.flatMap((k) => (k.act.key === undefined ? [] : [k.act.key])));
}

/** What is next, with what waits to be delivered as done. */
export function nextOf(run: Run, pending: Set<string>) {
  if (pending.size === 0) {
    return run.next;
  }
  const open = run.tasks.filter((t) => !ENDED.has(t.status) && !pending.has(t.key));
  return (open.find((t) => t.kind !== 'WAIT') ?? open[0])?.key ?? '';
}

export const taskOf = (run: Run, key: string) => run.tasks.find((t) => t.key === key);
export const batchOf = (run: Run, task: RunTask | undefined): RunBatch | undefined =>
  run.batches.find((b) => b.key === task?.batch);

/** What happened at a step last, and may be corrected. */
export const lastAt = (run: Run, task: RunTask) =>
  run.entries.findLast((e) => e.step === task.key && e.correctable);

/** What comes after a step and is still to be done. */
export function comingAfter(run: Run, key: string, pending: Set<string>) {
  const at = run.tasks.findIndex((t) => t.key === key);
  return run.tasks.slice(at + 1).filter((t) => !ENDED.has(t.status) && !pending.has(t.key));
}

/** Whether something is done by hand, and may be left out. */
export const byHand = (task: RunTask) => ['HANDS', 'POUR', 'DEGAS'].includes(task.kind);

/** What a scale that is heard says of this run, else null. */
export function heardHere(live: RunLive | null, lost: boolean) {
  return live && !lost && live.scale !== '' && live.elsewhere === '' ? live : null;
}

/** The doing behind the main key of a step; null where it is done by the scale or by typing. */
export function mainOf(task: RunTask): { doing: Doing; label: string } | null {
  switch (task.kind) {
    case 'GATE':
      return { doing: { kind: 'GATE', key: task.key, yes: true }, label: 'Seen to' };
    case 'VERDICT':
      return { doing: { kind: 'VERDICT', key: task.key, yes: true }, label: 'Yes, it is good' };
    case 'HANDS':
    case 'POUR':
    case 'DEGAS':
      return { doing: { kind: 'TICK', key: task.key }, label: 'Done' };
    default:
      return null;
  }
}
