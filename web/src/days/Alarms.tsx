import { useNavigate } from 'react-router-dom';
import { Notice } from '../ui/Notice';
import { useAlarms, useAlarmsWanted } from './useAlarms';

/** Says on every page that a wait is over, where that is wanted. */
export function Alarms() {
  const { wanted } = useAlarmsWanted();
  const { ringing, put } = useAlarms(wanted);
  const go = useNavigate();
  return (
    <div className="ringing">
      {ringing.map((r) => (
        <Notice
          key={r.key}
          text={r.text}
          action={{
            label: 'To the job',
            run: () => {
              put(r.key);
              void go(`/jobs/${r.job}/days`);
            },
          }}
          close={() => put(r.key)}
        />
      ))}
    </div>
  );
}
