import { useEffect, useState } from 'react';

/** Keeps the screen awake while the page is seen, where the browser can; says whether it does. */
export function useWakeLock(): boolean {
  const [held, setHeld] = useState(false);
  useEffect(() => {
    let lock: WakeLockSentinel | undefined;
    let left = false;
    const take = async () => {
      if (!('wakeLock' in navigator) || document.visibilityState !== 'visible') return;
      try {
        const taken = await navigator.wakeLock.request('screen');
        if (left) return void taken.release();
        lock = taken;
        setHeld(true);
        taken.addEventListener('release', () => setHeld(false));
      } catch {
        // A battery that is low, or a page that is not served safely: the screen sleeps as it likes.
        setHeld(false);
      }
    };
    const seen = () => void take();
    void take();
    document.addEventListener('visibilitychange', seen);
    return () => {
      left = true;
      document.removeEventListener('visibilitychange', seen);
      void lock?.release();
    };
  }, []);
  return held;
}
