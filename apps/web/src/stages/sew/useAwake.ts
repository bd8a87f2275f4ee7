import { useEffect } from 'react';

/** Keeps the screen on while one sews, where the browser can; asked for again whenever one comes back to the page. */
export function useAwake(): void {
  useEffect(() => {
    let lock: WakeLockSentinel | null = null;
    let gone = false;
    const ask = async () => {
      if (document.visibilityState !== 'visible' || !('wakeLock' in navigator)) return;
      try {
        const got = await navigator.wakeLock.request('screen');
        if (gone) void got.release();
        else lock = got;
      } catch {
        // A battery that saves power refuses: then the screen goes off as it always does.
      }
    };
    void ask();
    document.addEventListener('visibilitychange', ask);
    return () => {
      gone = true;
      document.removeEventListener('visibilitychange', ask);
      void lock?.release();
    };
  }, []);
}
