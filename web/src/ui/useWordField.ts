import { useRef, useState } from 'react';
import { Problem, type WordKey } from '../api/client';
import type { WordDesk } from './words';

/**
 * One word being typed into: the text as typed is kept apart from what is saved, and stays as typed
 * when it is refused.
 */
export function useWordField(k: WordKey, shown: string, desk: WordDesk) {
  const [typed, setTyped] = useState<string | null>(null);
  const [refusal, setRefusal] = useState<string | null>(null);
  const saving = useRef(false);

  const open = (first?: string) => {
    if (!desk.readOnly) {
      setTyped(first ?? shown);
    }
  };
  const cancel = () => {
    setTyped(null);
    setRefusal(null);
  };
  /**
   * Saves what is typed; says whether it was taken.
   *
   * @param evenSame also when that stands there already: what was assumed is said by it
   */
  const commit = async (evenSame = false): Promise<boolean> => {
    if (typed === null || saving.current) {
      return true;
    }
    const same = typed === shown;
    if (same && !evenSame) {
      cancel();
      return true;
    }
    saving.current = true;
    try {
      // what is shown may be rounded: as it stands is not what it reads
      await (same ? desk.nudge(k, 0) : desk.write(k, typed));
      cancel();
      return true;
    } catch (e) {
      setRefusal(e instanceof Problem ? e.message : 'It was not saved. Try again.');
      return false;
    } finally {
      saving.current = false;
    }
  };
  return { typed, refusal, open, type: setTyped, cancel, commit };
}
