import type { Dossier } from '../dossier';
import { HANDOVER_FACTS, TIPS_FROM_MM, type HandoverCheck, type HandoverWhere } from '../knowledge';
import { listHazards } from '../survey';
import { KIND_TEMPLATES, countsOf } from '../templates';
import { comesOff } from '../work';

export interface ReadyItem extends HandoverCheck {
  /** When it was seen to; none while it is open. */
  doneAt: string | null;
  /** How many parts are off still; it cannot be done before they are back. */
  off: number;
}

/** What is seen to before this piece leaves. */
export function listReady(dossier: Dossier): ReadyItem[] {
  const loose = new Set((dossier.zones ?? []).filter(comesOff).map(({ id }) => id));
  // What was never touched is not in the record: it is on.
  const off = (dossier.parts ?? []).filter(({ zone, state }) => state !== 'on' && loose.has(zone)).length;
  return HANDOVER_FACTS.filter(({ where }) => APPLIES[where](dossier)).map((check) => {
    const held = check.where === 'comes_apart' ? off : 0;
    return { ...check, off: held, doneAt: held > 0 ? null : (dossier.handover?.ready?.[check.code] ?? null) };
  });
}

const isOnFeet = ({ piece }: Dossier): boolean => !KIND_TEMPLATES[piece.kind].footless;
const heightOf = ({ piece }: Dossier): number => piece.size_mm?.height ?? KIND_TEMPLATES[piece.kind].size.height;
const has = ({ zones = [] }: Dossier, role: string): boolean => zones.some((zone) => zone.role === role);
const isSaid = (dossier: Dossier, is: (hazard: ReturnType<typeof listHazards>[number]) => boolean): boolean =>
  (dossier.zones ?? []).some((zone) => listHazards(dossier, zone).some(is));

const APPLIES: Record<HandoverWhere, (dossier: Dossier) => boolean> = {
  always: () => true,
  comes_apart: ({ zones = [] }) => zones.some(comesOff),
  doors: (dossier) => has(dossier, 'door'),
  drawers: (dossier) => has(dossier, 'drawer_front') || has(dossier, 'drawer_side'),
  storage_tall: (dossier) => {
    const { kind, size_mm, counts } = dossier.piece;
    const holdsThings = ['drawers', 'doors', 'shelves'].some(
      (what) => (countsOf(kind, size_mm, counts)[what as 'drawers'] ?? 0) > 0,
    );
    return holdsThings && !KIND_TEMPLATES[kind].steady && isOnFeet(dossier) && heightOf(dossier) >= TIPS_FROM_MM;
  },
  on_feet: isOnFeet,
  food: (dossier) => isSaid(dossier, ({ code }) => code === 'food'),
  child: (dossier) => isSaid(dossier, ({ code }) => code === 'nursery'),
  lead: (dossier) => isSaid(dossier, ({ lead }) => lead === true),
};
