import type { Experience } from '../dossier';
import { CLEAR_FACTS, PRIMERS, type ClearCode, type PrepCode, type PrimerCode, type PrepGroup } from '../knowledge';
import { definedOnly } from '../shared';
import { comparePosteriors, type Comparison } from './compare';
import { groupPrep, type Surface } from './discounts';
import { expectFailure } from './expect';
import { describePosterior, poolExperience, updateCounts, type Posterior } from './pool';

/** What is put on a surface: a primer, or straight on; a clear finish where the wood is shown. */
export interface FirstLayers {
  primer: PrimerCode | 'none';
  clear?: ClearCode;
}

export interface Cell extends Posterior, FirstLayers {
  /** Readings of this treatment on this surface. */
  tests: number;
  /** What counts: the patches they were made on, and those that held. Readings of one patch stand or fall together. */
  patches: number;
  patchesHeld: number;
}

export interface FindingsRow extends Surface {
  /** Best mean first. */
  cells: Cell[];
  /** The two that lead, and whether they can be told apart; null with fewer than two tested. */
  leaders: { first: Cell; second: Cell; comparison: Comparison } | null;
  tests: number;
}

export interface FindingsView {
  mode: Experience['mode'];
  prep: PrepGroup;
}

const CLEARS = Object.keys(CLEAR_FACTS) as ClearCode[];

/** The preparation that stands for its group where a prior is looked up. */
const STANDS_FOR: Record<PrepGroup, PrepCode> = {
  none: 'none',
  liquid_degloss: 'liquid_degloss',
  scuff: 'scuff_150',
  bare: 'sand_bare',
};

/** What the shop's own tests say: for every surface that was tested, how well each primer holds, surest first. */
export function buildFindings(experience: readonly Experience[], { mode, prep }: FindingsView): FindingsRow[] {
  const rows = experience.filter((row) => row.mode === mode && groupPrep(row.prep) === prep);
  const surfaces = new Map<string, Surface>();
  for (const { substrate, finish } of rows) surfaces.set(`${substrate}/${finish}`, { substrate, finish });
  const tried = (clear?: ClearCode): FirstLayers[] =>
    (['none', ...PRIMERS] as const)
      .filter((primer) => rows.some((row) => row.primer === primer && row.clear === clear))
      .map((primer) => ({ primer, ...definedOnly({ clear }) }));
  const under = { paint: tried(), clear: CLEARS.flatMap((clear) => tried(clear)) };
  return [...surfaces.values()]
    .map((surface) => {
      // A clear finish stands beside others only where one was tried: board is not asked how oil would hold.
      const own = rows.filter((row) => row.substrate === surface.substrate && row.finish === surface.finish);
      const layers = [
        ...(own.some(({ clear }) => !clear) ? under.paint : []),
        ...(own.some(({ clear }) => clear) ? under.clear : []),
      ];
      return buildRow(surface, layers, rows, mode, STANDS_FOR[prep]);
    })
    .sort((a, b) => b.tests - a.tests || a.substrate.localeCompare(b.substrate));
}

function buildRow(
  surface: Surface,
  layers: readonly FirstLayers[],
  rows: readonly Experience[],
  mode: Experience['mode'],
  prep: PrepCode,
): FindingsRow {
  const cells = layers
    .map((own): Cell => {
      const pooled = poolExperience({ ...surface, mode, prep, ...own }, rows);
      const posterior = describePosterior(updateCounts(expectFailure(mode, surface, { prep, ...own }), pooled));
      const { tests, patches, patchesHeld } = pooled.own;
      return { ...own, ...posterior, tests, patches, patchesHeld };
    })
    .sort((a, b) => b.mean - a.mean);
  const tested = cells.filter(({ tests }) => tests > 0);
  const [first, second] = tested;
  return {
    ...surface,
    cells,
    leaders: first && second ? { first, second, comparison: comparePosteriors(first, second) } : null,
    tests: cells.reduce((sum, { tests }) => sum + tests, 0),
  };
}

/** The groups of preparation and modes that have readings, most first. */
export function listViews(experience: readonly Experience[]): (FindingsView & { tests: number })[] {
  const counts = new Map<string, FindingsView & { tests: number }>();
  for (const { mode, prep, tests } of experience) {
    const key = `${mode}/${groupPrep(prep)}`;
    const view = counts.get(key) ?? { mode, prep: groupPrep(prep), tests: 0 };
    view.tests += tests;
    counts.set(key, view);
  }
  return [...counts.values()].sort((a, b) => b.tests - a.tests);
}

/** What a piece's own tests say on top of what was expected, one line for each treatment tested. */
export function listLearned(experience: readonly Experience[], tested: readonly Experience[]) {
  return tested.map(({ mode, substrate, finish, prep, primer, clear, product }) => {
    const pooled = poolExperience({ mode, substrate, finish, prep, primer, clear, product }, experience);
    const expected = expectFailure(mode, { substrate, finish }, { prep, primer, clear });
    const { mean, lo, hi } = describePosterior(updateCounts(expected, pooled));
    return {
      surface: `${substrate}/${finish}`,
      prep,
      primer,
      mode,
      ...definedOnly({ clear, product }),
      hold_mean: round(mean),
      hold_lo: round(lo),
      hold_hi: round(hi),
      n: pooled.own.tests,
    };
  });
}

const round = (value: number): number => Math.round(value * 1000) / 1000;
