import { openDB, type DBSchema } from 'idb';
import type { Act } from '../api/client';

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

interface Kept extends DBSchema {
  acts: { key: number; value: KeptAct; indexes: { run: string } };
}

const open = () =>
  openDB<Kept>('ungula', 1, {
    upgrade(db) {
      db.createObjectStore('acts', { keyPath: 'number', autoIncrement: true }).createIndex(
        'run',
        'run',
      );
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
