import { mkdirSync, writeFileSync } from 'node:fs';
import { CHECKS, DEFECT_FACTS, DEFECTS, FAULT_ANSWERS, ROLES } from '@/core/knowledge';
import { DOSSIER_FORMAT, type Dossier, type Experience, type Zone } from '@/core/dossier';
import {
  byInformation,
  byWorth,
  computeBelief,
  diagnosePiece,
  diagnoseZone,
  inFixedOrder,
  measurePractice,
} from '@/core/survey';
import { addUp, buildFindings } from '@/core/learning';
import { drawBeta, drawShop, drawTests, USUAL_SPREAD } from '@/core/learning/simulate';
import { judgeGates } from '@/core/piece';
import { makeRandom } from '@/core/shared';
import { planPiece } from '@/core/systems';
import { readGround } from '@/core/systems/take-up';
import { listProducts } from '@/core/systems/product';
import { searchZone } from '@/core/systems/search';
import { combineChances } from '@/core/systems/shared-causes';
import { walkAll } from '@/core/systems/walk-all';
import type { Figure } from './figure';

/** Five thousand readings of made-up shops, one by one. */
function drawReadings(): Experience[] {
  const rows: Experience[] = [];
  for (let seed = 1; rows.length < 5000; seed += 1) {
    for (const { held, failed, ...row } of drawTests(seed, drawShop(seed, USUAL_SPREAD), 12)) {
      const one = { ...row, tests: 1 };
      for (let i = 0; i < held; i += 1) rows.push({ ...one, held: 1, failed: 0, tests_held: 1 });
      for (let i = 0; i < failed; i += 1) rows.push({ ...one, held: 0, failed: 1, tests_held: 0 });
    }
  }
  return rows.slice(0, 5000);
}

/** Twelve zones with eight answers each, every third check in turn: always the same piece. */
function makePiece(): Dossier {
  const zones = Array.from({ length: 12 }, (_, z): Zone => {
    const observations = CHECKS.filter((_check, i) => (i + z) % 3 === 0)
      .slice(0, 8)
      .map((check, i) => ({ check: check.code, result: check.answers[(z + i) % check.answers.length]!.code }));
    return { id: `z${z}`, role: ROLES[z % ROLES.length]!, area_m2: 0.5 + z / 10, observations };
  });
  const clean = zones.map((zone) => ({
    ...zone,
    observations: zone.observations!.filter(({ check }) => check !== 'lead_test'),
  }));
  return { format: DOSSIER_FORMAT, piece: { kind: 'sideboard', history: { era: 'since_2000' } }, zones: clean };
}

const REPEATS = 60;
const PLAN_REPEATS = 15;

// prettier-ignore
const CLASSES = ['shellac_primer', 'shellac_clear', 'stainblock_primer_oil', 'stainblock_primer_wb', 'bonding_primer_wb', 'bonding_primer_oil', 'bonding_primer_2k', 'allpurpose_primer_wb', 'aerosol_stainblock', 'metal_primer', 'mdf_sealer', 'chalk_paint', 'mineral_paint', 'milk_paint_acrylic', 'latex_wall_paint', 'wb_alkyd_enamel', 'oil_enamel', 'cabinet_paint_2k', 'wb_clear', 'wb_polyurethane', 'oil_polyurethane', 'wax', 'wb_alkyd_enamel', 'shellac_primer', 'stainblock_primer_wb'];
/** Twenty-five tins, every third with a label of its own. */
const TINS = CLASSES.map((code, i) => ({
  id: `tin-${i}`,
  class: code,
  volume_ml: 200 + ((97 * i) % 900),
  ...(i % 3 === 0 ? { recoat_h: 2 + i, coverage_m2_l: 8 + (i % 4) } : {}),
}));

/** Two or three faults on each zone, thirty in all, of kinds that leave a choice and of kinds that do not. */
function putFaults(zone: Zone, z: number): Zone {
  const kinds = DEFECTS.filter((code) => FAULT_ANSWERS[code].ways.length > 0 && DEFECT_FACTS[code].on === undefined);
  const defects = Array.from({ length: z % 2 === 0 ? 3 : 2 }, (_, i) => ({
    code: kinds[(z * 5 + i * 7) % kinds.length]!,
    extent: (['spot', 'area', 'all'] as const)[(z + i) % 3]!,
  }));
  return { ...zone, defects };
}

const PALE = '#F3EFE6';
const DARK = '#2B3A42';
/** Every other zone in a second colour, every other tin of paint of it, and bands on the first zone. */
const paintTwoTone = (piece: Dossier): Dossier => ({
  ...piece,
  shelf: TINS.map((tin, i) => ({ ...tin, colour: i % 2 === 0 ? PALE : DARK })),
  goal: {
    ...piece.goal,
    colour: PALE,
    zones: Object.fromEntries(
      piece.zones!.map(({ id }, z) => [
        id,
        z === 0
          ? { second: { colour: DARK, lies: 'upright' as const, bands: [{ at_mm: 100, width_mm: 60 }] } }
          : z % 2 === 0
            ? { look: 'opaque' as const }
            : { colour: DARK },
      ]),
    ),
  },
});

/** The search of one zone beside trying every way, over few products so that trying them all ends. */
function measureSmall(zone: Zone, piece: Dossier) {
  const ground = readGround(piece, { ...zone, role: 'side' });
  const few = [
    'shellac_primer',
    'bonding_primer_wb',
    'stainblock_primer_wb',
    'wb_alkyd_enamel',
    'chalk_paint',
    'wb_clear',
  ];
  const products = listProducts([], { temperature_c: 21, humidity_pct: 50 }).filter((own) => few.includes(own.class));
  const { states, labels } = searchZone(ground, products);
  return {
    states,
    labels,
    ways: walkAll(ground, products).length,
    search: time(() => void searchZone(ground, products)).median,
    all: time(() => void walkAll(ground, products), PLAN_REPEATS).median,
  };
}

/** Two hundred tests on twelve zones, of three treatments in one coat and in two, and one of these taken. */
const putTests = (piece: Dossier): Dossier => {
  const kinds = ['nail', 'cross_cut', 'bleed_watch', 'tape'] as const;
  const primers = ['shellac_primer', 'bonding_primer_wb', 'stainblock_primer_oil'] as const;
  const treat = (i: number) => ({ prep: 'scuff_150' as const, primer: primers[i % 3]!, coats: 1 + (i % 2) });
  return {
    ...piece,
    chosen: { zones: piece.zones!.map(({ id }) => ({ id, treatment: treat(0) })) },
    tests: Array.from({ length: 200 }, (_, i) => ({
      zone: piece.zones![i % 12]!.id,
      kind: kinds[i % 4]!,
      age_h: 60,
      treatment: treat(i),
      reading: [{ score: i % 2 }, { iso_class: i % 2 }, { at: '48h', score: 0 }, { score: 0 }][i % 4]!,
    })),
  };
};

/** A piece as after a tap: what was worked out of the one before is not remembered. */
const fresh = (piece: Dossier): Dossier => ({ ...piece, zones: piece.zones!.map((zone) => ({ ...zone })) });

function time(work: () => void, repeats = REPEATS): { median: number; spread: number } {
  for (let i = 0; i < 5; i += 1) work();
  const runs = Array.from({ length: repeats }, () => {
    const started = performance.now();
    work();
    return performance.now() - started;
  }).sort((a, b) => a - b);
  const at = (share: number): number => runs[Math.floor(share * (repeats - 1))]!;
  return { median: at(0.5), spread: (at(0.9) - at(0.1)) / at(0.5) };
}

export function measureCore(): Figure[] {
  const piece = makePiece();
  mkdirSync('.cache', { recursive: true });
  writeFileSync('.cache/bench-piece.json', JSON.stringify(piece));
  const zone = piece.zones![3]!;
  const fixed = time(() => {
    let sum = 0;
    for (let i = 1; i < 400_000; i += 1) sum += Math.log(i);
    if (sum < 0) throw new Error('unreachable');
  });
  const belief = time(() => void computeBelief(piece, { ...zone }));
  const ranking = time(() => void diagnoseZone(piece, { ...zone }));
  const all = time(() => void diagnosePiece(fresh(piece)));
  const plan = time(() => void planPiece(fresh(piece)), PLAN_REPEATS);
  const stocked = { ...piece, shelf: TINS };
  const withTins = time(() => void planPiece(fresh(stocked)), PLAN_REPEATS);
  const { effort } = planPiece(stocked);
  const faulty = { ...stocked, zones: stocked.zones!.map(putFaults) };
  const withFaults = time(() => void planPiece(fresh(faulty)), PLAN_REPEATS);
  const toned = paintTwoTone(stocked);
  const twoTone = time(() => void planPiece(fresh(toned)), PLAN_REPEATS);
  const tested = putTests(piece);
  for (const own of tested.zones!) computeBelief(tested, own);
  const policy = time(() => void judgeGates({ ...tested, tests: [...tested.tests!] }));
  const small = measureSmall(zone, piece);
  const readings = drawReadings();
  const findings = time(() => void buildFindings(addUp(readings), { mode: 'adhesion', prep: 'liquid_degloss' }));
  const figure = (name: string, value: number, unit: string, target: string, reference: string): Figure => ({
    name,
    value: Number(value.toPrecision(3)),
    unit,
    target,
    reference,
  });
  return [
    figure('noise: spread of fixed work (p90 − p10 over median)', fixed.spread, '', '', '400 000 logarithms'),
    figure(
      'belief update after one answer, 12-zone piece',
      belief.median,
      'ms',
      '< 2',
      `ratio to the fixed work ${(belief.median / fixed.median).toFixed(2)}`,
    ),
    figure(
      'belief, needs and next checks of one zone',
      ranking.median,
      'ms',
      '< 10',
      `ratio to the fixed work ${(ranking.median / fixed.median).toFixed(2)}`,
    ),
    figure('belief, needs and next checks of 12 zones', all.median, 'ms', '< 60', ''),
    figure(
      'Findings of 5 000 readings',
      findings.median,
      'ms',
      '< 200',
      `${readings.length} readings, each a row of its own`,
    ),
    figure('what is wanted and shown on 12 zones with 200 tests', policy.median, 'ms', '< 5', 'both gates of each'),
    figure('plan of a 12-zone piece', plan.median, 'ms', '< 150', 'in a worker'),
    figure(
      'plan of a 12-zone piece with 25 tins',
      withTins.median,
      'ms',
      '< 250',
      `${effort.states} states, ${effort.labels} labels, ${effort.joint} partial choices over the zones`,
    ),
    figure(
      'plan of a 12-zone piece with 25 tins and 30 faults',
      withFaults.median,
      'ms',
      '< 350',
      `${faulty.zones.reduce((sum, { defects = [] }) => sum + defects.length, 0)} faults of ${new Set(faulty.zones.flatMap(({ defects = [] }) => defects.map(({ code }) => code))).size} kinds`,
    ),
    figure(
      'plan of a 12-zone piece in two colours with 25 tins',
      twoTone.median,
      'ms',
      '< 400',
      `${(twoTone.median / withTins.median).toFixed(2)} of the same piece in one colour`,
    ),
    figure(
      'small search: one zone, six products',
      small.search,
      'ms',
      '',
      `${small.labels} labels in ${small.states} states; trying all ${small.ways} ways takes ${(small.all / small.search).toFixed(1)} times as long`,
    ),
  ];
}

const FULL = process.env.BRICOLAGE_FULL === '1';
const SURFACES = FULL ? 2000 : 400;
/** Fewer for the baselines, which ask much more, and for the second way of misreading. */
const BASELINE_SURFACES = FULL ? 500 : 100;

/** Reading made-up surfaces whose truth is known, with one answer in twenty misread. */
export function measureReading(): Figure[] {
  const worth = measurePractice(SURFACES, byWorth, 'each');
  const few = measurePractice(BASELINE_SURFACES, byWorth, 'each');
  const fixed = measurePractice(BASELINE_SURFACES, inFixedOrder, 'each');
  const information = measurePractice(BASELINE_SURFACES, byInformation, 'each');
  const shared = measurePractice(BASELINE_SURFACES, byWorth, 'shared');
  const line = (name: string, value: number, unit: string, target: string, reference: string): Figure => ({
    name: `reading ${name}`,
    value: Number(value.toPrecision(3)),
    unit,
    target,
    reference,
  });
  const percent = (share: number): string => `${(share * 100).toFixed(1)} %`;
  const beside = (value: (summary: typeof worth) => string): string =>
    `first ${BASELINE_SURFACES}: ${value(few)}; fixed order ${value(fixed)}; most information ${value(information)}; slips shared in a group ${value(shared)}`;
  return [
    line(
      'right needs: all provided for, no stripping for nothing',
      worth.rightNeeds * 100,
      '%',
      '≥ 93',
      `${SURFACES} surfaces, 5 % misread; ${beside((s) => percent(s.rightNeeds))}`,
    ),
    line(
      'exact needs: every need called at 1 in 2 is as it is',
      worth.exactNeeds * 100,
      '%',
      '',
      beside((s) => percent(s.exactNeeds)),
    ),
    line(
      'checks made',
      worth.checks,
      '',
      '≤ 4.0',
      beside((s) => s.checks.toFixed(1)),
    ),
    line(
      'minutes of checking',
      worth.checkMinutes,
      'min',
      'fewer than both',
      beside((s) => s.checkMinutes.toFixed(1)),
    ),
    line(
      'checks that leave a mark',
      worth.marks,
      '',
      'fewer than both',
      beside((s) => s.marks.toFixed(2)),
    ),
    line(
      'minutes with hands and eyes on the piece, waits and marks not priced in',
      worth.handsMinutes,
      'min',
      'fewer than both',
      beside((s) => s.handsMinutes.toFixed(1)),
    ),
    line(
      'minutes all told, with what is provided and redone',
      worth.allMinutes,
      'min',
      'fewer than both',
      beside((s) => s.allMinutes.toFixed(1)),
    ),
    line(
      'calibration error',
      worth.calibrationError,
      '',
      '< 0.02',
      beside((s) => s.calibrationError.toFixed(3)),
    ),
    line(
      'Brier score',
      worth.brier,
      '',
      '',
      beside((s) => s.brier.toFixed(3)),
    ),
    ...worth.bands.map(({ forecasts, meanP, share }, band) =>
      line(
        `reliability, said ${band * 10}–${band * 10 + 10} %`,
        share * 100,
        '% came true',
        '',
        `said ${percent(meanP)} on average, ${forecasts} forecasts`,
      ),
    ),
  ];
}

const SHOPS = 500;
const PIECES_A_SHOP = 20;
/** How alike the zones of one treatment on one ground are: correlation of their failing in the drawn shops (estimate). */
const ALIKE = 0.6;

/**
 * What is said of whole pieces against what happens, in made-up shops. In such a shop each treatment on each ground of a
 * piece has one quality, drawn around its chance (Beta, so that zones that share it fail together), and its zones fail
 * by it; what is said knows the chances of the zones only.
 */
export function measureWholePieces(): Figure[] {
  const random = makeRandom(20);
  const pieces = Array.from({ length: SHOPS * PIECES_A_SHOP }, () => {
    const causes = Array.from({ length: 1 + Math.floor(random() * 3) }, (_, c) => {
      const p = 0.01 + 0.34 * random() ** 2;
      const count = (1 - ALIKE) / ALIKE;
      const quality = drawBeta(random, p * count, (1 - p) * count);
      return { cause: `c${c}`, p, quality, zones: 1 + Math.floor(random() * 5) };
    });
    const zones = causes.flatMap(({ cause, p, zones: n }) => Array.from({ length: n }, () => ({ cause, p })));
    const failed = causes.some(({ quality, zones: n }) =>
      Array.from({ length: n }, () => random() < quality).some(Boolean),
    );
    const apart = 1 - zones.reduce((held, { p }) => held * (1 - p), 1);
    return { said: combineChances(zones), apart, failed };
  });
  const deciles = (say: (piece: (typeof pieces)[number]) => number) => {
    const sorted = [...pieces].sort((a, b) => say(a) - say(b));
    const size = sorted.length / 10;
    return Array.from({ length: 10 }, (_, d) => {
      const own = sorted.slice(d * size, (d + 1) * size);
      const mean = (value: (piece: (typeof pieces)[number]) => number): number =>
        own.reduce((sum, piece) => sum + value(piece), 0) / own.length;
      return { said: mean(say), happened: mean(({ failed }) => Number(failed)) };
    });
  };
  const worst = (say: (piece: (typeof pieces)[number]) => number): number =>
    100 * Math.max(...deciles(say).map(({ said, happened }) => Math.abs(said - happened)));
  const told = deciles(({ said }) => said).map(
    ({ said, happened }) => `${(100 * said).toFixed(1)}→${(100 * happened).toFixed(1)}`,
  );
  return [
    {
      name: 'whole pieces: said against happened, worst tenth',
      value: Number(worst(({ said }) => said).toPrecision(3)),
      unit: 'points',
      target: '≤ 3',
      reference: `${SHOPS} shops of ${PIECES_A_SHOP} pieces; as if independent ${worst(({ apart }) => apart).toFixed(1)}; said→happened by tenths, %: ${told.join(' ')}`,
    },
  ];
}
