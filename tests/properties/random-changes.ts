import { CHECKS, DEFECTS } from '@/core/knowledge';
import { DOSSIER_FORMAT, type Dossier, type LogEntry, type Observation, type PieceChange } from '@/core/dossier';
import { makeRandom, type Fact } from '@/core/shared';

/* Random files and random sequences of changes, drawn from a seed: few ids, so that the same thing is touched again. */

type Random = () => number;
const pick = <T>(random: Random, list: readonly T[]): T => list[Math.floor(random() * list.length)]!;
const ZONES = ['top', 'side', 'legs', 'lid'] as const;
const ROLES = { top: 'top', side: 'side', legs: 'leg', lid: 'top' } as const;
const AT = '2026-11-20T10:00:00Z';

const drawAnswer = (random: Random): Pick<Observation, 'check' | 'result'> => {
  const { code, answers } = pick(random, CHECKS);
  return { check: code, result: pick(random, answers).code };
};

/** A file by hand: ids here and there, some of them just those that would be made up, records of every kind. */
export function drawFile(seed: number): Dossier {
  const random = makeRandom(seed);
  const maybe = <T>(value: T): T | Record<string, never> => (random() < 0.5 ? value : {});
  const zones = ZONES.slice(0, 1 + Math.floor(random() * 3));
  let made = 0;
  // An id that a naive numbering would give to another record, each at most once.
  const ids = ['o1', 'o2', 'o3', 't1', 't2', 'g1', 'l1', 'l2', 'top.o1', 'side.o1'].sort(() => random() - 0.5);
  const named = (): { id?: string } =>
    random() < 0.4 ? { id: random() < 0.5 && ids.length > 0 ? ids.pop()! : `own-${(made += 1)}` } : {};
  const several = <T>(most: number, make: () => T): T[] =>
    Array.from({ length: Math.floor(random() * (most + 1)) }, make);
  return {
    format: DOSSIER_FORMAT,
    piece: { kind: 'desk', name: `Desk ${seed}` },
    zones: zones.map((id) => ({
      id,
      role: ROLES[id],
      observations: several(5, () => ({ ...named(), ...drawAnswer(random), note: `n${(made += 1)}` })),
      ...maybe({ defects: [{ code: pick(random, DEFECTS) }] }),
    })),
    tests: several(4, () => ({
      ...named(),
      zone: pick(random, zones),
      kind: 'nail' as const,
      reading: { score: Math.floor(random() * 6) },
      note: `n${(made += 1)}`,
    })),
    overrides: several(2, () => ({
      ...named(),
      zone: pick(random, zones),
      gate: 'bleed' as const,
      reason: `r${(made += 1)}`,
    })),
    log: several(5, () => ({
      ...named(),
      zone: pick(random, zones),
      op: 'prime' as const,
      at: AT,
      note: `n${(made += 1)}`,
    })),
  };
}

/** Facts as phones send them: of wishes, zones, faults, parts, handles and the piece; of things that are gone, too. */
export function drawFacts(random: Random): Fact[] {
  const zone = pick(random, ZONES);
  const n = Math.floor(random() * 4);
  const facts: (() => Fact)[] = [
    () => ({ path: ['piece', 'name'], value: `Desk ${n}` }),
    () => ({ path: ['piece', 'history', 'era'], ...(n > 1 ? { value: 'before_1950' } : {}) }),
    () => ({ path: ['goal', 'colour'], value: `#00000${n}` }),
    () => ({ path: ['goal', 'sheen'], ...(n > 0 ? { value: 'matt' } : {}) }),
    () => ({ path: ['goal', 'zones', zone, 'look'], ...(n > 0 ? { value: 'leave' } : {}) }),
    () => ({ path: ['goal', 'schools', 'doors'], value: n > 1 ? 'on' : 'off' }),
    () => ({ path: ['zones', zone, 'area_m2'], value: 1 + n }),
    () => ({ path: ['zones', zone, 'name'], value: `Zone ${n}` }),
    () => ({ path: ['zones', zone, 'skipped_checks', 'pores'], ...(n > 1 ? { value: 'pores' } : {}) }),
    () => ({ path: ['zones', zone, 'defects', `d${n}`], value: { id: `d${n}`, code: pick(random, DEFECTS) } }),
    () => ({ path: ['zones', zone, 'defects', `d${n}`, 'extent'], value: 'area' }),
    () => ({ path: ['zones', zone, 'defects', `d${n}`] }),
    () => ({ path: ['parts', `part${n}`, 'state'], value: 'refitted' }),
    () => ({ path: ['hardware', zone, 'next', 'holes'], value: n > 1 ? 1 : 2 }),
  ];
  return Array.from({ length: 1 + Math.floor(random() * 2) }, () => pick(random, facts)());
}

/** A change of a piece with the zones above, some of them of zones that are not there just now. */
export function drawChange(random: Random): PieceChange {
  const zoneId = pick(random, ZONES);
  const n = Math.floor(random() * 4);
  const entry = (): LogEntry => ({
    zone: pick(random, ZONES),
    op: pick(random, ['prime', 'paint', 'denib'] as const),
    at: AT,
  });
  const strip = { code: 'A', control: false, replicate: 1, x_mm: 0, y_mm: 0, width_mm: 40, height_mm: 40 };
  const changes: (() => PieceChange)[] = [
    () => ({
      type: 'zone_set',
      zoneId,
      facts: { role: ROLES[zoneId], area_m2: 1 + n, ...(random() < 0.2 ? { like: pick(random, ZONES) } : {}) },
    }),
    () => ({ type: 'zone_removed', zoneId }),
    () => ({ type: 'observation_recorded', zoneId, observation: { id: `${zoneId}-o${n}`, ...drawAnswer(random) } }),
    () => ({ type: 'observation_recorded', zoneId, observation: { id: `shared-o${n}`, ...drawAnswer(random) } }),
    () => ({ type: 'observation_withdrawn', zoneId, observationId: `${zoneId}-o${n}` }),
    () => ({ type: 'skips_set', zoneId, checks: [pick(random, CHECKS).code] }),
    () => ({ type: 'defects_set', zoneId, defects: [{ code: pick(random, DEFECTS) }] }),
    () => ({
      type: 'test_logged',
      test: { id: `t${n}`, zone: zoneId, kind: 'nail', reading: { score: n }, age_h: 20 },
    }),
    () => ({ type: 'test_withdrawn', testId: `t${n}` }),
    () => ({ type: 'gate_overridden', override: { id: `g${n}`, zone: zoneId, gate: 'bleed', reason: `because ${n}` } }),
    () => ({
      type: 'panel_set',
      panel: {
        id: `p${n}`,
        zone: zoneId,
        seed: n,
        width_mm: 100,
        height_mm: 100,
        kinds: ['nail'],
        strips: [{ ...strip, treatment: {} }],
      },
    }),
    () => ({ type: 'panel_removed', panelId: `p${n}` }),
    () => ({
      type: 'outcome_recorded',
      outcome: { id: `out${n}`, outcome: 'fine', ...(random() < 0.7 ? { zone: zoneId } : {}) },
    }),
    () => ({
      type: 'trouble_set',
      trouble: { id: `x${n}`, zone: zoneId, symptom: 'bleed', clues: { colour: 'pink' } },
    }),
    () => ({ type: 'trouble_removed', troubleId: `x${n}` }),
    () => ({
      type: 'work_logged',
      work: `w${n}`,
      entries: Array.from({ length: 1 + Math.floor(random() * 3) }, entry),
    }),
    () => ({ type: 'work_withdrawn', work: `w${n}` }),
    () => ({ type: 'parts_set', parts: [{ id: `part${n}`, zone: zoneId, label: 'D1', place: 'Left', state: 'off' }] }),
    () => ({ type: 'hardware_set', hardware: [{ zone: zoneId, old: { holes: 1 }, next: { holes: 1 } }] }),
    () => ({
      type: 'mix_set',
      mix: { id: `m${n}`, kind: 'colour', name: 'Blue', parts: [{ name: 'White', parts: 1 }], volume_ml: 100 },
    }),
    () => ({ type: 'mix_removed', mixId: `m${n}` }),
    () => ({ type: 'facts_changed', facts: drawFacts(random) }),
    () => ({ type: 'facts_changed', facts: drawFacts(random) }),
    () => ({ type: 'money_set', money: { asking: 10 + n, fees_pct: 5 } }),
    () => ({ type: 'handover_set', handover: { flaws: pick(random, ['A dent', 'A ring']) } }),
    () => ({ type: 'goal_set', goal: { zones: { [zoneId]: { look: 'leave' } } } }),
    () => ({ type: 'climate_set', climate: { temperature_c: 15 + n, humidity_pct: 50 } }),
    () => ({
      type: 'choice_taken',
      choice: { at: AT, zones: [{ id: zoneId, treatment: { primer: 'shellac_primer', coats: 1 + n } }] },
    }),
  ];
  // Removing and setting again is what is hardest to get alike: it comes up more often.
  return pick(random, random() < 0.25 ? changes.slice(0, 2) : changes)();
}
