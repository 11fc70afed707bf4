import type { PaintCode, PrepCode, PrimerCode, Renewal, TopcoatCode } from '../knowledge';
import type { PrimerTint } from '../film';

export interface PrimerCoats {
  code: PrimerCode;
  coats: number;
}

/** What has been put on a zone, from the dulled ground up. */
export interface CoatStack {
  prep: PrepCode;
  primers: readonly PrimerCoats[];
  tint: PrimerTint | null;
  paint: PaintCode | null;
  paintCoats: number;
  /** What the paint dries to, and what is set apart on it. */
  colour: string | null;
  secondColour: string | null;
  topcoat: TopcoatCode;
  topcoats: number;
  /** The old clear coat was kept: waxed over, or melted into itself. */
  renewed: Renewal | null;
}

/** Where a zone stands while a system is being built up on it: the stack so far, and what later layers depend on. */
export interface SurfaceState extends CoatStack {
  /** Silicone polish was met and washed: it still wants a barrier coat. */
  siliconeWashed: boolean;
  grainFilled: boolean;
  /** What knots and single stains were sealed with. */
  spotSeal: PrimerCode | null;
  /** The face was taken off: the raw board is what is painted. */
  bared: boolean;
  /** What is still to be repaired after the levelling (`RepairPlan.later`). */
  laterRepairs: string;
}

export const UNTOUCHED: SurfaceState = {
  prep: 'none',
  primers: [],
  tint: null,
  paint: null,
  paintCoats: 0,
  colour: null,
  secondColour: null,
  topcoat: 'none',
  topcoats: 0,
  renewed: null,
  siliconeWashed: false,
  grainFilled: false,
  spotSeal: null,
  bared: false,
  laterRepairs: '',
};

/** States that are the same for everything that may still come have the same key. */
export const keyOf = (state: SurfaceState): string =>
  [
    state.prep,
    state.siliconeWashed,
    state.grainFilled,
    state.spotSeal,
    state.bared,
    state.laterRepairs,
    describePrimers(state.primers),
    state.paint,
    state.paintCoats,
    state.topcoat,
    state.topcoats,
    state.renewed,
  ].join();

export const describePrimers = (primers: readonly PrimerCoats[]): string =>
  primers.map(({ code, coats }) => `${code}×${coats}`).join('+') || 'none';
