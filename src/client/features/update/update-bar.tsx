import { useEffect, useRef, useState } from 'react';
import { Workbox } from 'workbox-window';
import { Button, Row, Strong } from '@/client/ui';
import { useLive } from './use-live';
import { useKeepShop } from './use-keep-shop';

/** The program is laid by for later when the first screen has long been drawn. */
const LATER_MS = 4000;
/** A page may stay open for days. */
const LOOK_EVERY_MS = 3_600_000;

/** A newer program: here and waiting, or taken already in another tab. */
type News = 'ready' | 'taken' | null;

/**
 * Keeps the program in this browser, and says when a newer one is there. It is taken when the owner says so; what was
 * typed and what waits to be sent is kept through it.
 */
export function UpdateBar() {
  const [news, setNews] = useState<News>(null);
  useKeepShop(LATER_MS);
  useLive(LATER_MS);
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
    const start = setTimeout(() => void own.register().catch(() => undefined), LATER_MS);
    const look = setInterval(() => void own.update().catch(() => undefined), LOOK_EVERY_MS);
    return () => {
      clearTimeout(start);
      clearInterval(look);
    };
  }, []);
  const take = (): void => {
    if (news === 'taken') return location.reload();
    workbox.current?.addEventListener('controlling', () => location.reload());
    workbox.current?.messageSkipWaiting();
  };
  if (!news) return null;
  return (
    <Row
      role="region"
      aria-label="A newer Bricolage"
      alignItems="center"
      gap="$s"
      backgroundColor="$actTint"
      borderBottomWidth={1}
      borderColor="$line"
      paddingLeft="$l"
      paddingRight="$s"
      paddingVertical="$xs"
    >
      <Strong role="status" flex={1}>
        {news === 'ready' ? 'A new version is ready' : 'A new version was taken in another tab'}
      </Strong>
      <Button onPress={take}>Take it now</Button>
      <Button look="quiet" onPress={() => setNews(null)}>
        Later
      </Button>
    </Row>
  );
}
