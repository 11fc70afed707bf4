import { LEAST_CONFIDENCE, toAstmClass, toIsoClass, type AstmB, type Severity } from '../scales';

/** What the correction starts from: a reading of a photograph as `reportLattice` gives it. */
interface Read {
  cells: readonly (readonly number[])[];
  confidence: number;
  /** The picture has no fault. */
  usable: boolean;
}

/** Squares the owner looked at, by their place row after row, with the share that is bare as they saw it, 0–1. */
export type Confirmed = ReadonlyMap<number, number>;

export interface CorrectedLattice {
  cells: number[][];
  removedPct: number;
  isoClass: Severity;
  astm: AstmB;
  /** 1 once every square was looked at; before that, the picture's own: a few squares put right do not make it better. */
  confidence: number;
  /** May it be logged? Faults of the picture stay until every square was confirmed. */
  usable: boolean;
  /** Squares still to be looked at before the eye stands for the picture. */
  unconfirmed: number;
}

/** A lattice read from a photograph, with what the owner's eye put right in it. */
export function correctLattice({ cells, confidence, usable }: Read, confirmed: Confirmed): CorrectedLattice {
  const corrected = cells.map((row, r) => row.map((share, c) => confirmed.get(r * row.length + c) ?? share));
  const all = corrected.flat();
  const removedPct = Math.round((1000 * all.reduce((sum, share) => sum + share, 0)) / Math.max(1, all.length)) / 10;
  const unconfirmed = all.filter((_, at) => !confirmed.has(at)).length;
  const byEye = all.length > 0 && unconfirmed === 0;
  const sure = byEye ? 1 : confidence;
  return {
    cells: corrected,
    removedPct,
    isoClass: toIsoClass(removedPct),
    astm: toAstmClass(removedPct),
    confidence: sure,
    usable: (byEye || usable) && sure >= LEAST_CONFIDENCE,
    unconfirmed,
  };
}

/** The squares with one turned over: what was mostly bare is coated, and the other way about. */
export const turnSquare = (confirmed: Confirmed, cells: Read['cells'], at: number): Map<number, number> =>
  new Map(confirmed).set(at, (confirmed.get(at) ?? cells.flat()[at]!) >= 0.5 ? 0 : 1);

/** The squares with a whole row confirmed as it is seen now. */
export function confirmRow(confirmed: Confirmed, cells: Read['cells'], row: number): Map<number, number> {
  const next = new Map(confirmed);
  const own = cells[row] ?? [];
  own.forEach((share, c) => {
    const at = row * own.length + c;
    if (!next.has(at)) next.set(at, share);
  });
  return next;
}

/** Has every square of a row been looked at? */
export const isRowConfirmed = (confirmed: Confirmed, cells: Read['cells'], row: number): boolean =>
  (cells[row] ?? []).every((_, c) => confirmed.has(row * cells[row]!.length + c));
