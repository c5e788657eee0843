import { useState } from 'react';
import { useNavigate } from 'react-router-dom';
import { STAGES } from './stages';
import type { JobDesk } from './useJob';

/**
 * Undo and redo: each says what it did, and goes to a stage that shows it.
 *
 * @param stage that is looked at
 */
export function useHistory(desk: JobDesk, stage: string) {
  const go = useNavigate();
  const [told, setTold] = useState<{ version: number; text: string } | null>(null);
  const { job } = desk;
  const step = (by: -1 | 1) => {
    const change = by < 0 ? job?.undo : job?.redo;
    if (!job || !change) {
      return;
    }
    const [to = ''] = change.stages;
    desk.step(by).then(
      (now) => {
        const on = STAGES.find((s) => s.id === to)?.text;
        const what = on ? `${change.what}, on ${on}` : change.what;
        setTold({ version: now.version, text: `${by < 0 ? 'Undone' : 'Made again'}: ${what}` });
        if (on && !change.stages.includes(stage)) {
          void go(`/jobs/${job.id}/${to}`);
        }
      },
      () => undefined,
    );
  };
  return { step, told: told && told.version === job?.version ? told.text : null };
}

export type JobHistory = ReturnType<typeof useHistory>;
