import type { Dossier, Test, Treatment, Zone } from '../dossier';
import { FILM_FACTS } from '../knowledge';
import { describeTreatment, judgeTest, limitsOf, type JudgedTest } from './judge';

export interface Gate {
  zone: string;
  gate: 'prime_to_paint' | 'bleed' | 'handover';
  state: 'open' | 'closed' | 'waiting' | 'overridden' | 'not_needed';
  why: string;
  /** Treatments that opened the gate. */
  proved: Treatment[];
  /** Kinds of test still wanted for the chosen treatment. */
  missing: string[];
}

interface Strip {
  treatment: Treatment;
  tests: { test: Test; judged: JudgedTest }[];
}

const SCRATCH_KINDS: readonly Test['kind'][] = ['cross_cut', 'x_cut', 'fork', 'coin'];

export const treatmentKey = (treatment: Treatment | undefined): string =>
  [treatment?.prep ?? 'none', treatment?.primer ?? 'none', treatment?.coats ?? (treatment?.primer ? 1 : 0)].join('/');

/**
 * May this zone be painted? Open if a treatment has a thumbnail ≤ 1 and a cross-cut ≤ 1 or fork ≤ 1 at the right age
 * and no failure at the right age. If a system was taken, only its treatment is asked about.
 */
export function judgePrimeGate(dossier: Dossier, zone: Zone): Gate {
  const base = { zone: zone.id, gate: 'prime_to_paint' as const };
  const chosen = dossier.chosen?.zones.find((entry) => entry.id === zone.id)?.treatment;
  if (dossier.goal?.zones?.[zone.id]?.look === 'leave') {
    return { ...base, state: 'not_needed', why: 'This zone is left as it is.', proved: [], missing: [] };
  }
  if (chosen && (chosen.primer ?? 'none') === 'none' && (chosen.coats ?? 0) === 0 && chosen.prep === 'none') {
    return { ...base, state: 'not_needed', why: 'Nothing is put on this zone.', proved: [], missing: [] };
  }
  const strips = listStrips(dossier, zone).filter(
    (strip) => !chosen || treatmentKey(strip.treatment) === treatmentKey(chosen),
  );
  const override = dossier.overrides?.find((entry) => entry.zone === zone.id && entry.gate === 'prime_to_paint');
  const verdict = judgeStrips(strips, chosen);
  if (override && verdict.state !== 'open') {
    return {
      ...base,
      ...verdict,
      state: 'overridden',
      why: `Passed over by you: “${override.reason}” It stays in the record.`,
    };
  }
  return { ...base, ...verdict };
}

function listStrips(dossier: Dossier, zone: Zone): Strip[] {
  const strips = new Map<string, Strip>();
  for (const test of dossier.tests ?? []) {
    if (test.zone !== zone.id || !test.treatment || test.kind === 'bleed_watch') continue;
    const key = treatmentKey(test.treatment);
    const strip = strips.get(key) ?? { treatment: test.treatment, tests: [] };
    strip.tests.push({ test, judged: judgeTest(test, dossier) });
    strips.set(key, strip);
  }
  return [...strips.values()];
}

type Verdict = Pick<Gate, 'state' | 'why' | 'proved' | 'missing'>;

function judgeStrips(strips: readonly Strip[], chosen: Treatment | undefined): Verdict {
  const states = strips.map((strip) => ({ strip, ...judgeStrip(strip) }));
  const open = states.filter(({ state }) => state === 'open');
  if (open.length > 0) {
    const names = open.map(({ strip }) => describeTreatment(strip.treatment)).join('; ');
    return {
      state: 'open',
      why: `Held at the right age: ${names}.`,
      proved: open.map(({ strip }) => strip.treatment),
      missing: [],
    };
  }
  const waiting = states.find(({ state }) => state === 'waiting');
  if (waiting) return { state: 'waiting', why: waiting.why, proved: [], missing: waiting.missing };
  const failed = states.find(({ state }) => state === 'closed');
  if (failed) return { state: 'closed', why: failed.why, proved: [], missing: [] };
  const name = chosen ? ` for ${describeTreatment(chosen).toLowerCase()}` : '';
  return {
    state: 'waiting',
    why: `No test yet${name}. Paint waits until a patch has held.`,
    proved: [],
    missing: ['nail', 'cross_cut'],
  };
}

function judgeStrip({ treatment, tests }: Strip): {
  state: 'open' | 'closed' | 'waiting';
  why: string;
  missing: string[];
} {
  const failure = tests.find(({ judged }) => judged.verdict === 'fail');
  if (failure) return { state: 'closed', why: `${describeTreatment(treatment)}. ${failure.judged.why}`, missing: [] };
  const passed = (kinds: readonly Test['kind'][]): boolean =>
    tests.some(({ test, judged }) => judged.verdict === 'pass' && kinds.includes(test.kind));
  const missing: string[] = [];
  if (!passed(['nail'])) missing.push('nail');
  if (!passed(SCRATCH_KINDS)) missing.push('cross_cut');
  if (missing.length === 0) return { state: 'open', why: '', missing };
  const early = tests.find(({ judged }) => judged.early);
  const wanted = missing.map((kind) => (kind === 'nail' ? 'a thumbnail' : 'a cross-cut or a fork')).join(' and ');
  const later = early ? ` Readings count from ${early.judged.countsFromH} h.` : '';
  return { state: 'waiting', why: `${describeTreatment(treatment)}: still wants ${wanted}.${later}`, missing };
}

/** Pale paint over a bleed risk waits for a bleed watch, at 48 h unless set otherwise. */
export function judgeBleedGate(dossier: Dossier, zone: Zone, bleedRisk: number, pale: boolean): Gate {
  const base = { zone: zone.id, gate: 'bleed' as const, proved: [], missing: [] };
  const { bleed_at } = limitsOf(dossier);
  const wait = bleed_at === '48h' ? '48 hours' : 'a week';
  if (!pale || bleedRisk < 0.15 || dossier.goal?.zones?.[zone.id]?.look === 'leave') {
    return {
      ...base,
      state: 'not_needed',
      why: pale ? 'No stain is to be expected here.' : 'Dark paint hides most bleed.',
    };
  }
  const override = dossier.overrides?.find((entry) => entry.zone === zone.id && entry.gate === 'bleed');
  const chosen = dossier.chosen?.zones.find((entry) => entry.id === zone.id)?.treatment;
  const watches = (dossier.tests ?? []).filter(
    (test) =>
      test.zone === zone.id &&
      test.kind === 'bleed_watch' &&
      (!chosen || treatmentKey(test.treatment) === treatmentKey(chosen)),
  );
  const failed = watches
    .map((test) => ({ test, judged: judgeTest(test, dossier) }))
    .find(({ judged }) => judged.verdict === 'fail');
  const late = watches.find((test) => test.reading.at === '7d' || test.reading.at === bleed_at);
  if (late && !failed) return { ...base, state: 'open', why: `No colour came through in ${wait}.` };
  if (override)
    return {
      ...base,
      state: 'overridden',
      why: `Passed over by you: “${String(override.reason)}” It stays in the record.`,
    };
  if (failed) return { ...base, state: 'closed', why: failed.judged.why };
  return {
    ...base,
    state: 'waiting',
    why: `Colour may come through long after the last coat: read the patch after ${wait}.`,
  };
}

const DAY_MS = 86_400_000;

/**
 * May this zone be handed over? When the slowest of its coats has cured, counted from the last of them in the log. A tin's
 * own cure time goes before that of its class. `now`: ISO instant.
 */
export function judgeHandoverGate(dossier: Dossier, zone: Zone, now: string): Gate {
  const base = { zone: zone.id, gate: 'handover' as const, proved: [], missing: [] };
  if (dossier.goal?.zones?.[zone.id]?.look === 'leave') {
    return { ...base, state: 'not_needed', why: 'This zone is left as it is.' };
  }
  const coats = (dossier.log ?? []).filter(
    ({ zone: id, op, at, skipped }) =>
      id === zone.id && at !== undefined && !skipped && (op === 'prime' || op === 'paint' || op === 'topcoat'),
  );
  if (coats.length === 0) return { ...base, state: 'waiting', why: 'No coat is in the log yet.' };
  const last = Math.max(...coats.map(({ at }) => Date.parse(at!)));
  const days = Math.max(...coats.map((entry) => cureDays(dossier, entry)));
  const ready = last + days * DAY_MS;
  const date = new Date(ready).toISOString().slice(0, 10);
  if (Date.parse(now) >= ready) return { ...base, state: 'open', why: `Cured since ${date}.` };
  const override = dossier.overrides?.find((entry) => entry.zone === zone.id && entry.gate === 'handover');
  if (override) {
    return { ...base, state: 'overridden', why: `Passed over by you: “${override.reason}” It stays in the record.` };
  }
  return { ...base, state: 'waiting', why: `It cures for ${days} days from the last coat: until ${date}.` };
}

function cureDays(dossier: Dossier, { class: code, product }: NonNullable<Dossier['log']>[number]): number {
  const tin = dossier.shelf?.find(({ id }) => id === product);
  const film = FILM_FACTS[code as keyof typeof FILM_FACTS] as { cureDays: number } | undefined;
  return tin?.cure_days ?? film?.cureDays ?? LONGEST_CURE_DAYS;
}

/** A coat of an unknown class is taken for a slow one (common practice: a month for most waterborne films). */
const LONGEST_CURE_DAYS = 30;
