import { useMemo } from 'react';
import { usePlanner } from '@/client/features/planner';
import { makeTimes, sayDate, useShopQuestion } from '@/client/features/shop-plan';
import { timeNow } from '@/client/store';
import type { Dossier } from '@/core/dossier';
import { dateOf, minuteOf } from '@/core/schedule';
import type { CoatingSystem } from '@/core/systems';
import { judgeDue } from './words';

/** When a piece could be collected with a system. */
export interface SystemDate {
  /** The day; null while something would hold it back. */
  ready: string | null;
  /** Beside the day it is wanted by. */
  due?: { late: boolean; words: string };
}

/** The day of each system by the owner's hours, with all that is in work beside it; null while it is worked out. */
export function useDates(dossier: Dossier, systems: readonly CoatingSystem[]): (SystemDate | null)[] {
  const { question, timeZone } = useShopQuestion();
  const request = useMemo(
    () => (question ? { kind: 'dates' as const, dossier, systems: [...systems], ...question } : null),
    [question, dossier, systems],
  );
  const { answer, fresh } = usePlanner(request);
  const { due } = dossier.goal ?? {};
  const times = useMemo(() => makeTimes(timeZone), [timeZone]);
  return systems.map((_, i): SystemDate | null => {
    const at = fresh ? answer?.[i] : undefined;
    if (at === undefined) return null;
    if (at === null) return { ready: null };
    const day = dateOf(minuteOf(at), timeZone);
    return { ready: times.day(at), ...(due ? { due: judgeDue(due, day, (date) => sayDate(date, timeNow())) } : {}) };
  });
}
