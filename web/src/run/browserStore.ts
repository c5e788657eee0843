import { openDB, type DBSchema } from 'idb';
import type { Act, Run } from '../api/client';

/** What was done at a screen and is not delivered yet. */
export interface KeptAct {
  /** Rises with every act: they are delivered in this order. */
  number?: number;
  run: string;
  act: Act;
  /** By the clock of this browser, ms: how long ago it was is told when it is delivered. */
  at: number;
  /** In words, for whoever looks at what waits. */
  text: string;
}

/** A run as the server said last that it stands. */
interface KeptRun {
  id: string;
  run: Run;
  /** By the clock of this browser, ms. */
  at: number;
}

interface Kept extends DBSchema {
  acts: { key: number; value: KeptAct; indexes: { run: string } };
  runs: { key: string; value: KeptRun; indexes: { at: number } };
}

/** Runs beyond so many are forgotten, the oldest first. */
const MOST_RUNS = 12;

const open = () =>
  openDB<Kept>('ungula', 2, {
    upgrade(db, before) {
      if (before < 1) {
        db.createObjectStore('acts', { keyPath: 'number', autoIncrement: true }).createIndex(
          'run',
          'run',
        );
      }
      db.createObjectStore('runs', { keyPath: 'id' }).createIndex('at', 'at');
    },
  });

let opened: ReturnType<typeof open> | null = null;
const store = () => (opened ??= open());

/** Acts in the browser's own database: there after the page, or the browser, was closed. */
export const actStore = {
  add: async (act: KeptAct) => (await store()).add('acts', act),
  of: async (run: string) => (await store()).getAllFromIndex('acts', 'run', run),
  remove: async (number: number) => (await store()).delete('acts', number),
};

async function put(run: Run) {
  const db = await store();
  await db.put('runs', { id: run.id, run, at: Date.now() });
  const all = await db.getAllKeysFromIndex('runs', 'at');
  await Promise.all(all.slice(0, -MOST_RUNS).map((id) => db.delete('runs', id)));
}

/** Runs as they were last heard of, for a page that opens while the server is not heard. */
export const runStore = {
  keep: (run: Run) => {
    // a browser that keeps nothing shows it all the same
    (run.rehearsal ? Promise.resolve() : put(run)).catch(() => undefined);
  },
  find: async (id: string) => {
    try {
      return await (await store()).get('runs', id);
    } catch {
      return undefined;
    }
  },
};
