import { useMemo, useState } from 'react';
import { useSelector } from 'react-redux';
import { isSeen, type RootState } from '@/client/store';
import { withLevel, withShelf, type Zone } from '@/core/dossier';
import { assessZone } from '@/core/survey';
import {
  findWait,
  judgeStep,
  listCautions,
  listUndone,
  logTask,
  measurePour,
  type Caution,
  type StepAct,
  type Task,
} from '@/core/work';
import { auditAhead, type Finding } from '@/core/trouble';
import { readAirNow } from '@/core/workshop';
import type { WorkView } from './use-work';

export interface Step {
  task: Task;
  /** Those still to do; all of its zones where it is over. */
  zones: Zone[];
  cautions: Caution[];
  /** A caution that stops the step until it was seen. */
  unseen: Caution | undefined;
  /** What would be found against it if it were done now. */
  against: Finding[];
  wait: ReturnType<typeof findWait>;
  waiting: boolean;
  undone: Task[];
  pour: number | null;
  /** Tins that would do, and the one it is taken from. */
  tins: WorkView['tins'];
  tin: WorkView['tins'][number] | undefined;
  pickTin: (id: string) => void;
  /** When its clock was started, if it runs. */
  running: string | null;
  held: boolean;
  act: StepAct | null;
}

/** Everything a step hangs on: its zones, tins, cautions and waits, and what its button means now. */
export function useStep({ piece, now, tins: shelf, air }: WorkView, task: Task): Step {
  const bench = useSelector((state: RootState) => state.bench);
  const [picked, pickTin] = useState<string | undefined>();
  const { dossier } = piece;
  const tins = useMemo(
    () =>
      shelf
        .filter((tin) => tin.class === task.class)
        .map(withLevel)
        .filter(({ volume_ml }) => volume_ml !== 0),
    [shelf, task.class],
  );
  // The shelf may come in after the step is shown.
  const tinId = picked ?? tins.find(({ id }) => id === task.product)?.id ?? tins[0]?.id;
  const zones = useMemo(
    () =>
      (dossier.zones ?? []).filter(
        ({ id }) => task.openZones.includes(id) || (task.openZones.length === 0 && task.zones.includes(id)),
      ),
    [dossier, task],
  );
  const cautions = useMemo(() => {
    const hazards = zones.flatMap((zone) => assessZone(dossier, zone).hazards);
    const { application } = dossier.goal ?? {};
    return listCautions(task, {
      ...(application ? { application } : {}),
      oldCoat: hazards.some(({ lead }) => lead),
      hazards: hazards.map(({ code }) => code),
    });
  }, [task, zones, dossier]);
  const wait = findWait(task, piece.tasks, now);
  const unseen = cautions.find(({ code, holds }) => holds && !isSeen(bench, code, now));
  const held = piece.held.has(task.id);
  const waiting = wait !== null && wait.readyAt > now;
  const tin = tins.find(({ id }) => id === tinId);
  const minute = now.slice(0, 16);
  const against = useMemo(() => {
    if (task.state !== 'open') return [];
    const at = new Date(`${minute}:00Z`).toISOString();
    const climate = readAirNow(air, at);
    const entries = logTask(task, { at, ...(climate ? { climate } : {}), ...(tin ? { tin } : {}) });
    return auditAhead(withShelf(dossier, shelf), entries, { air, waiting });
  }, [task, minute, air, tin, dossier, shelf, waiting]);
  return {
    task,
    zones,
    cautions,
    unseen,
    wait,
    waiting,
    against,
    undone: listUndone(task, piece.tasks),
    pour: measurePour(task),
    tins,
    tin,
    pickTin,
    running: bench.started?.task === task.id ? bench.started.at : null,
    held,
    act: judgeStep(task, piece.tasks, { held, unseen: unseen !== undefined, against: against.length > 0, now }),
  };
}
