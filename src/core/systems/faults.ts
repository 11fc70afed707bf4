import { DEFECT_FACTS, detailOf, FAULT_ANSWERS, type DefectCode, type Extent } from '../knowledge';
import type { Defect } from '../dossier';

/** A fault of a zone: all defects of a kind that got the same answer, together. */
export interface Fault {
  code: DefectCode;
  extent: Extent;
  detail: string | undefined;
  spots: number;
  /** Face that is affected, m². */
  area: number;
}

/** Spots that an extent stands for where none were counted, and the share of the face (estimates). */
const SPOTS: Record<Extent, number> = { spot: 1, area: 4, all: 10 };
const FACE: Record<Extent, number> = { spot: 0, area: 0.3, all: 1 };
/** What a spot takes of the face, m². */
const SPOT_AREA = 0.01;
const ORDER: readonly Extent[] = ['spot', 'area', 'all'];

/** The faults of a zone; several defects of one kind and answer are one. */
export function listFaults(defects: readonly Defect[], areaM2: number): Fault[] {
  const faults = new Map<string, Fault>();
  for (const { code, extent = 'area', count = 1, detail: said } of defects) {
    const detail = detailOf({ code, detail: said });
    const key = `${code}/${detail ?? ''}`;
    const known = faults.get(key);
    const spots = (known?.spots ?? 0) + Math.max(count, SPOTS[extent]);
    const widest = known && ORDER.indexOf(known.extent) > ORDER.indexOf(extent) ? known.extent : extent;
    const area = Math.min(areaM2, Math.max(FACE[widest] * areaM2, SPOT_AREA * spots));
    faults.set(key, { code, detail, spots, extent: widest, area });
  }
  return [...faults.values()];
}

/** Single places that something comes through, where the survey's own chance of bleeding does not count them already. */
export function readStains(defects: readonly Defect[]): { p: number; spots: number } {
  const faults = listFaults(defects, 1).filter(({ code }) => FAULT_ANSWERS[code].stains !== undefined);
  const held = faults
    .filter(({ code }) => DEFECT_FACTS[code].says?.present?.bleed === undefined)
    .reduce((product, { code }) => product * (1 - FAULT_ANSWERS[code].stains!), 1);
  return { p: 1 - held, spots: faults.reduce((sum, { spots }) => sum + spots, 0) };
}
