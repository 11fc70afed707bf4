import {
  CAN_COVERS_M2,
  CAN_ML,
  findSpray,
  LIGHT_COAT_MIN,
  SPRAY_DISTANCE_CM,
  mostThinningPct,
  type GunCode,
  type FILM_FACTS,
  type SprayFact,
} from '../knowledge';

type CoatClass = keyof typeof FILM_FACTS;

/** How a gun stands and what runs through it. */
export interface GunSetting {
  nozzleMm: number;
  /** Seconds through a DIN 4 mm cup. */
  cupS: number;
  airBar: number;
  distanceCm: number;
}

export interface GunSetup {
  fact: SprayFact;
  /** Where to start. */
  start: GunSetting;
  /** Thinner that may be tried, % of the paint: by the tin's label, at most what is usual, none for a primer that is never thinned. */
  mostThinnerPct: number;
  litresPerHour: number;
  /** Light coats that make one, and how long they wait for each other, min. */
  passes: number;
  betweenMin: readonly [number, number];
}

const middle = ([low, high]: readonly [number, number]): number => (low + high) / 2;
const round = (value: number, step: number): number => Math.round(value / step) * step;

/** A turbine blows softer and warmer than a compressor: paint has to run thinner through it (common practice). */
const TURBINE = { airBar: 0.4, cup: 0.75 };

/** Wet film that a light pass lays on, µm: heavier ones run (common practice). */
const PASS_WET_UM = 60;

/** Paint through a nozzle, litres an hour for each mm² of its square at the middle of its class (estimate). */
const LITRES_PER_MM2 = 4;

/**
 * Where to start with a gun. `labelThinnerPct`: what the tin's label allows, % of the paint; `cupS`: what the owner has timed;
 * `wetUm`: wet film of a whole coat, µm.
 */
export function setUpGun(
  code: CoatClass,
  gun: GunCode,
  { labelThinnerPct, cupS, wetUm = 2 * PASS_WET_UM }: { labelThinnerPct?: number; cupS?: number; wetUm?: number } = {},
): GunSetup {
  const fact = findSpray(code);
  const soft = gun === 'turbine';
  const nozzleMm = round(middle(fact.nozzleMm), 0.1);
  return {
    fact,
    start: {
      nozzleMm,
      cupS: cupS ?? Math.round(middle(fact.cupS) * (soft ? TURBINE.cup : 1)),
      airBar: soft ? TURBINE.airBar : round(middle(fact.airBar), 0.1),
      distanceCm: round(middle(SPRAY_DISTANCE_CM), 1),
    },
    mostThinnerPct: Math.min(fact.mostThinnerPct, mostThinningPct(code, { labelPct: labelThinnerPct, gun: true })),
    litresPerHour: Math.round(LITRES_PER_MM2 * nozzleMm ** 2 * 10) / 10,
    passes: Math.max(1, Math.round(wetUm / PASS_WET_UM)),
    betweenMin: LIGHT_COAT_MIN,
  };
}

/** What a trial stroke on card looks like. */
export type Stroke = 'even' | 'spider' | 'runs' | 'dry' | 'cloud';
export const STROKES: readonly Stroke[] = ['even', 'spider', 'runs', 'dry', 'cloud'];

/** What to change, the first to be tried first. */
export type GunChange =
  | 'more_air'
  | 'less_air'
  | 'thin_a_little'
  | 'thicken'
  | 'smaller_nozzle'
  | 'larger_nozzle'
  | 'nearer'
  | 'farther'
  | 'faster';

/** Common practice: too little air or too thick spiders; too much runs; too far or too much air is dry; pressure makes a cloud. */
const CHANGES: Record<Stroke, readonly GunChange[]> = {
  even: [],
  spider: ['more_air', 'thin_a_little', 'smaller_nozzle'],
  runs: ['faster', 'farther', 'smaller_nozzle', 'thicken'],
  dry: ['nearer', 'less_air', 'larger_nozzle'],
  cloud: ['less_air', 'nearer'],
};

/**
 * What to change after a trial stroke that looks so. What is forbidden is left out: thinning past what the label allows,
 * thinning a primer that is never thinned.
 */
export const listChanges = (pattern: Stroke, { mostThinnerPct }: Pick<GunSetup, 'mostThinnerPct'>): GunChange[] =>
  CHANGES[pattern].filter((change) => change !== 'thin_a_little' || mostThinnerPct > 0);

/**
 * What a stroke with these settings would look like, on a simulated card: air against what it has to break up, what flows
 * against the distance. An estimate, to learn by; the card decides.
 */
export function foreseeStroke({ fact, start }: Pick<GunSetup, 'fact' | 'start'>, setting: GunSetting): Stroke {
  const wanted = { cup: middle(fact.cupS), air: start.airBar, nozzle: middle(fact.nozzleMm) };
  // Air that a wider nozzle and a thicker paint ask for, beside what there is.
  const broken =
    (setting.airBar / wanted.air) * (wanted.cup / setting.cupS) ** 0.7 * (wanted.nozzle / setting.nozzleMm) ** 0.7;
  const flow = (setting.nozzleMm / wanted.nozzle) ** 2 * (wanted.cup / setting.cupS) ** 0.5;
  const [near, far] = SPRAY_DISTANCE_CM;
  const wet = flow * (middle(SPRAY_DISTANCE_CM) / setting.distanceCm) ** 1.5;
  if (broken < 0.65) return 'spider';
  if (setting.airBar > 1.6 * wanted.air) return 'cloud';
  if (wet > 1.6 || setting.distanceCm < near * 0.75) return 'runs';
  if (wet < 0.55 || setting.distanceCm > far * 1.25) return 'dry';
  return 'even';
}

/** Cans for some coats on a face, with what misses it: 400 ml cover about a square metre and a quarter once. */
export const countCans = (areaM2: number, coats: number): number =>
  Math.max(1, Math.ceil((areaM2 * coats) / middle(CAN_COVERS_M2)));
export { CAN_ML };
