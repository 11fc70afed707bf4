import type { Group, Job, Problem, Window } from '@/core/schedule';
import { makeRandom } from '@/core/shared';

/** A made-up shop: pieces as chains with a branch, coats with waits, a recoat window that closes, air that forbids. */
export function drawShop(seed: number, most = { groups: 5, jobs: 9 }): Problem {
  const random = makeRandom(seed);
  const pick = (low: number, high: number): number => low + Math.floor(random() * (high - low + 1));
  const groups: Group[] = [];
  const jobs: Job[] = [];
  for (let g = 0; g < pick(2, most.groups); g += 1) {
    const id = `g${g}`;
    groups.push({
      id,
      tailMin: pick(0, 3) * 480,
      place: random() < 0.5 ? 'large' : 'small',
      ...(random() < 0.6 ? { due: pick(2, 9) * 1440 } : {}),
      ...(random() < 0.2 ? { placed: true } : {}),
    });
    const count = pick(3, most.jobs);
    for (let j = 0; j < count; j += 1) {
      const coat = j >= 2;
      const lag = { from: coat ? pick(0, 20) * 60 : pick(0, 1) * 30 };
      const before = j === 0 ? [] : [`${id}.${j === 3 && random() < 0.3 ? j - 2 : j - 1}`];
      const closing = random() < 0.15;
      jobs.push({
        id: `${id}.${j}`,
        group: id,
        minutes: pick(1, 7) * 5,
        after: before.map((own) => ({ id: own, lags: closing ? [{ from: 15, until: 60 }, { from: 2880 }] : [lag] })),
        ...(coat ? {} : { splits: true }),
        ...(coat
          ? {
              product: `p${pick(0, 2)}`,
              cleanUpMin: 10,
              takesPlace: true,
              air: random() < 0.7 ? ('waterborne' as const) : ('solvent' as const),
              ...(random() < 0.2 ? { potLifeMin: 60 } : {}),
              ...(random() < 0.3 ? { uses: [{ thing: 'spray place', untilMin: 30 }] } : {}),
            }
          : {}),
        ...(random() < 0.05 ? { pinnedAt: pick(1, 5) * 1440 } : {}),
      });
    }
  }
  const windows: Window[] = Array.from({ length: 60 }, (_, day) => ({
    start: day * 1440 + 19 * 60,
    end: day * 1440 + 21 * 60,
    hands: random() < 0.3 ? 2 : 1,
    ...(random() < 0.25 ? { closedTo: ['waterborne' as const] } : {}),
  }));
  // What stands in work already has a place.
  const there = (size: Group['place']): number => groups.filter(({ place, placed }) => placed && place === size).length;
  const places = { large: Math.max(pick(1, 3), there('large')), small: Math.max(pick(1, 2), there('small')) };
  return { now: 0, jobs, groups, windows, places };
}

/** A small shop on a grid of ten minutes, for an integer programme: one pair of hands, no places, waits that stay open. */
export function drawSmallShop(seed: number): Problem {
  const random = makeRandom(seed * 7919 + 3);
  const pick = (low: number, high: number): number => low + Math.floor(random() * (high - low + 1));
  const groups: Group[] = [];
  const jobs: Job[] = [];
  const count = pick(2, 3);
  for (let g = 0; g < count; g += 1) {
    groups.push({
      id: `g${g}`,
      tailMin: pick(0, 2) * 60,
      place: 'small',
      ...(random() < 0.5 ? { due: pick(1, 3) * 600 } : {}),
    });
    for (let j = 0; j < pick(2, count === 2 ? 4 : 3); j += 1) {
      jobs.push({
        id: `g${g}.${j}`,
        group: `g${g}`,
        minutes: pick(1, 4) * 10,
        after: j === 0 ? [] : [{ id: `g${g}.${j - 1}`, lags: [{ from: pick(0, 30) * 10 }] }],
        ...(random() < 0.75 ? { product: `p${pick(0, 1)}`, cleanUpMin: 10 } : {}),
      });
    }
  }
  const windows = Array.from({ length: 5 }, (_, i) => ({ start: i * 480, end: i * 480 + 80, hands: 1 }));
  return { now: 0, jobs, groups, windows, places: { large: 9, small: 9 } };
}
