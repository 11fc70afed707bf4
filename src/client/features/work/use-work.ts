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
} from '@/client/store';
import type { Dossier, LogEntry, ShelfItem } from '@/core/dossier';
import { dateOf, minuteOf } from '@/core/schedule';
import {
  listTaken,
  logTask,
  readPieceWork,
  takeFromTin,
  type Doing,
  type PieceWork,
  type ShopPlan,
  type Task,
} from '@/core/work';
import { readAirNow } from '@/core/workshop';

export interface WorkView {
  piece: PieceWork;
  plan: ShopPlan | null;
  tins: readonly ShelfItem[];
  times: Times;
  timeZone: string;
  now: string;
  /** Logs a task as done or left out; gives the name of the tap, for taking it back. */
  log: (task: Task, doing: Omit<Doing, 'at' | 'climate'>) => string;
  /** Takes a tap back, and the paint into its tin. */
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
  const moveTins = (taken: ReadonlyMap<string, number>, sign: 1 | -1, at: string): void => {
    for (const [id, ml] of taken) {
      const tin = tins.find((own) => own.id === id);
      if (tin?.volume_ml !== undefined)
        changeShelf({ type: 'tin_set', tin: takeFromTin(tin, sign * ml, dateOf(minuteOf(at), timeZone)) });
    }
  };
  const entriesOf = (work: string): LogEntry[] => (dossier.log ?? []).filter((entry) => entry.work === work);
  return {
    piece,
    plan: answer?.plan ?? null,
    tins,
    times,
    timeZone,
    now,
    log: (task, doing) => {
      const at = new Date().toISOString();
      const air = readAirNow(workshop.air, at);
      const work = makeId();
      const running = started?.task === task.id ? { startedAt: started.at } : {};
      const entries = logTask(task, { ...running, ...doing, at, ...(air ? { climate: air } : {}) });
      change({ type: 'work_logged', work, entries });
      moveTins(listTaken(entries), 1, at);
      if (started?.task === task.id) dispatch(taskLaidDown());
      return work;
    },
    takeBack: (work) => {
      moveTins(listTaken(entriesOf(work)), -1, new Date().toISOString());
      change({ type: 'work_withdrawn', work });
    },
    putRight: (work, entries) => {
      const difference = listTaken(entries);
      for (const [tin, ml] of listTaken(entriesOf(work))) difference.set(tin, (difference.get(tin) ?? 0) - ml);
      moveTins(difference, 1, new Date().toISOString());
      change({ type: 'work_logged', work, entries });
    },
  };
}
