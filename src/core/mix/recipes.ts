import { computeDeltaE00, convertHexToLinearRgb, convertLinearRgbToLab, type Lab } from '../colour';
import { findProduct, PAINT_FACTS, type PaintCode } from '../knowledge';
import { absorptionOf, defaultStrength, mixSpectra, type Part } from './mix-spectra';
import { BANDS } from './observer';
import type { Measure, MixRequest, MixTin } from './request';
import { convertHexToSpectrum, convertSpectrumToHex, convertSpectrumToLab } from './spectrum';

/** One tin of a recipe: what of it is really measured out. */
export interface RecipePart {
  tin: string;
  share: number;
  ml: number;
  /** Measures of the kind that was asked for, in halves. */
  measures: number;
}

export type MixWarning = 'not_enough' | 'out_of_reach' | 'carriers_differ' | 'chalk_with_enamel' | 'sheen_changes';

export interface Recipe {
  parts: RecipePart[];
  /** What it comes out as, sRGB. */
  colour: string;
  /** From the target; none where a mix is only foretold. */
  de: number | null;
  /** The most it moves where one part is a tenth more or less. */
  deIfOffByTenth: number;
  warnings: MixWarning[];
}

const TEASPOON_ML = 5;
const TABLESPOON_ML = 15;
const CAP_ML = 5;
const MOST_RECIPES = 5;
/** A difference that anyone sees (common practice): beyond it a mix is not the colour that was asked for. */
const REACHED = 2;
/** Beyond this a mix is another colour: of such only the nearest is told, flagged as out of reach (common practice). */
const FAR = 8;
/** What another tin brings less than this is not worth opening it for. */
const WORTH_A_TIN = 0.15;

/** Millilitres of one measure. */
const measureMl = (measure: Measure, capMl = CAP_ML): number =>
  ({ ml: 1, teaspoon: TEASPOON_ML, tablespoon: TABLESPOON_ML, cap: capMl })[measure];

interface Ready extends MixTin {
  absorption: Float64Array;
}
const ready = (tin: MixTin): Ready => ({ ...tin, absorption: absorptionOf(convertHexToSpectrum(tin.colour)) });

const partsOf = (tins: readonly Ready[], shares: readonly number[]): Part[] =>
  tins.map(({ absorption, colour, strength = defaultStrength(colour) }, i) => ({
    absorption,
    strength,
    share: shares[i]!,
  }));
const scratch = new Float64Array(BANDS);
const labOf = (tins: readonly Ready[], shares: readonly number[]): Lab =>
  convertSpectrumToLab(mixSpectra(partsOf(tins, shares), scratch));

/**
 * What a mix comes out as, or the mixes of at most three tins that come nearest to a colour, nearest first and five at most,
 * in whole and half measures. An estimate: mix a spoonful and look. With too little in a tin the recipe is scaled to what
 * there is; where all are empty there is none. `request`: see `bricolage.mix-request/1`.
 */
export function listRecipes(request: MixRequest): Recipe[] {
  const tins = request.tins.map(ready);
  if (request.target === undefined || request.shares) return [foretell(request, tins)];
  const target = convertLinearRgbToLab(convertHexToLinearRgb(request.target));
  const unit = measureMl(request.measure ?? 'ml', request.cap_ml) / 2;
  // Of a tin with less than can be measured nothing is taken.
  const usable = tins.filter(({ volume_ml = Infinity }) => volume_ml >= unit);
  const recipes = findShares(usable, target, request.max_tins ?? 3).map(({ set, shares }) =>
    measureOut(request, set, shares, unit, target),
  );
  recipes.sort((a, b) => a.de! - b.de!);
  const kept: Recipe[] = [];
  for (const recipe of recipes) if (!isNeedless(recipe, recipes)) kept.push(recipe);
  const near = kept.filter(({ de }) => de! <= FAR);
  return near.length > 0 ? near.slice(0, MOST_RECIPES) : kept.slice(0, 1);
}

function foretell(request: MixRequest, all: readonly Ready[]): Recipe {
  const asked = request.shares!.filter(({ share }) => share > 0);
  const tins = asked.map(({ tin }) => all.find(({ id }) => id === tin)!);
  const shares = asked.map(({ share }) => share);
  const scale = scaleToTins(
    tins,
    shares.map((share) => share * request.volume_ml),
  );
  const measure = measureMl(request.measure ?? 'ml', request.cap_ml);
  const parts = tins.map(({ id }, i): RecipePart => {
    const ml = shares[i]! * request.volume_ml * scale;
    return { tin: id, share: shares[i]!, ml, measures: ml / measure };
  });
  return {
    parts,
    colour: convertSpectrumToHex(mixSpectra(partsOf(tins, shares))),
    de: null,
    deIfOffByTenth: sensitivity(tins, shares),
    warnings: [...(scale < 1 ? (['not_enough'] as const) : []), ...warnOf(tins)],
  };
}

/** How much of what was wanted the tins allow, at most all of it. */
const scaleToTins = (tins: readonly MixTin[], ml: readonly number[]): number =>
  tins.reduce((least, { volume_ml }, i) => (volume_ml === undefined ? least : Math.min(least, volume_ml / ml[i]!)), 1);

/** Another recipe does as well with a part of its tins. */
function isNeedless(recipe: Recipe, all: readonly Recipe[]): boolean {
  const own = new Set(recipe.parts.map(({ tin }) => tin));
  return all.some(
    (other) =>
      other.parts.length < recipe.parts.length &&
      other.parts.every(({ tin }) => own.has(tin)) &&
      other.de! <= recipe.de! + WORTH_A_TIN,
  );
}

interface Found {
  set: Ready[];
  shares: number[];
  de: number;
}

/** So many pairs are looked at closely, and so many of them go on to a third tin. */
const PAIRS_REFINED = 60;
const PAIRS_KEPT = 30;
/** So many of all threes are looked at closely. */
const THREES_REFINED = 60;
/** What is weighed out of mixes in the end. */
const SETS_KEPT = 24;
const nearest = (list: Found[], count: number): Found[] => list.sort((a, b) => a.de - b.de).slice(0, count);

/** The best shares of one, two and three tins: every pair, then every third tin on the best pairs, the best of each closely. */
function findShares(tins: readonly Ready[], target: Lab, most: number): Found[] {
  const de: Measured = (set, shares) => computeDeltaE00(target, labOf(set, shares));
  const found = tins.map((tin): Found => ({ set: [tin], shares: [1], de: de([tin], [1]) }));
  if (most >= 2) {
    const rough: Found[] = [];
    for (let i = 0; i < tins.length; i += 1)
      for (let j = i + 1; j < tins.length; j += 1)
        rough.push(nearestOfSteps([tins[i]!, tins[j]!], [1, 0], [0, 1], de, FAR_STEPS));
    const pairs = nearest(rough, PAIRS_REFINED).map(({ set }) => nearestOnLine(set, [1, 0], [0, 1], de));
    found.push(...nearest(pairs, SETS_KEPT));
    if (most >= 3) found.push(...addThird(tins, pairs.slice(0, PAIRS_KEPT), de));
  }
  return nearest(found, SETS_KEPT);
}

type Measured = (set: readonly Ready[], shares: readonly number[]) => number;

/** Each other tin on each pair: roughly first, then the best of all threes with their shares moved in turn. */
function addThird(tins: readonly Ready[], pairs: readonly Found[], de: Measured): Found[] {
  const best = new Map<string, Found>();
  for (const { set, shares } of pairs)
    for (const third of tins) {
      if (set.includes(third)) continue;
      const whole = [...set, third];
      const key = whole
        .map(({ id }) => id)
        .sort()
        .join('\n');
      const found = nearestOfSteps(whole, [...shares, 0], [0, 0, 1], de, THIRD_STEPS);
      const known = best.get(key);
      if (!known || found.de < known.de) best.set(key, found);
    }
  return nearest([...best.values()], THREES_REFINED)
    .map((rough) => {
      let found = rough;
      for (const turn of [2, 0, 1, 2]) {
        const corner = [0, 1, 2].map((i) => (i === turn ? 1 : 0));
        const next = nearestOnLine(found.set, found.shares, corner, de, NEAR_STEPS);
        if (next.de < found.de) found = next;
      }
      return found;
    })
    .filter(({ shares }) => shares.every((share) => share > LEAST_SHARE));
}
const LEAST_SHARE = 0.0005;

/** Places on the way from one mix to another that are looked at first: close together at both ends, where a little does much. */
const FAR_STEPS = [
  0, 0.002, 0.006, 0.015, 0.035, 0.07, 0.13, 0.22, 0.35, 0.5, 0.65, 0.78, 0.87, 0.93, 0.965, 0.985, 0.994, 1,
];
const THIRD_STEPS = [0.01, 0.04, 0.12, 0.3];
const NEAR_STEPS = [0, 0.003, 0.01, 0.03, 0.08, 0.18, 0.4];
const REFINED = 12;

const onLine = (from: readonly number[], to: readonly number[], t: number): number[] =>
  from.map((own, i) => (1 - t) * own + t * to[i]!);

/** Of a few places on the line between two mixes the one that comes nearest. */
function nearestOfSteps(
  set: Ready[],
  from: readonly number[],
  to: readonly number[],
  de: Measured,
  steps: readonly number[],
): Found {
  return steps.reduce<Found>(
    (best, t) => {
      const shares = onLine(from, to, t);
      const value = de(set, shares);
      return value < best.de ? { set, shares, de: value } : best;
    },
    { set, shares: onLine(from, to, steps[0]!), de: Infinity },
  );
}

/** The mix on the line between two that comes nearest: a few places first, then between the neighbours of the best. */
function nearestOnLine(
  set: Ready[],
  from: readonly number[],
  to: readonly number[],
  de: Measured,
  steps: readonly number[] = FAR_STEPS,
): Found {
  const at = (t: number): number[] => onLine(from, to, t);
  const values = steps.map((t) => de(set, at(t)));
  const best = values.indexOf(Math.min(...values));
  let [low, high] = [steps[Math.max(0, best - 1)]!, steps[Math.min(steps.length - 1, best + 1)]!];
  // Golden section (Kiefer, 1953).
  const golden = (Math.sqrt(5) - 1) / 2;
  let [a, b] = [high - golden * (high - low), low + golden * (high - low)];
  let [fa, fb] = [de(set, at(a)), de(set, at(b))];
  for (let i = 0; i < REFINED; i += 1) {
    if (fa < fb) {
      [high, b, fb] = [b, a, fa];
      a = high - golden * (high - low);
      fa = de(set, at(a));
    } else {
      [low, a, fa] = [a, b, fb];
      b = low + golden * (high - low);
      fb = de(set, at(b));
    }
  }
  const [t, value] = [
    [a, fa],
    [b, fb],
    [steps[best]!, values[best]!],
  ].reduce((least, own) => (own[1]! < least[1]! ? own : least)) as [number, number];
  return { set, shares: at(t), de: value };
}

/** Shares as whole and half measures that can be measured out, moved by halves for as long as it comes nearer. */
function measureOut(request: MixRequest, set: Ready[], shares: readonly number[], unit: number, target: Lab): Recipe {
  const scale = scaleToTins(
    set,
    shares.map((share) => Math.max(share * request.volume_ml, unit)),
  );
  const whole = Math.max(set.length, Math.round((request.volume_ml * scale) / unit));
  const room = set.map(({ volume_ml }) => (volume_ml === undefined ? Infinity : Math.floor(volume_ml / unit + 1e-9)));
  let counts = shares.map((share, i) => Math.min(room[i]!, Math.max(1, Math.round(share * whole))));
  const deOf = (own: readonly number[]): number => computeDeltaE00(target, labOf(set, own));
  let best = deOf(counts);
  for (let better = true; better;) {
    better = false;
    for (const next of listMoves(counts, room, whole)) {
      const de = deOf(next);
      if (de >= best - 1e-9) continue;
      [counts, best, better] = [next, de, true];
    }
  }
  const sum = counts.reduce((total, own) => total + own, 0);
  const measure = 2 * unit;
  const parts = set
    .map(({ id }, i): RecipePart => ({
      tin: id,
      share: counts[i]! / sum,
      ml: counts[i]! * unit,
      measures: (counts[i]! * unit) / measure,
    }))
    .sort((a, b) => b.ml - a.ml);
  return {
    parts,
    colour: convertSpectrumToHex(mixSpectra(partsOf(set, counts))),
    de: best,
    deIfOffByTenth: sensitivity(set, counts),
    warnings: [
      ...(sum * unit < request.volume_ml - measure ? (['not_enough'] as const) : []),
      ...(best > REACHED ? (['out_of_reach'] as const) : []),
      ...warnOf(set),
    ],
  };
}

/** One half more or less of a part, or a half from one to another; the volume stays within a measure. */
function* listMoves(counts: readonly number[], room: readonly number[], whole: number): Generator<number[]> {
  const fits = (own: readonly number[]): boolean =>
    own.every((count, i) => count >= 1 && count <= room[i]!) &&
    Math.abs(own.reduce((sum, count) => sum + count, 0) - whole) <= 2;
  for (let i = 0; i < counts.length; i += 1)
    for (let j = -1; j < counts.length; j += 1)
      for (const by of [1, -1]) {
        if (i === j) continue;
        const next = counts.map((own, k) => own + (k === i ? by : 0) - (k === j ? by : 0));
        if (fits(next)) yield next;
      }
}

function sensitivity(tins: readonly Ready[], shares: readonly number[]): number {
  const middle = labOf(tins, shares);
  return Math.max(
    ...shares.flatMap((_, i) =>
      [0.9, 1.1].map((by) =>
        computeDeltaE00(
          middle,
          labOf(
            tins,
            shares.map((own, k) => (k === i ? own * by : own)),
          ),
        ),
      ),
    ),
  );
}

/** What speaks against putting some tins into one pot. */
function warnOf(tins: readonly MixTin[]): MixWarning[] {
  const classes = [...new Set(tins.flatMap(({ class: code }) => code ?? []))];
  const carriers = new Set(classes.flatMap((code) => findProduct(code)?.carrier ?? []));
  const paints = classes.flatMap((code) => (code in PAINT_FACTS ? [PAINT_FACTS[code as PaintCode]] : []));
  const bodies = new Set(paints.flatMap(({ body }) => body ?? []));
  const sheens = new Set(paints.map((paint) => paint.sheens.join()));
  return [
    ...(carriers.size > 1 ? (['carriers_differ'] as const) : []),
    ...(bodies.has('chalk') && bodies.has('enamel') ? (['chalk_with_enamel'] as const) : []),
    ...(sheens.size > 1 ? (['sheen_changes'] as const) : []),
  ];
}
