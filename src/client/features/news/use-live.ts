import { useEffect } from 'react';
import { useDispatch } from 'react-redux';
import { currentShop, heardOf, OWN_PAGE, type AppDispatch } from '@/client/store';
import type { LiveChange } from '@/contract';
import { openSharedLine, type Heard, type SharedLine } from './shared-line';

/** Several changes in a moment are asked for once. */
const GATHER_MS = 250;

/**
 * Listens for what others change, as long as the page is looked at. A page that is looked at again says where it left off.
 * @param startedAnew told when the server's records are of another time, or too much was missed to be told one by one
 */
export function useLive(laterMs: number, startedAnew: () => void): void {
  const dispatch = useDispatch<AppDispatch>();
  useEffect(() => {
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
    const hear = ({ kind, data }: Heard): void => {
      if (kind === 'reset') {
        gather('all');
        startedAnew();
      }
      if (kind !== 'change') return;
      const change = JSON.parse(data) as LiveChange;
      if (change.by !== OWN_PAGE) gather(change);
    };
    let line: SharedLine | null = null;
    const look = (): void => line?.look(!document.hidden);
    const timer = setTimeout(() => {
      // By then it is known whose shop this is, also on a first visit.
      line = openSharedLine(currentShop() ?? '', hear, () => gather('all'));
      look();
      document.addEventListener('visibilitychange', look);
    }, laterMs);
    return () => {
      clearTimeout(timer);
      if (gathering) clearTimeout(gathering);
      document.removeEventListener('visibilitychange', look);
      line?.close();
    };
  }, [dispatch, laterMs, startedAnew]);
}
