import type { Dossier, PlannedStep } from '@/core/dossier';
import { endOf, makeSchedule, startOf, type Job, type Problem } from '@/core/schedule';
import { makeRandom } from '@/core/shared';
import { EMPTY_WORKSHOP } from '@/core/workshop';
import {
  isInWork,
  learnPace,
  orderShop,
  placeShop,
  readPieceWork,
  readToday,
  type PieceWork,
  type ShopFacts,
} from '@/core/work';
import type { Figure } from './figure';

const NOW = '2026-11-28T09:00:00.000Z';
const FACTS: ShopFacts = {
  workshop: EMPTY_WORKSHOP,
  tins: [],
  pace: learnPace([]),
  now: NOW,
  timeZone: 'Europe/Lisbon',
};

/** Ten pieces of twenty-five jobs each, evenings and Saturday mornings, a due date for each. */
function drawTenPieces(): Problem {
  const random = makeRandom(5);
  const pick = (low: number, high: number): number => low + Math.floor(random() * (high - low + 1));
  const groups = Array.from({ length: 10 }, (_, g) => ({
    id: `g${g}`,
    tailMin: 1440,
    place: 'large' as const,
    due: (20 + 4 * g) * 1440,
  }));
  const jobs = groups.flatMap(({ id }): Job[] =>
    Array.from({ length: 25 }, (_, j) => ({
      id: `${id}.${j}`,
      group: id,
      minutes: pick(4, 35),
      after: j === 0 ? [] : [{ id: `${id}.${j - 1}`, lags: [{ from: [0, 60, 240, 960][j % 4]! }] }],
      ...(j < 8 ? { splits: true } : { product: `tin ${j % 5}`, cleanUpMin: 10, takesPlace: true }),
    })),
  );
  const windows = Array.from({ length: 90 }, (_, day) => {
    const saturday = day % 7 === 5;
    return { start: day * 1440 + (saturday ? 540 : 1140), end: day * 1440 + (saturday ? 780 : 1260), hands: 1 };
  });
  return { now: 0, jobs, groups, windows, places: { large: 6, small: 0 } };
}

const STEPS: PlannedStep[] = [
  { op: 'degrease', label: 'Degrease', class: 'degreaser', minutes: 10, wait_h: 1, stage: 0, why: '' },
  { op: 'scuff', label: 'Scuff 150', grit: 150, minutes: 12, wait_h: 0, stage: 4, why: '' },
  { op: 'dust', label: 'Vacuum and wipe', minutes: 4, wait_h: 0.5, stage: 4, why: '' },
  { op: 'prime', label: 'Primer', class: 'bonding_primer_wb', minutes: 10, wait_h: 12, stage: 8, why: '', ml: 90 },
  { op: 'denib', label: 'Sand smooth', grit: 220, minutes: 6, wait_h: 0, stage: 10, why: '' },
  {
    op: 'paint',
    label: 'Enamel ×2',
    class: 'wb_alkyd_enamel',
    coats: 2,
    minutes: 24,
    wait_h: 32,
    stage: 12,
    why: '',
    ml: 300,
  },
];

/** Two hundred pieces of three zones, sixty of them in work, each at another place of it. */
function drawLargeShop(): Dossier[] {
  return Array.from({ length: 200 }, (_, i): Dossier => {
    const zones = ['top', 'sides', 'doors'];
    const inWork = i < 60;
    const treatment = { prep: 'scuff_150' as const, primer: 'bonding_primer_wb' as const, coats: 1 };
    const done = ['0-degrease-degreaser-1', '4-scuff-150-1', '4-dust--1'].slice(0, i % 4);
    return {
      format: 'bricolage.dossier/1',
      piece: { id: `p${i}`, name: `Piece ${i}`, kind: 'sideboard', history: { era: 'since_2000' } },
      zones: zones.map((id) => ({
        id,
        role: 'side',
        area_m2: 0.6,
        stated: { substrate: 'hpl_laminate', finish: 'factory_film' },
      })),
      goal: { colour: '#1E2A30', due: '2027-03-01' },
      tests: zones.flatMap((zone) => [
        { id: `${zone}n`, zone, kind: 'nail', treatment, age_h: 48, reading: { score: 0 } },
        { id: `${zone}c`, zone, kind: 'cross_cut', treatment, age_h: 48, reading: { iso_class: 0 } },
      ]),
      ...(inWork
        ? { chosen: { at: '2026-11-01T10:00:00Z', zones: zones.map((id) => ({ id, treatment, steps: STEPS })) } }
        : {}),
      log: zones.flatMap((zone) =>
        done.map((task) => ({ zone, op: 'scuff' as const, task, at: '2026-11-27T19:00:00Z' })),
      ),
    };
  });
}

const REPEATS = 15;
function time(work: () => void, repeats = REPEATS): number {
  for (let i = 0; i < 3; i += 1) work();
  const runs = Array.from({ length: repeats }, () => {
    const started = performance.now();
    work();
    return performance.now() - started;
  });
  return runs.sort((a, b) => a - b)[repeats >> 1]!;
}

/** Scheduling and Today, as the worker does them. */
export function measureShop(): Figure[] {
  const round = (value: number): number => Number(value.toPrecision(3));
  const problem = drawTenPieces();
  const rough = makeSchedule(problem, { seed: 1, tries: 0 });
  const fine = makeSchedule(problem, { seed: 1 });
  const placed = [...fine.placements.values()];
  const days = (Math.max(...placed.map(endOf)) - Math.min(...placed.map(startOf))) / 1440;
  const shop = drawLargeShop();
  const read = (): PieceWork[] => shop.filter(isInWork).map((dossier) => readPieceWork(dossier, FACTS));
  const order = orderShop(read(), FACTS);
  const answer = (): void => {
    const pieces = read();
    if (readToday(pieces, placeShop(pieces, FACTS, order), FACTS).doNow.length === 0)
      throw new Error('nothing to do on a Saturday');
  };
  return [
    {
      name: 'schedule of ten pieces of 25 jobs',
      value: round(time(() => void makeSchedule(problem, { seed: 1 }))),
      unit: 'ms',
      target: '< 500',
      reference: `in a worker; ${fine.cost.lateMin} min late in all (rules alone ${rough.cost.lateMin}), ${fine.cost.cleanUps} clean-ups (${rough.cost.cleanUps}), ${Math.round(days)} days`,
    },
    {
      name: 'Today of 60 pieces in work, in the order of the shop',
      value: round(time(answer)),
      unit: 'ms',
      target: '< 300',
      reference: 'tasks, blocks, the schedule and the day, in a worker of the browser',
    },
    {
      name: 'the order of 60 pieces in work, made anew',
      value: round(time(() => void orderShop(read(), FACTS, order), 3)),
      unit: 'ms',
      target: '',
      reference: 'in a thread of the server, after something changed; the one that is kept answers meanwhile',
    },
  ];
}
