import { useMemo } from 'react';
import { useSelector } from 'react-redux';
import { usePlanner, type ShopAnswer, type ShopQuestion } from '@/client/features/planner';
import { useNow, usePieces, useShelf, useWorkshop, zoneOfShop, type RootState } from '@/client/store';
import type { Dossier } from '@/core/dossier';
import type { Workshop } from '@/core/workshop';
import { isInWork } from '@/core/work';

/** A plan is made anew this often, for the day goes on. */
const PLAN_EVERY_MS = 5 * 60_000;

export interface ShopView {
  question: ShopQuestion | null;
  answer: ShopAnswer | null;
  /** It is the answer to things as they now are. */
  fresh: boolean;
  pieces: Dossier[] | undefined;
  workshop: Workshop;
  timeZone: string;
  loading: boolean;
  failed: boolean;
  retry: () => void;
}

/** The plan of the whole shop, made anew when anything it hangs on changes. */
export function useShopPlan(): ShopView {
  const { pieces, loading, failed, retry } = usePieces();
  const { workshop, loading: opening } = useWorkshop();
  const tins = useShelf();
  const tick = useNow(PLAN_EVERY_MS);
  const { freeUntil, saidAt } = useSelector((state: RootState) => state.bench);
  const timeZone = zoneOfShop(workshop);
  const question = useMemo((): ShopQuestion | null => {
    if (!pieces || opening) return null;
    // Time goes on between the ticks: what was just done or said is never in the future.
    const events = [saidAt, workshop.air.at(-1)?.at, ...pieces.flatMap(({ log = [] }) => log.map(({ at }) => at))];
    const clock = Math.max(Date.parse(tick), ...events.flatMap((at) => (at ? [Date.parse(at)] : [])));
    const left = freeUntil ? Math.floor((Date.parse(freeUntil) - clock) / 60_000) : 0;
    return {
      dossiers: pieces.filter(isInWork).map(withoutPictures),
      paced: pieces.flatMap(({ log }) => (log && log.length > 0 ? [{ log }] : [])),
      tins: [...tins],
      workshop,
      now: new Date(clock).toISOString(),
      timeZone,
      freeFor: Math.max(0, left),
    };
  }, [pieces, opening, tins, workshop, timeZone, freeUntil, saidAt, tick]);
  const request = useMemo(() => (question ? { kind: 'shop' as const, ...question } : null), [question]);
  const { answer, fresh } = usePlanner(request);
  return { question, answer, fresh, pieces, workshop, timeZone, loading, failed, retry };
}

/** What no plan hangs on is not sent to the planner. */
function withoutPictures({ photos: _photos, ...dossier }: Dossier): Dossier {
  return dossier;
}
