import { useMemo } from 'react';
import { useDispatch, useSelector } from 'react-redux';
import { makeTimes, useShopPlan, type Times } from '@/client/features/shop-plan';
import {
  makeId,
  taskLaidDown,
  useChange,
  useNow,
  useShelf,
  useShelfChange,
  type AppDispatch,
  type RootState,
  timeNow,
} from '@/client/store';
import type { Dossier, LogEntry, ShelfItem } from '@/core/dossier';
import { dateOf, minuteOf } from '@/core/schedule';
import { listTaken, logTask, readPieceWork, type Doing, type PieceWork, type ShopPlan, type Task } from '@/core/work';
import { readAirNow, type Air } from '@/core/workshop';
import { USE_WORK_WORDS, nameTask } from '@/words';

export interface WorkView {
  piece: PieceWork;
  plan: ShopPlan | null;
  tins: readonly ShelfItem[];
  /** Readings of the workshop's air. */
  air: readonly Air[];
  times: Times;
  timeZone: string;
  now: string;
  /** Logs a task as done or left out. */
  log: (task: Task, doing: Omit<Doing, 'at' | 'climate'>) => void;
  /** Takes a tap back, and gives back to the tins what it took. */
  takeBack: (work: string) => void;
  /** Stores a tap put right; the tin follows what it now took. */
  putRight: (work: string, entries: LogEntry[]) => void;
}

/** The work of one piece, judged here so that a tap shows at once, with its place in the plan of the shop. */
export function useWork(dossier: Dossier): WorkView {
  const { answer, workshop, timeZone } = useShopPlan();
  const tins = useShelf();
  const now = useNow(1000);
  const change = useChange(dossier.piece.id ?? '');
  const changeShelf = useShelfChange();
  const dispatch = useDispatch<AppDispatch>();
  const started = useSelector((state: RootState) => state.bench.started);
  const times = useMemo(() => makeTimes(timeZone), [timeZone]);
  const minute = now.slice(0, 16);
  const piece = useMemo(
    () => readPieceWork(dossier, { workshop, tins, now: new Date(`${minute}:00Z`).toISOString(), timeZone }),
    [dossier, workshop, tins, timeZone, minute],
  );
  /** What a tap took is a fact of each tin, under the tap's name: said again it replaces, taken back it gives back. */
  const drawOff = (work: string, entries: readonly LogEntry[], before: readonly LogEntry[] = []): void => {
    const taken = listTaken(entries);
    const on = dateOf(minuteOf(timeNow()), timeZone);
    for (const tinId of listTaken(before).keys())
      if (!taken.has(tinId)) changeShelf({ type: 'tin_given_back', tinId, work });
    for (const [tinId, ml] of taken) changeShelf({ type: 'tin_drawn', tinId, drawing: { work, ml, on } });
  };
  const entriesOf = (work: string): LogEntry[] => (dossier.log ?? []).filter((entry) => entry.work === work);
  return {
    piece,
    plan: answer?.plan ?? null,
    tins,
    air: workshop.air,
    times,
    timeZone,
    now,
    log: (task, doing) => {
      const at = timeNow();
      const air = readAirNow(workshop.air, at);
      const work = makeId();
      const running = started?.task === task.id ? { startedAt: started.at } : {};
      const entries = logTask(task, { ...running, ...doing, at, ...(air ? { climate: air } : {}) });
      change(
        { type: 'work_logged', work, entries },
        `${doing.skipped ? USE_WORK_WORDS.leftOut : USE_WORK_WORDS.logged}: ${nameTask(task)}`,
      );
      drawOff(work, entries);
      if (started?.task === task.id) dispatch(taskLaidDown());
    },
    takeBack: (work) => {
      change({ type: 'work_withdrawn', work });
      drawOff(work, [], entriesOf(work));
    },
    putRight: (work, entries) => {
      change({ type: 'work_logged', work, entries });
      drawOff(work, entries, entriesOf(work));
    },
  };
}
