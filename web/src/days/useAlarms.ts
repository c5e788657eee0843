import { useQuery } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import { client, unwrap } from '../api/client';
import { ring } from './ring';

const KEPT = 'ungula.alarms';
const CHANGED = 'ungula-alarms';

/** Whether waits that end ring on this page: said once, and kept by the browser. */
export function useAlarmsWanted() {
  const read = () => localStorage.getItem(KEPT) === 'on';
  const [wanted, setWanted] = useState(read);
  useEffect(() => {
    const onChange = () => setWanted(read());
    window.addEventListener(CHANGED, onChange);
    return () => window.removeEventListener(CHANGED, onChange);
  }, []);
  const want = (on: boolean) => {
    localStorage.setItem(KEPT, on ? 'on' : 'off');
    window.dispatchEvent(new Event(CHANGED));
    if (on && 'Notification' in window && Notification.permission === 'default') {
      void Notification.requestPermission();
    }
  };
  return { wanted, want };
}

export interface Ringing {
  key: string;
  job: string;
  text: string;
}

/** Waits that have ended since this page was opened, until they are put out. */
export function useAlarms(wanted: boolean) {
  const { data } = useQuery({
    queryKey: ['bench', 'alarms'],
    queryFn: () => unwrap(client.GET('/api/days/alarms')),
    enabled: wanted,
    refetchInterval: 60_000,
    staleTime: 0,
  });
  const [ringing, setRinging] = useState<Ringing[]>([]);
  // by the clock of the server: what ended before is not rung, what ended unheard still is
  const since = useRef<number | null>(null);
  const rung = useRef(new Set<string>());
  useEffect(() => {
    if (!data || !wanted) {
      return;
    }
    const now = Date.parse(data.now);
    const from = (since.current ??= now);
    const bells = data.alarms
      .map((a) => ({
        key: `${a.job} ${a.at}`,
        job: a.job,
        text: `${a.name}: ${a.text}, over`,
        at: Date.parse(a.at),
      }))
      .filter((a) => a.at > from && !rung.current.has(a.key))
      .map(({ at, ...alarm }) =>
        setTimeout(
          () => {
            rung.current.add(alarm.key);
            setRinging((all) => [...all, alarm]);
            ring(alarm.text);
          },
          Math.max(0, at - now),
        ),
      );
    return () => bells.forEach(clearTimeout);
  }, [data, wanted]);
  const put = (key: string) => setRinging((all) => all.filter((r) => r.key !== key));
  return { ringing, put };
}
