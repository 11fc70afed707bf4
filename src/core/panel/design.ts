import type { Panel, Strip, Treatment } from '../dossier';
import type { PrepCode, PrimerCode, TestKind } from '../knowledge';
import { makeRandom } from '../shared';

/** What a panel is to find out, and where. */
export interface PanelWish {
  id: string;
  zone: string;
  treatments: readonly Treatment[];
  /** The same paint with no primer or no sanding; left out when a panel has one among its treatments. */
  control: Treatment | null;
  /** How often each treatment is painted, 1–4. */
  replicates: number;
  /** The hidden face there is for it, mm. */
  width_mm: number;
  height_mm: number;
  kinds: readonly TestKind[];
  seed: number;
}

export type PanelDesign =
  | { ok: true; panel: Panel }
  | { ok: false; problem: 'nothing_to_test' | 'too_many' | 'too_small'; leastWidthMm: number; leastHeightMm: number };

/** Room for a lattice of 15 mm, five strokes of a thumbnail and clean edges (common practice). */
const LEAST_STRIP_MM = { width: 30, height: 60 };
/** More than this only takes paint. */
const MOST_STRIP_MM = { width: 80, height: 150 };
/** Masking tape between strips, and bare ground above each row, where the codes are never painted over. */
const TAPE_MM = 6;
const MOST_TREATMENTS = 12;
const LETTERS = 'ABCDEFGHIJKLMNOPQRSTUVWXYZ';

/**
 * Strips side by side, one row to a replicate, each row with every treatment once in an order drawn anew (randomised
 * complete blocks), so that a stain at one edge favours none. The same seed gives the same panel.
 */
export function designPanel(wish: PanelWish): PanelDesign {
  const treatments = [...(wish.control ? [wish.control] : []), ...wish.treatments];
  const columns = treatments.length;
  const least = {
    leastWidthMm: columns * (LEAST_STRIP_MM.width + TAPE_MM) + TAPE_MM,
    leastHeightMm: wish.replicates * (LEAST_STRIP_MM.height + TAPE_MM) + TAPE_MM,
  };
  if (wish.treatments.length === 0) return { ok: false, problem: 'nothing_to_test', ...least };
  if (columns > MOST_TREATMENTS) return { ok: false, problem: 'too_many', ...least };
  if (wish.width_mm < least.leastWidthMm || wish.height_mm < least.leastHeightMm) {
    return { ok: false, problem: 'too_small', ...least };
  }
  const fit = (space: number, count: number, most: number): number =>
    Math.floor(Math.min(most, (space - TAPE_MM) / count - TAPE_MM));
  const width = fit(wish.width_mm, columns, MOST_STRIP_MM.width);
  const height = fit(wish.height_mm, wish.replicates, MOST_STRIP_MM.height);
  const random = makeRandom(wish.seed);
  const strips = Array.from({ length: wish.replicates }, (_, row) =>
    shuffle(
      treatments.map((treatment, index) => ({ treatment, index })),
      random,
    ).map(({ treatment, index }, column): Strip => ({
      code: `${LETTERS[index]!}${wish.replicates > 1 ? row + 1 : ''}`,
      treatment,
      control: wish.control !== null && index === 0,
      replicate: row + 1,
      x_mm: TAPE_MM + column * (width + TAPE_MM),
      y_mm: TAPE_MM + row * (height + TAPE_MM),
      width_mm: width,
      height_mm: height,
    })),
  ).flat();
  const { id, zone, width_mm, height_mm, seed } = wish;
  return { ok: true, panel: { id, zone, seed, width_mm, height_mm, kinds: [...wish.kinds], strips } };
}

/** Every preparation with every primer: tells which of the two matters, and whether they need each other. */
export const crossFactors = (
  preps: readonly PrepCode[],
  primers: readonly (PrimerCode | 'none')[],
  base: Treatment,
): Treatment[] =>
  preps.flatMap((prep) => primers.map((primer) => ({ ...base, prep, primer, coats: primer === 'none' ? 0 : 1 })));

/** Fisher and Yates. */
function shuffle<T>(list: readonly T[], random: () => number): T[] {
  const out = [...list];
  for (let i = out.length - 1; i > 0; i -= 1) {
    const j = Math.floor(random() * (i + 1));
    [out[i], out[j]] = [out[j]!, out[i]!];
  }
  return out;
}
