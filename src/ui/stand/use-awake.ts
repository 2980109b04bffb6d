'use client';

import { useEffect } from 'react';

/** Keeps the screen on while this is shown, where the browser allows it: over plain http it does not,
 * and the device's own setting holds. */
export function useAwake(): void {
  useEffect(() => {
    let lock: WakeLockSentinel | null = null;
    let gone = false;
    async function ask() {
      if (document.visibilityState !== 'visible' || !('wakeLock' in navigator)) return;
      const got = await navigator.wakeLock.request('screen').catch(() => null);
      if (gone) void got?.release();
      else lock = got;
    }
    void ask();
    // A screen that was left loses the lock.
    document.addEventListener('visibilitychange', ask);
    return () => {
      gone = true;
      document.removeEventListener('visibilitychange', ask);
      void lock?.release();
    };
  }, []);
}
