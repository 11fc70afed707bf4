import type { Climate } from '../climate';
import { clampToNow, nameZone, type Dossier, type ShelfItem } from '../dossier';
import { CLEAR_FACTS, isCoat, labelProduct, type ClearCode, type ProductClass } from '../knowledge';
import { isFilm, listFilmTimes, type FilmTimes } from './film-times';
import { listNames } from './where';

export type DryState = 'wet' | 'touch_dry' | 'recoatable' | 'handleable' | 'cured';

/** The clock of the last coat on some zones of a piece. All instants ISO. */
export interface Clock {
  piece: string;
  zones: string[];
  /** "Top, sides" and what is on them. */
  where: string;
  what: string;
  class: string;
  at: string;
  touchAt: string;
  recoatAt: string;
  /** Recoat soon: from then until then, or else only from `recoatAt`. */
  quick?: { fromAt: string; untilAt: string };
  /** Until when what has not soaked in is wiped off; none of a film. */
  wipeOffBy?: string;
  handleAt: string;
  curedAt: string;
  state: DryState;
  times: FilmTimes;
}

const HOUR_MS = 3_600_000;

/**
 * The clocks of a piece: for each group of zones coated together last, when it may be touched, recoated, refitted and
 * used normally. A coat logged on a zone takes the place of the one before. `now`: ISO instant.
 */
export function listClocks(dossier: Dossier, tins: readonly ShelfItem[], climate: Climate, now: string): Clock[] {
  const last = new Map<string, NonNullable<Dossier['log']>[number]>();
  // A coat logged under a moment still to come is taken to have gone on just now: no clock starts in the future.
  for (const entry of clampToNow(dossier.log ?? [], now)) {
    if (entry.at === undefined || entry.skipped) continue;
    if (entry.op === 'strip') last.delete(entry.zone);
    if (!isCoat(entry.op) || !isFilm(entry.class)) continue;
    const before = last.get(entry.zone);
    if (!before || Date.parse(entry.at) >= Date.parse(before.at!)) last.set(entry.zone, entry);
  }
  const groups = new Map<string, string[]>();
  for (const [zone, { at, class: code, product, op }] of last) {
    const key = JSON.stringify([at, code, product, op]);
    groups.set(key, [...(groups.get(key) ?? []), zone]);
  }
  return [...groups].map(([, zones]) => {
    const entry = last.get(zones[0]!)!;
    const code = entry.class as ProductClass;
    const air =
      entry.temperature_c !== undefined && entry.humidity_pct !== undefined
        ? { temperature_c: entry.temperature_c, humidity_pct: entry.humidity_pct }
        : climate;
    const times = listFilmTimes(
      code as Parameters<typeof listFilmTimes>[0],
      tins.find(({ id }) => id === entry.product),
      slower(air, climate),
    );
    const { wipeOffMin } = CLEAR_FACTS[code as ClearCode] ?? {};
    const start = Date.parse(entry.at!);
    const after = (hours: number): string => new Date(start + hours * HOUR_MS).toISOString();
    return {
      piece: dossier.piece.id ?? '',
      zones,
      where: listNames(zones.map((id) => nameZone(dossier, id))),
      what: labelProduct(code),
      class: code,
      at: entry.at!,
      touchAt: after(times.touchH),
      recoatAt: after(times.recoatH),
      ...(times.quick ? { quick: { fromAt: after(times.quick.fromH), untilAt: after(times.quick.untilH) } } : {}),
      ...(wipeOffMin === undefined ? {} : { wipeOffBy: after(wipeOffMin / 60) }),
      handleAt: after(times.handleH),
      curedAt: after(times.cureH),
      state: stateAt((Date.parse(now) - start) / HOUR_MS, times),
      times,
    };
  });
}

/** Of the air it was put on in and the air it stands in, the one that dries slower. */
function slower(a: Climate, b: Climate): Climate {
  const slow = (air: Climate): number => listFilmTimes('wb_alkyd_enamel', undefined, air).factor;
  return slow(b) > slow(a) ? b : a;
}

/** How far a coat has come after so many hours. */
export function stateAt(hours: number, times: FilmTimes): DryState {
  if (hours >= times.cureH) return 'cured';
  if (hours >= times.handleH) return 'handleable';
  if (hours >= times.recoatH) return 'recoatable';
  return hours >= times.touchH ? 'touch_dry' : 'wet';
}
