import { useEffect } from 'react';

interface Lock {
  release: () => Promise<void>;
}

/** Keeps the screen awake while hands are wet, where the browser allows it; taken again when the page comes back. */
export function useWakeLock(): void {
  useEffect(() => {
    const { wakeLock } = navigator as Navigator & { wakeLock?: { request: (kind: 'screen') => Promise<Lock> } };
    if (!wakeLock) return;
    let lock: Lock | null = null;
    let left = false;
    const take = (): void => {
      if (document.visibilityState !== 'visible') return;
      wakeLock.request('screen').then(
        (own) => {
          if (left) void own.release();
          else lock = own;
        },
        // A browser may say no, as on low battery: the step is shown all the same.
        () => undefined,
      );
    };
    take();
    document.addEventListener('visibilitychange', take);
    return () => {
      left = true;
      document.removeEventListener('visibilitychange', take);
      void lock?.release();
    };
  }, []);
}
