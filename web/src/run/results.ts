import type { RunLive, RunTask } from '../api/client';
import type { Key } from './steps';
import type { Doing } from './useActs';

type Result = NonNullable<Doing['result']>;

/** What is usually wrong with a cast. */
export const USUALLY: Record<'REPAIR' | 'SCRAP', string[]> = {
  REPAIR: ['A bubble to fill.', 'Flash to sand off.'],
  SCRAP: ['It was not filled.', 'A hole where it shows.', 'It stayed sticky.'],
};

/** How a cast came out, as it is delivered, with its weight as the scale shows it or as typed. */
export function resultOf(task: RunTask, result: Result, weighed: string, why = ''): Doing {
  return { kind: 'RESULT', key: task.key, result, value: weighed, why };
}

interface Asks {
  act: (doing: Doing, text: string) => void;
  /** Asks why it is no good. */
  why: (result: 'REPAIR' | 'SCRAP') => void;
  /** Asks what it weighs. */
  weigh: () => void;
  take: (grams: string) => void;
}

/** Large keys by which a cast is looked over, with gloves on. */
export function resultKeys(task: RunTask, live: RunLive | null, weighed: string, asks: Asks) {
  if (task.key.startsWith('cast.clean.')) {
    return {
      main: {
        label: 'It is thrown away',
        run: () => asks.act(resultOf(task, 'CLEANING', ''), 'Clean-out'),
      },
      keys: [],
    };
  }
  const keys: Key[] = [
    { label: 'To repair', run: () => asks.why('REPAIR') },
    { label: 'Scrap', run: () => asks.why('SCRAP') },
  ];
  const shown = live?.scale ?? '';
  if (Number.parseFloat(shown) > 0 && live?.settled && weighed === '') {
    keys.push({ label: `It weighs ${shown}`, run: () => asks.take(shown) });
  }
  keys.push({
    label: weighed === '' ? 'Type its weight' : `Not ${weighed}`,
    run: weighed === '' ? asks.weigh : () => asks.take(''),
  });
  return {
    main: {
      label: weighed === '' ? 'A good cast' : `A good cast, ${weighed}`,
      run: () => asks.act(resultOf(task, 'GOOD', weighed), 'A good cast'),
    },
    keys,
  };
}
