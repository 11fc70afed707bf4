import { useEffect } from 'react';
import { useDispatch } from 'react-redux';
import { heardOf, OWN_PAGE, type AppDispatch } from '@/client/store';
import type { LiveChange } from '@/contract';

/** Several changes in a moment are asked for once. */
const GATHER_MS = 250;

/**
 * Listens for what others change, as long as the page is looked at: a browser keeps few lines open to one server. A page
 * that is looked at again says where it left off.
 */
export function useLive(laterMs: number): void {
  const dispatch = useDispatch<AppDispatch>();
  useEffect(() => {
    let line: EventSource | null = null;
    let last = '';
    let heard: LiveChange[] | 'all' = [];
    let gathering: ReturnType<typeof setTimeout> | null = null;
    const gather = (change: LiveChange | 'all'): void => {
      heard = change === 'all' || heard === 'all' ? 'all' : [...heard, change];
      gathering ??= setTimeout(() => {
        gathering = null;
        const told = heard;
        heard = [];
        void dispatch(heardOf(told));
      }, GATHER_MS);
    };
    const open = (): void => {
      if (line || document.hidden) return;
      line = new EventSource(`/api/events${last === '' ? '' : `?after=${last}`}`);
      line.addEventListener('here', ({ lastEventId }) => {
        if (last === '') last = lastEventId;
      });
      line.addEventListener('change', ({ data, lastEventId }: MessageEvent<string>) => {
        last = lastEventId;
        const change = JSON.parse(data) as LiveChange;
        if (change.by !== OWN_PAGE) gather(change);
      });
      line.addEventListener('reset', () => gather('all'));
    };
    const close = (): void => {
      line?.close();
      line = null;
    };
    const look = (): void => (document.hidden ? close() : open());
    const timer = setTimeout(() => {
      open();
      document.addEventListener('visibilitychange', look);
    }, laterMs);
    return () => {
      clearTimeout(timer);
      if (gathering) clearTimeout(gathering);
      document.removeEventListener('visibilitychange', look);
      close();
    };
  }, [dispatch, laterMs]);
}
