import fc from 'fast-check';
import type { History, Observation, Zone } from '@/core/dossier';
import {
  CHECKS,
  findCheck,
  FINISH_FACTS,
  LIKELIHOOD_RATIO,
  type Answer,
  type Check,
  type Strength,
} from '@/core/knowledge';
import { makeRandom } from '@/core/shared';
import { computeBelief, FACETS, STATES } from '@/core/survey';
import { computePrior } from '@/core/survey/prior';
import { share } from './share';

/*
 * A second, slow way to the belief, written from its description and not from its code: every world (substrate, finish
 * and each small fact) is gone through one by one, and P(answer | world) is worked out anew from the signs of the table.
 */
type World = Record<string, string | boolean>;
const FACET_LISTS = Object.entries(FACETS);

function listWorlds(): { world: World; at: number[] }[] {
  let worlds: { world: World; at: number[] }[] = STATES.map((state, s) => ({ world: { ...state }, at: [s] }));
  // Odour and silicone are left at their first value where no check asks for them: they would only double the work.
  for (const [, values] of FACET_LISTS.slice(0, 4))
    worlds = worlds.flatMap(({ world, at }) =>
      values.map((value, x) => ({ world: { ...world, ...(value as World) }, at: [...at, x] })),
    );
  return worlds;
}

function weigh(check: Check, answer: Answer, world: World): number {
  const hidden = check.hiddenByPaint && FINISH_FACTS[world.finish as 'wax'].opaque;
  let weight = 1;
  for (const [part, signs] of Object.entries(answer.says)) {
    for (const [code, strength] of Object.entries(signs as Record<string, Strength>)) {
      const holds = part === 'present' ? world[code] === true : world[part] === code;
      if (holds && !(hidden && part === 'substrate')) weight *= LIKELIHOOD_RATIO[strength];
    }
  }
  return weight;
}

function telling(answer: Answer): { code: string; ratio: number } | undefined {
  const signs = Object.values(answer.says).flatMap((part) => Object.entries(part as Record<string, Strength>));
  const ranked = signs.map(([code, strength]) => ({ code, ratio: LIKELIHOOD_RATIO[strength] }));
  const top = Math.max(1, ...ranked.map(({ ratio }) => ratio));
  return top > 1 ? ranked.find(({ ratio }) => ratio === top) : undefined;
}

/** A measurement has its own chances; the material only tilts them towards the answer that fits it. */
function measured({ answers, measures }: Check, world: World): number[] {
  const { of, chances } = measures!;
  const column = of === 'soundness' ? String(world.soundness) : world[of] === true ? 'yes' : 'no';
  const tilted = answers.map(({ code, says }) => {
    const sign = says.substrate?.[world.substrate as 'mdf'];
    return chances[code]![column]! * (sign ? LIKELIHOOD_RATIO[sign] : 1);
  });
  const sum = tilted.reduce((a, b) => a + b, 0);
  return tilted.map((share) => share / sum);
}

function chance(check: Check, result: string, world: World, weight: number): number {
  const shares = check.answers.map((answer) => {
    const sign = telling(answer);
    if (!sign) return weigh(check, answer, world);
    const alike = check.answers.filter((other) => {
      const theirs = telling(other);
      return theirs?.code === sign.code && theirs.ratio === sign.ratio;
    });
    return weigh(check, answer, world) / (sign.ratio * alike.length);
  });
  const sum = shares.reduce((a, b) => a + b, 0);
  const read = check.measures
    ? measured(check, world)
    : shares.map((share) => (0.95 * share) / sum + 0.05 / shares.length);
  const damped = read.map((p) => p ** weight);
  return damped[check.answers.findIndex(({ code }) => code === result)]! / damped.reduce((a, b) => a + b, 0);
}

const strength = (observation: Observation): number => {
  const { says } = findCheck(observation.check)!.answers.find(({ code }) => code === observation.result)!;
  const all = Object.values(says).flatMap((part) => Object.values(part as Record<string, Strength>));
  return Math.max(1, ...all.map((sign) => Math.max(LIKELIHOOD_RATIO[sign], 1 / LIKELIHOOD_RATIO[sign])));
};

/** Rank within the group by strength; equals share the mean of 1, 1/1.5, 1/2 … for the ranks they hold. */
function dampedWeight(observation: Observation, all: readonly Observation[]): number {
  const group = (entry: Observation): string => findCheck(entry.check)!.group ?? entry.check;
  const peers = all.filter((other) => group(other) === group(observation));
  const ranks = peers.map((_, rank) => 1 / (1 + rank / 2));
  const own = peers.map(strength).sort((a, b) => b - a);
  const held = ranks.filter((_, rank) => own[rank] === strength(observation));
  const mean = held.reduce((a, b) => a + b, 0) / held.length;
  return Math.round(mean * (observation.certainty === 'doubtful' ? 0.3 : 1) * 100) / 100;
}

function enumerate(observations: Observation[], history: History): Map<string, number> {
  const prior = computePrior({ kind: 'desk', role: 'top', history });
  const sums = new Map<string, number>();
  const counted = observations.map((observation) => ({
    check: findCheck(observation.check)!,
    result: observation.result!,
    weight: dampedWeight(observation, observations),
  }));
  for (const { world, at } of WORLDS) {
    let p = Math.exp(prior.logState[at[0]!]!);
    FACET_LISTS.slice(0, 4).forEach(([name, values], f) => {
      p *= prior.facets[name as 'seep'][at[0]! * values.length + at[f + 1]!]!;
    });
    for (const { check, result, weight } of counted) p *= chance(check, result, world, weight);
    for (const key of [
      `substrate ${world.substrate as string}`,
      `finish ${world.finish as string}`,
      `grain ${world.grain as string}`,
      `sound ${world.soundness as string}`,
      `bleed ${String(world.bleed)}`,
      'all',
    ])
      sums.set(key, (sums.get(key) ?? 0) + p);
  }
  return sums;
}

const WORLDS = listWorlds();
const ASKED = CHECKS.filter(({ code }) => !['lead_test', 'odour', 'crawl_dab'].includes(code));

describe('the belief, against going through every world', () => {
  it.each([11, 12])('agrees on the random answers of seed %d', (seed) => {
    const random = makeRandom(seed);
    const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)]!;
    const checks = new Set(Array.from({ length: 4 }, () => pick(ASKED)));
    const observations = [...checks].map((check): Observation => ({
      check: check.code,
      result: pick(check.answers).code,
      ...(random() < 0.3 ? { certainty: 'doubtful' as const } : {}),
    }));
    const history: History = { era: pick(['before_1940', 'since_2000', 'unknown'] as const), room: 'kitchen' };
    const slow = enumerate(observations, history);
    const belief = computeBelief({ piece: { kind: 'desk', history } }, { id: 'z', role: 'top', observations });
    const share = (key: string): number => slow.get(key)! / slow.get('all')!;
    for (const { code, p } of belief.substrate) expect(p).toBeCloseTo(share(`substrate ${code}`), 9);
    for (const { code, p } of belief.finish) expect(p).toBeCloseTo(share(`finish ${code}`), 9);
    for (const { code, p } of belief.grain) expect(p).toBeCloseTo(share(`grain ${code}`), 9);
    for (const { code, p } of belief.soundness) expect(p).toBeCloseTo(share(`sound ${code}`), 9);
    expect(belief.present.bleed).toBeCloseTo(share('bleed true'), 9);
    expect(WORLDS.length).toBe(STATES.length * 3 * 3 * 4 * 2);
  });
});

const SEED = 20_260_523;
const answers: fc.Arbitrary<Observation[]> = fc.uniqueArray(
  fc
    .constantFrom(...CHECKS.filter(({ code }) => code !== 'lead_test'))
    .chain((check) => fc.constantFrom(...check.answers).map((answer) => ({ check: check.code, result: answer.code }))),
  { maxLength: 6, selector: ({ check }) => check },
);
const zone = (observations: Observation[]): Zone => ({ id: 'z', role: 'front', observations });

describe('whatever has been answered', () => {
  it('a very strong answer for a material never lowers it', () => {
    let tried = 0;
    const strong = CHECKS.flatMap((check) =>
      check.answers.flatMap((answer) =>
        Object.entries(answer.says.substrate ?? {})
          .filter(([, sign]) => sign === '+++')
          .map(([code]) => ({ check: check.code, result: answer.code, code })),
      ),
    );
    fc.assert(
      fc.property(answers, fc.constantFrom(...strong), (before, { check, result, code }) => {
        if (before.some((entry) => entry.check === check)) return;
        // Against any other material with the same clear finish; under paint an edge line says nothing.
        const oddsAgainstOthers = (list: Observation[]): number[] => {
          const { joint } = computeBelief({ piece: { kind: 'sideboard' } }, zone(list));
          return STATES.map(({ finish }, s) => {
            if (FINISH_FACTS[finish].opaque) return 1;
            const own = STATES.findIndex((state) => state.substrate === code && state.finish === finish);
            return joint[own]! / joint[s]!;
          });
        };
        const odds = oddsAgainstOthers(before);
        tried += 1;
        oddsAgainstOthers([...before, { check, result }]).forEach((after, s) =>
          expect(after).toBeGreaterThanOrEqual(odds[s]! * (1 - 1e-9)),
        );
      }),
      { seed: SEED, numRuns: share(250) },
    );
    expect(tried).toBeGreaterThan(share(120));
  });

  it('an answer marked doubtful moves the belief less, and one withdrawn not at all', () => {
    const moved = (list: Observation[]): number =>
      computeBelief({ piece: { kind: 'sideboard' } }, zone(list)).substrate.find(({ code }) => code === 'hpl_laminate')!
        .p;
    const line: Observation = { check: 'edge_line', result: 'dark_line' };
    expect(moved([{ ...line, certainty: 'doubtful' }])).toBeLessThan(moved([line]));
    expect(moved([{ ...line, certainty: 'doubtful' }])).toBeGreaterThan(moved([]));
  });
});
