import { useEffect, useState } from 'react';

/** The time, told anew every so many milliseconds: an ISO instant. */
export function useNow(everyMs: number): string {
  const [now, setNow] = useState(() => new Date().toISOString());
  useEffect(() => {
    const timer = setInterval(() => setNow(new Date().toISOString()), everyMs);
    return () => clearInterval(timer);
  }, [everyMs]);
  return now;
}
