import { useEffect } from 'react';

/** Keeps the screen from going dark while the panel is looked at, where the browser lets it (W3C Screen Wake Lock). */
export function useAwake(): void {
  useEffect(() => {
    let lock: WakeLockSentinel | null = null;
    const hold = () => {
      if (document.visibilityState !== 'visible' || !('wakeLock' in navigator)) return;
      navigator.wakeLock.request('screen').then(
        (held) => {
          lock = held;
        },
        // Low on battery, or not a safe address: the screen goes dark as it does otherwise.
        () => undefined,
      );
    };
    hold();
    document.addEventListener('visibilitychange', hold);
    return () => {
      document.removeEventListener('visibilitychange', hold);
      void lock?.release();
    };
  }, []);
}
