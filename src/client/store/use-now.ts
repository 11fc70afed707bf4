import { timeNow, watchClock } from './clock';
import { useEffect, useState } from 'react';

/** The time, told anew every so many milliseconds: an ISO instant. */
export function useNow(everyMs: number): string {
  const [now, setNow] = useState(() => timeNow());
  useEffect(() => {
    const tell = (): void => setNow(timeNow());
    const timer = setInterval(tell, everyMs);
    const unwatch = watchClock(tell);
    return () => {
      clearInterval(timer);
      unwatch();
    };
  }, [everyMs]);
  return now;
}

const DAY_MS = 86_400_000;

/** The time, told anew once a day: enough to say a day by. */
export const useToday = (): string => useNow(DAY_MS);
