import { isOfNow, recoveryOf, wishOf, type Dossier, type Zone } from '../dossier';
import type { PrimerTint } from '../film';
import { buildWorkSection, type CoatState, type Section, type WorkCoat } from '../piece';
import { computeBelief } from '../survey';
import { stateAt } from './clocks';
import { isFilm, listFilmTimes } from './film-times';
import type { Task } from './tasks';

const LAYERS: Partial<Record<Task['op'], WorkCoat['layer']>> = { prime: 'primer', paint: 'paint', topcoat: 'clear' };

/** The section of a zone as the log fills it: coats on it wet, dry or cured, the ones to come as ghosts. `now`: ISO instant. */
export function drawWork(dossier: Dossier, zone: Zone, tasks: readonly Task[], now: string): Section {
  const coats = tasks.flatMap((task): WorkCoat[] => {
    const layer = LAYERS[task.op];
    if (!layer || !task.zones.includes(zone.id) || !isFilm(task.class) || task.state === 'skipped') return [];
    const at = task.openZones.includes(zone.id) ? undefined : task.doneAt;
    const state = at === undefined ? 'planned' : judgeState(task.class, (Date.parse(now) - Date.parse(at)) / 3_600_000);
    return [
      {
        layer,
        code: task.class,
        ...(task.tint ? { tint: task.tint as PrimerTint } : {}),
        note: { code: 'as_it_is' },
        state,
      },
    ];
  });
  const prep = dossier.chosen?.zones.find(({ id }) => id === zone.id)?.treatment.prep ?? 'none';
  return buildWorkSection(
    computeBelief(dossier, zone),
    prep,
    coats,
    wishOf(dossier, zone).colour,
    listUnder(dossier, zone.id),
  );
}

/** Coats of before that are gone over, where the work took up again on top of what failed. */
function listUnder(dossier: Dossier, zoneId: string): WorkCoat[] {
  if (recoveryOf(dossier, zoneId)?.over === undefined) return [];
  return (dossier.log ?? []).flatMap((entry): WorkCoat[] => {
    const layer = LAYERS[entry.op];
    if (entry.zone !== zoneId || entry.skipped || isOfNow(dossier, entry) || !layer || !isFilm(entry.class)) return [];
    const coat: WorkCoat = { layer, code: entry.class, note: { code: 'of_before' }, state: 'cured' };
    return Array.from({ length: Math.max(1, Math.round(entry.coats ?? 1)) }, () => coat);
  });
}

function judgeState(code: Parameters<typeof listFilmTimes>[0], hours: number): CoatState {
  const state = stateAt(hours, listFilmTimes(code));
  return state === 'cured' ? 'cured' : state === 'wet' ? 'wet' : 'dry';
}
