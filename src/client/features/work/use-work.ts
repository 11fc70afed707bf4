import { useMemo } from 'react';
import { useDispatch, useSelector } from 'react-redux';
import { makeTimes, useShopPlan, type Times } from '@/client/features/shop-plan';
import {
  makeId,
  taskLaidDown,
  useChange,
  useListTimesQuery,
  useNow,
  useShelf,
  useShelfChange,
  type AppDispatch,
  type RootState,
  timeNow,
} from '@/client/store';
import {
  applyChange,
  nameZone,
  withShelf,
  type Dossier,
  type LogEntry,
  type PieceChange,
  type ShelfItem,
} from '@/core/dossier';
import { dateOf, minuteOf } from '@/core/schedule';
import { planOn } from '@/core/systems';
import {
  airOf,
  learnPace,
  listTaken,
  listTasks,
  logTask,
  readPieceWork,
  splitForWork,
  type Doing,
  type Pace,
  type PieceWork,
  type ShopPlan,
  type Task,
} from '@/core/work';
import { readAirNow, type Air } from '@/core/workshop';
import { PHRASES, USE_WORK_WORDS, nameTask } from '@/words';

export interface WorkView {
  piece: PieceWork;
  plan: ShopPlan | null;
  tins: readonly ShelfItem[];
  /** Readings of the workshop's air. */
  air: readonly Air[];
  times: Times;
  timeZone: string;
  now: string;
  /** The owner's own times, by kind of work. */
  pace: Pace;
  /** Logs a task as done or left out, or otherwise than it was planned; a plan that is left so is planned on from there. */
  log: (task: Task, told: Told) => void;
  /** Logs something that was done besides the plan. */
  logExtra: (entries: readonly LogEntry[]) => void;
  /** Takes a tap back, and gives back to the tins what it took. */
  takeBack: (work: string) => void;
  /** Stores a tap put right; the tin follows what it now took. */
  putRight: (work: string, entries: LogEntry[]) => void;
}

/** What is told of a task that was done: all but what the shop knows by itself. */
export interface Told extends Omit<Doing, 'at' | 'climate' | 'loggedAt' | 'pace'> {
  /** When it was done, where that is not now. ISO instant. */
  at?: string;
  /** Only these parts of its one zone: they become a zone of their own. */
  parts?: readonly string[];
}

const NO_TIMES: never[] = [];

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
  const { data: timed = NO_TIMES } = useListTimesQuery();
  const pace = useMemo(() => learnPace(timed, workshop.setup.pace), [timed, workshop.setup.pace]);
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
  const findTask = (parted: Dossier, { key, op }: Task, zone: string): Task => {
    const tasks = listTasks(parted, tins, airOf({ workshop, now, timeZone }), now);
    const own = tasks.filter(({ zones, op: is }) => is === op && zones.includes(zone));
    return own.find((task) => task.key === key) ?? own[0]!;
  };
  /** Logs a tap; where it leaves the plan, the plan goes on from what is on now. */
  const logAndGoOn = (before: Dossier, entries: LogEntry[], said: string, first: readonly PieceChange[] = []): void => {
    const work = makeId();
    const logged = { type: 'work_logged', work, entries } as const;
    const on = planOn(withShelf(applyChange(before, logged)!, tins), timeNow(), PHRASES);
    const goesOn = on !== null && on.broken.length < on.departures.length;
    const all: PieceChange[] = [
      ...first,
      logged,
      ...(goesOn ? [{ type: 'choice_taken', choice: on.choice } as const] : []),
    ];
    // Said with the first of them: they are one tap.
    all.forEach((own, i) => change(own, i > 0 ? undefined : goesOn ? `${said}. ${USE_WORK_WORDS.plannedOn}` : said));
    drawOff(work, entries);
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
    pace,
    log: (task, { parts, ...told }) => {
      const loggedAt = timeNow();
      const at = told.at ?? loggedAt;
      const air = readAirNow(workshop.air, at);
      const running = started?.task === task.id && told.at === undefined ? { startedAt: started.at } : {};
      const doing = { ...running, ...told, at, loggedAt, pace: pace(task.op).factor, ...(air ? { climate: air } : {}) };
      const [zone] = doing.zones ?? task.openZones;
      const cut = parts && zone ? splitOffParts(dossier, zone, parts) : null;
      const split = cut?.changes ?? [];
      const parted = split.reduce((own, next) => applyChange(own, next)!, dossier);
      // Of a zone that was split the task is another one, with the same key.
      const meant = cut ? findTask(parted, task, cut.id) : task;
      const entries = logTask(meant, cut ? { ...doing, zones: [cut.id] } : doing);
      const said = `${told.skipped ? USE_WORK_WORDS.leftOut : USE_WORK_WORDS.logged}: ${nameTask(task)}`;
      logAndGoOn(parted, entries, said, split);
      if (started?.task === task.id) dispatch(taskLaidDown());
    },
    logExtra: (entries) => logAndGoOn(dossier, [...entries], USE_WORK_WORDS.logged),
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

/** The changes that make some parts of a zone a zone of their own, with its id. */
function splitOffParts(
  dossier: Dossier,
  zone: string,
  parts: readonly string[],
): { id: string; changes: PieceChange[] } {
  const id = makeId();
  const name = USE_WORK_WORDS.someOf(nameZone(dossier, zone), parts.length);
  return { id, changes: splitForWork(dossier, zone, parts, { id, name }, makeId) };
}
