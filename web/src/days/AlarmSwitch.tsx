import { useAlarmsWanted } from './useAlarms';

/** Whether this page rings. */
export function AlarmSwitch() {
  const { wanted, want } = useAlarmsWanted();
  return (
    <p>
      <label className="ringswitch">
        <input type="checkbox" checked={wanted} onChange={(e) => want(e.target.checked)} /> Ring
        here when a wait is over, while a page of Ungula is open.
      </label>
    </p>
  );
}
