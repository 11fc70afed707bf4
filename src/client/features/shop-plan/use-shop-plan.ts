import { useMemo } from 'react';
import { useSelector } from 'react-redux';
import { usePlanner, type ShopAnswer, type ShopQuestion } from '@/client/features/planner';
import {
  useGetOrderQuery,
  useInWork,
  useListTimesQuery,
  useNow,
  useShelf,
  useWorkshop,
  zoneOfShop,
  type RootState,
} from '@/client/store';
import type { Dossier, LogEntry } from '@/core/dossier';
import type { Workshop } from '@/core/workshop';

/** A plan is made anew this often, for the day goes on. */
const PLAN_EVERY_MS = 5 * 60_000;

export interface ShopView {
  question: ShopQuestion | null;
  answer: ShopAnswer | null;
  /** It is the answer to things as they now are. */
  fresh: boolean;
  /** None is to be had: the planner broke at it twice. */
  broken: boolean;
  /** Those in work. */
  pieces: Dossier[] | undefined;
  /** All the shop has. */
  total: number;
  workshop: Workshop;
  timeZone: string;
  loading: boolean;
  failed: boolean;
  retry: () => void;
}

/** What the plan of the whole shop hangs on, and whether it is at hand. */
export function useShopQuestion(): Omit<ShopView, 'answer' | 'fresh' | 'broken'> {
  const { pieces, total, loading, failed, retry } = useInWork();
  const { data: timed, isLoading: timing } = useListTimesQuery();
  const { data: order, isLoading: ordering } = useGetOrderQuery(undefined, { pollingInterval: PLAN_EVERY_MS });
  const { workshop, loading: opening } = useWorkshop();
  const tins = useShelf();
  const tick = useNow(PLAN_EVERY_MS);
  const { freeUntil, saidAt } = useSelector((state: RootState) => state.bench);
  const timeZone = zoneOfShop(workshop);
  const question = useMemo((): ShopQuestion | null => {
    if (!pieces || opening || timing || ordering) return null;
    // Time goes on between the ticks: what was just done or said is never in the future.
    const events = [saidAt, workshop.air.at(-1)?.at, ...pieces.flatMap(({ log = [] }) => log.map(({ at }) => at))];
    const clock = Math.max(Date.parse(tick), ...events.flatMap((at) => (at ? [Date.parse(at)] : [])));
    const left = freeUntil ? Math.floor((Date.parse(freeUntil) - clock) / 60_000) : 0;
    return {
      dossiers: pieces.map(withoutPictures),
      paced: withOwn(timed ?? [], pieces),
      tins: [...tins],
      workshop,
      now: new Date(clock).toISOString(),
      timeZone,
      freeFor: Math.max(0, left),
      order: order ?? null,
    };
  }, [pieces, timed, order, opening, timing, ordering, tins, workshop, timeZone, freeUntil, saidAt, tick]);
  return { question, pieces, total, workshop, timeZone, loading, failed, retry };
}

/** The plan of the whole shop, made anew when anything it hangs on changes. */
export function useShopPlan(): ShopView {
  const view = useShopQuestion();
  const { question } = view;
  const request = useMemo(() => (question ? { kind: 'shop' as const, ...question } : null), [question]);
  const { answer, fresh, failed: broken } = usePlanner(request);
  return { ...view, answer, fresh, broken };
}

/** The times the server knows, with those of the pieces at hand in the place of their own. */
function withOwn(timed: readonly { log: LogEntry[] }[], pieces: readonly Dossier[]): { log: LogEntry[] }[] {
  const own = new Set(pieces.flatMap(({ log = [] }) => log.map(({ id }) => id)));
  const others = timed.filter(({ log }) => !log.some(({ id }) => id !== undefined && own.has(id)));
  return [...others, ...pieces.flatMap(({ log }) => (log && log.length > 0 ? [{ log }] : []))];
}

/** What no plan hangs on is not sent to the planner. */
function withoutPictures({ photos: _photos, ...dossier }: Dossier): Dossier {
  return dossier;
}
