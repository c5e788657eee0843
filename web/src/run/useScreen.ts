import { useEffect, useState } from 'react';

const WHO = 'ungula.who';
const DARK = 'ungula.dark';

/** Who stands at this screen and how it is lit: kept by the browser. */
export function useScreen() {
  const [who, setWho] = useState(() => localStorage.getItem(WHO) ?? '');
  const [dark, setDark] = useState(() => localStorage.getItem(DARK) === 'yes');
  const be = (name: string) => {
    localStorage.setItem(WHO, name);
    setWho(name);
  };
  const darken = (on: boolean) => {
    localStorage.setItem(DARK, on ? 'yes' : 'no');
    setDark(on);
  };
  return { who, be, dark, darken };
}

/** Keeps the screen from going dark by itself while it is looked at, where the browser can. */
export function useAwake() {
  useEffect(() => {
    let lock: WakeLockSentinel | null = null;
    let left = false;
    const take = async () => {
      if (!('wakeLock' in navigator) || document.visibilityState !== 'visible') {
        return;
      }
      try {
        const got = await navigator.wakeLock.request('screen');
        if (left) {
          await got.release();
        } else {
          lock = got;
        }
      } catch {
        // a low battery refuses it
      }
    };
    void take();
    const again = () => void take();
    document.addEventListener('visibilitychange', again);
    return () => {
      left = true;
      document.removeEventListener('visibilitychange', again);
      void lock?.release();
    };
  }, []);
}
