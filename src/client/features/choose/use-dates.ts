import { useMemo } from 'react';
import { usePlanner } from '@/client/features/planner';
import { makeTimes, sayDate, useShopQuestion } from '@/client/features/shop-plan';
import { timeNow } from '@/client/store';
import { LABEL_CLIMATE, type Climate } from '@/core/climate';
import type { Dossier } from '@/core/dossier';
import { dateOf, minuteOf } from '@/core/schedule';
import type { CoatingSystem } from '@/core/systems';
import { airOf } from '@/core/work';
import { sayDue } from './words';

/** When a piece could be collected with a system. */
export interface SystemDate {
  /** The day; null while something would hold it back. */
  ready: string | null;
  /** The day with every hour free. */
  soonest: string | null;
  /** Beside the day it is wanted by. */
  due?: { late: boolean; words: string };
}

/**
 * The day of each system by the owner's hours, with all that is in work beside it, null while it is worked out; and the air
 * it is reckoned in.
 */
export function useDates(
  dossier: Dossier,
  systems: readonly CoatingSystem[],
): { dates: (SystemDate | null)[]; climate: Climate } {
  const { question, timeZone } = useShopQuestion();
  const request = useMemo(
    () => (question ? { kind: 'dates' as const, dossier, systems: [...systems], ...question } : null),
    [question, dossier, systems],
  );
  const { answer, fresh } = usePlanner(request);
  const { due } = dossier.goal ?? {};
  const times = useMemo(() => makeTimes(timeZone), [timeZone]);
  const air = question ? airOf(question) : LABEL_CLIMATE;
  const { temperature_c, humidity_pct } = air;
  const climate = useMemo(() => ({ temperature_c, humidity_pct }), [temperature_c, humidity_pct]);
  const dates = systems.map((_, i): SystemDate | null => {
    const dates = fresh ? answer?.[i] : undefined;
    if (dates === undefined) return null;
    const { readyAt, late, soonestAt } = dates;
    const soonest = soonestAt === null ? null : times.day(soonestAt);
    if (readyAt === null) return { ready: null, soonest };
    const day = dateOf(minuteOf(readyAt), timeZone);
    const judged = due ? { due: { late, words: sayDue(late, due, day, (date) => sayDate(date, timeNow())) } } : {};
    return { ready: times.day(readyAt), soonest, ...judged };
  });
  return { dates, climate };
}
