import { useEffect, useRef, useState } from 'react';
import { Workbox } from 'workbox-window';
import { Button } from '@/client/ui';
import { Bar } from './bar';
import { UPDATE_BAR_WORDS } from '@/words';

/** A page may stay open for days. */
const LOOK_EVERY_MS = 3_600_000;

/** A newer program: here and waiting, or taken already in another tab. */
type News = 'ready' | 'taken' | null;

/**
 * Keeps the program in this browser, and says when a newer one is there. It is taken when the owner says so; what was
 * typed and what waits to be sent is kept through it.
 */
export function UpdateBar({ laterMs }: { laterMs: number }) {
  const [news, setNews] = useState<News>(null);
  const workbox = useRef<Workbox | null>(null);
  useEffect(() => {
    if (!('serviceWorker' in navigator)) return;
    // The first worker takes the page over by itself, and that is no news.
    const had = navigator.serviceWorker.controller !== null;
    const own = new Workbox('/sw.js');
    workbox.current = own;
    own.addEventListener('waiting', () => setNews('ready'));
    own.addEventListener('controlling', () => {
      if (had) setNews('taken');
    });
    const start = setTimeout(() => void own.register().catch(() => undefined), laterMs);
    const look = setInterval(() => void own.update().catch(() => undefined), LOOK_EVERY_MS);
    return () => {
      clearTimeout(start);
      clearInterval(look);
    };
  }, [laterMs]);
  const take = (): void => {
    if (news === 'taken') return location.reload();
    workbox.current?.addEventListener('controlling', () => location.reload());
    workbox.current?.messageSkipWaiting();
  };
  if (!news) return null;
  return (
    <Bar
      label={UPDATE_BAR_WORDS.aNewerBricolage}
      title={news === 'ready' ? UPDATE_BAR_WORDS.aNewVersionIsReady : UPDATE_BAR_WORDS.aNewVersionWasTakenIn}
    >
      <Button onPress={take}>{UPDATE_BAR_WORDS.takeItNow}</Button>
      <Button look="quiet" onPress={() => setNews(null)}>
        {UPDATE_BAR_WORDS.later}
      </Button>
    </Bar>
  );
}
