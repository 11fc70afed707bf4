import { isPictured } from '../camera';
import { DOSSIER_FORMAT, type Dossier, type Observation, type Zone } from '../dossier';
import { CHECKS, findCheck, type FinishCode, type SubstrateCode } from '../knowledge';
import { drawIndex, makeRandom } from '../shared';
import {
  byWorth,
  computeBelief,
  drawSurface,
  drawTrueAnswers,
  readSurface,
  STATES,
  type PracticeSurface,
} from '../survey';

/** Substrate and finish of a surface, in one code: what it is named by. */
const surfaceCode = (state: { substrate: SubstrateCode; finish: FinishCode }): string =>
  `${state.substrate}/${state.finish}`;
export const readSurfaceCode = (code: string): { substrate: SubstrateCode; finish: FinishCode } => {
  const [substrate, finish] = code.split('/');
  return { substrate: substrate as SubstrateCode, finish: finish as FinishCode };
};

export interface SurfaceExercise {
  kind: 'surface';
  skill: string;
  seed: number;
  surface: PracticeSurface;
  /** What each check shows on it. */
  shows: ReadonlyMap<string, string>;
  /** The checks there are to make, quickest first, with whether what they show is a picture. */
  checks: readonly { check: string; minutes: number; pictured: boolean }[];
  options: readonly string[];
  right: readonly string[];
}

const NAMES_OFFERED = 6;
/** Of one material so many finishes are offered. */
const MOST_ALIKE = 2;
/** Materials that are met often enough to be learnt by eye. */
export const NAMED_SUBSTRATES = [
  'knotty_softwood',
  'clear_softwood',
  'open_grain_hardwood',
  'closed_grain_hardwood',
  'tannin_rich_wood',
  'wood_veneer',
  'hpl_laminate',
  'melamine_board',
  'thermofoil',
  'paper_foil',
  'mdf',
  'plywood',
] as const satisfies readonly SubstrateCode[];

const MOST_DRAWS = 600;

/** A made-up surface of one material to be named, seeded. Painted over, it is to be named all the same. */
export function drawSurfaceExercise(substrate: SubstrateCode, seed: number): SurfaceExercise {
  const random = makeRandom(seed * 2_246_822 + NAMED_SUBSTRATES.indexOf(substrate as never));
  let surface = drawSurface(random);
  const wanted = (): boolean => {
    const state = STATES[surface.stateIndex]!;
    return state.substrate === substrate && state.finish !== 'unknown';
  };
  for (let tries = 0; tries < MOST_DRAWS && !wanted(); tries += 1) surface = drawSurface(random);
  const truth = surfaceCode(STATES[surface.stateIndex]!);
  const shows = drawTrueAnswers(surface, random);
  const checks = CHECKS.filter(({ code, roles, mark }) => !roles && mark < 2 && code !== 'lead_test')
    .map(({ code, minutes }) => ({ check: code, minutes, pictured: isPictured(code) }))
    .sort((a, b) => a.minutes - b.minutes);
  return {
    kind: 'surface',
    skill: substrate,
    seed,
    surface,
    shows,
    checks,
    options: drawNames(surface, truth, random),
    right: [truth],
  };
}

/** The truth among others that such a piece could be: what is likely is offered often, each material and finish apart. */
function drawNames(surface: PracticeSurface, truth: string, random: () => number): string[] {
  const { joint } = computeBelief(toDossier(surface, []), zoneOf(surface, []));
  const weights = joint.map((p) => Math.sqrt(p));
  const names = new Set([truth]);
  for (let tries = 0; tries < MOST_DRAWS && names.size < NAMES_OFFERED; tries += 1) {
    const state = STATES[drawIndex(random, weights)]!;
    const alike = [...names].filter((name) => readSurfaceCode(name).substrate === state.substrate).length;
    if (state.finish !== 'unknown' && alike < MOST_ALIKE) names.add(surfaceCode(state));
  }
  return [...names].sort((a, b) => a.localeCompare(b));
}

const zoneOf = (surface: PracticeSurface, observations: Observation[]): Zone => ({
  id: 'z',
  role: surface.role,
  area_m2: surface.areaM2,
  observations,
});
const toDossier = (surface: PracticeSurface, observations: Observation[]): Dossier => ({
  format: DOSSIER_FORMAT,
  piece: { kind: surface.kind, history: surface.history },
  zones: [zoneOf(surface, observations)],
});

export interface SurfaceTold {
  /** Minutes with eyes and hands on it. */
  minutes: number;
  /** Chance of what it truly is by what was said of the looks, and by what they showed. */
  believed: number;
  /** What the diagnosis would have looked at, in its order, and how long it takes. */
  best: { checks: string[]; minutes: number; believed: number };
}

/** How a surface was read, beside how the diagnosis would read it. */
export function tellSurface(
  { surface, shows }: SurfaceExercise,
  looks: readonly { check: string; said: string }[],
): SurfaceTold {
  const believe = (observations: Observation[]): number =>
    computeBelief(toDossier(surface, observations), zoneOf(surface, observations)).joint[surface.stateIndex]!;
  const own = looks.map(({ check, said }): Observation => ({ check, result: said }));
  const best = readSurface(surface, ({ code }) => shows.get(code)!, byWorth);
  return {
    minutes: looks.reduce((sum, { check }) => sum + findCheck(check)!.minutes, 0),
    believed: believe(own),
    best: {
      checks: best.checks,
      minutes: best.checks.reduce((sum, code) => sum + findCheck(code)!.minutes, 0),
      believed: believe(best.checks.map((check) => ({ check, result: shows.get(check)! }))),
    },
  };
}
