import { BLEED_MOMENTS, isLeft, isOfNow, type Dossier, type Test, type Treatment, type Zone } from '../dossier';
import { FILM_FACTS, isWholeCoat, showsBleed, TEST_KIND_FACTS, type TestKindFact } from '../knowledge';
import { latestOf } from '../shared';
import { treatmentKey } from './treatment-key';
import { judgeTest, limitsOf, type JudgedTest, type Limits } from './judge';

export interface Gate {
  zone: string;
  gate: 'prime_to_paint' | 'bleed' | 'handover';
  state: 'open' | 'closed' | 'waiting' | 'overridden' | 'not_needed';
  because: GateReason;
  /** Treatments that opened the gate. */
  proved: Treatment[];
  /** Kinds of test still wanted for the chosen treatment. */
  missing: string[];
  /** When the last of what opened it was read, or when it was passed over; where that is known. */
  at?: string;
}

/** Why a gate stands as it does, with what its sentence needs. */
export type GateReason =
  | { code: 'left' }
  | { code: 'nothing_put_on' }
  | { code: 'overridden'; reason: string }
  | { code: 'held'; treatments: Treatment[] }
  | { code: 'failed'; test: JudgedTest; treatment?: Treatment }
  | { code: 'untested'; treatment?: Treatment }
  | { code: 'wants'; treatment: Treatment; touches: Touch[]; countsFromH?: number }
  | { code: 'hidden_by_dark' }
  | { code: 'no_stain_expected' }
  | { code: 'no_bleed'; at: Limits['bleed_at']; uncovered: ('colour' | 'clear')[] }
  | { code: 'bleed_wait'; at: Limits['bleed_at']; incomplete?: JudgedTest; lastLookH?: number }
  | { code: 'no_coat_yet' }
  | { code: 'cured'; since: string }
  | { code: 'cures'; days: number; until: string };

interface Strip {
  treatment: Treatment;
  tests: { test: Test; judged: JudgedTest }[];
}

/**
 * May this zone be painted? Open if a treatment has a thumbnail ≤ 1 and a cross-cut ≤ 1 or fork ≤ 1 at the right age
 * and no failure at the right age. If a system was taken, only its treatment is asked about.
 */
export function judgePrimeGate(dossier: Dossier, zone: Zone): Gate {
  const base = { zone: zone.id, gate: 'prime_to_paint' as const };
  const chosen = dossier.chosen?.zones.find((entry) => entry.id === zone.id)?.treatment;
  if (isLeft(dossier, zone))
    return { ...base, state: 'not_needed', because: { code: 'left' }, proved: [], missing: [] };
  if (chosen && (chosen.primer ?? 'none') === 'none' && (chosen.coats ?? 0) === 0 && chosen.prep === 'none') {
    return { ...base, state: 'not_needed', because: { code: 'nothing_put_on' }, proved: [], missing: [] };
  }
  const strips = listStrips(dossier, zone).filter(
    (strip) => !chosen || treatmentKey(strip.treatment) === treatmentKey(chosen),
  );
  const override = findOverride(dossier, zone, 'prime_to_paint');
  const verdict = judgeStrips(strips, chosen);
  if (override && verdict.state !== 'open')
    return { ...base, ...verdict, state: 'overridden', because: passedOver(override.reason), ...lastOf([override.at]) };
  return { ...base, ...verdict };
}

/** The gate was passed over, for the coats on it now. */
const findOverride = (dossier: Dossier, zone: Zone, gate: Gate['gate']) =>
  dossier.overrides?.find((entry) => entry.zone === zone.id && entry.gate === gate && isOfNow(dossier, entry));

function listStrips(dossier: Dossier, zone: Zone): Strip[] {
  const strips = new Map<string, Strip>();
  for (const test of dossier.tests ?? []) {
    if (test.zone !== zone.id || !test.treatment || showsBleed(test.kind) || !isOfNow(dossier, test)) continue;
    const key = treatmentKey(test.treatment);
    const strip = strips.get(key) ?? { treatment: test.treatment, tests: [] };
    strip.tests.push({ test, judged: judgeTest(test, dossier) });
    strips.set(key, strip);
  }
  return [...strips.values()];
}

type Verdict = Pick<Gate, 'state' | 'because' | 'proved' | 'missing' | 'at'>;

/** The latest of some moments, as a field that is left out where none is known. */
function lastOf(moments: readonly (string | undefined)[]): { at?: string } {
  const at = latestOf(moments.filter((moment) => moment !== undefined));
  return at === undefined ? {} : { at };
}

function judgeStrips(strips: readonly Strip[], chosen: Treatment | undefined): Verdict {
  const states = strips.map((strip) => ({ strip, ...judgeStrip(strip) }));
  const open = states.filter(({ state }) => state === 'open');
  if (open.length > 0) {
    const treatments = open.map(({ strip }) => strip.treatment);
    return {
      state: 'open',
      because: { code: 'held', treatments },
      proved: treatments,
      missing: [],
      ...lastOf(open.flatMap(({ strip }) => strip.tests.map(({ test }) => test.at))),
    };
  }
  const waiting = states.find(({ state }) => state === 'waiting');
  if (waiting) return { state: 'waiting', because: waiting.because, proved: [], missing: waiting.missing };
  const failed = states.find(({ state }) => state === 'closed');
  if (failed) return { state: 'closed', because: failed.because, proved: [], missing: [] };
  return {
    state: 'waiting',
    because: { code: 'untested', ...(chosen ? { treatment: chosen } : {}) },
    proved: [],
    missing: [...TOUCHES],
  };
}

function judgeStrip({ treatment, tests }: Strip): {
  state: 'open' | 'closed' | 'waiting';
  because: GateReason;
  missing: string[];
} {
  const failure = tests.find(({ judged }) => judged.verdict === 'fail');
  if (failure) return { state: 'closed', because: { code: 'failed', test: failure.judged, treatment }, missing: [] };
  const missing = TOUCHES.filter(
    (touch) =>
      !tests.some(({ test, judged }) => judged.verdict === 'pass' && TEST_KIND_FACTS[test.kind].opens === touch),
  );
  if (missing.length === 0) return { state: 'open', because: { code: 'held', treatments: [treatment] }, missing };
  const early = tests.find(({ judged }) => judged.early);
  const later = early ? { countsFromH: early.judged.countsFromH } : {};
  return { state: 'waiting', because: { code: 'wants', treatment, touches: missing, ...later }, missing };
}

export type Touch = NonNullable<TestKindFact['opens']>;
const TOUCHES: readonly Touch[] = ['nail', 'cross_cut'];

/** Bleed this likely is to be proved against, and blocked, under pale paint (estimate). */
export const BLEED_LIMIT = 0.15;

/**
 * Pale paint over a bleed risk waits for a bleed watch that was judged a pass and was old enough, at 48 h unless set
 * otherwise. If a system was taken, only patches of it count; else any treatment that held opens the gate.
 */
export function judgeBleedGate(dossier: Dossier, zone: Zone, bleedRisk: number, pale: boolean): Gate {
  const base = { zone: zone.id, gate: 'bleed' as const, proved: [], missing: [] };
  if (isLeft(dossier, zone)) return { ...base, state: 'not_needed', because: { code: 'left' } };
  if (!pale) return { ...base, state: 'not_needed', because: { code: 'hidden_by_dark' } };
  if (bleedRisk < BLEED_LIMIT) return { ...base, state: 'not_needed', because: { code: 'no_stain_expected' } };
  const chosen = dossier.chosen?.zones.find((entry) => entry.id === zone.id);
  const watches = new Map<string, Watch[]>();
  for (const test of dossier.tests ?? []) {
    if (test.zone !== zone.id || !showsBleed(test.kind) || !isOfNow(dossier, test)) continue;
    if (chosen && !covers(test.treatment, chosen)) continue;
    const key = treatmentKey(test.treatment);
    watches.set(key, [...(watches.get(key) ?? []), { test, judged: judgeTest(test, dossier) }]);
  }
  const verdicts = [...watches.values()].map((own) => judgeWatches(own, limitsOf(dossier), chosen));
  const verdict = verdicts.find(({ state }) => state === 'open') ??
    verdicts.find(({ state }) => state === 'waiting') ??
    verdicts.find(({ state }) => state === 'closed') ?? {
      state: 'waiting' as const,
      because: { code: 'bleed_wait' as const, at: limitsOf(dossier).bleed_at },
      proved: [],
    };
  const override = findOverride(dossier, zone, 'bleed');
  if (override && verdict.state !== 'open')
    return { ...base, state: 'overridden', because: passedOver(override.reason), ...lastOf([override.at]) };
  return { ...base, ...verdict };
}

type Chosen = NonNullable<Dossier['chosen']>['zones'][number];

interface Watch {
  test: Test;
  judged: JudgedTest;
}

/** Watches of one treatment: one that bled closes, one that was clean when it was old enough opens. */
function judgeWatches(
  watches: readonly Watch[],
  limits: Limits,
  chosen: Chosen | undefined,
): Pick<Gate, 'state' | 'because' | 'proved' | 'at'> {
  const failed = watches.find(({ judged }) => judged.verdict === 'fail');
  if (failed) return { state: 'closed', because: { code: 'failed', test: failed.judged }, proved: [] };
  const held = watches.filter(({ test, judged }) => provesNoBleed(test, judged, limits));
  if (held.length > 0) {
    // The patch that had most of the system on it says most.
    const least = held
      .map(({ test }) => listUncovered(test.treatment, chosen))
      .reduce((best, own) => (own.length < best.length ? own : best));
    return {
      state: 'open',
      because: { code: 'no_bleed', at: limits.bleed_at, uncovered: least },
      proved: [held[0]!.test.treatment!],
      ...lastOf(held.map(({ test }) => test.at)),
    };
  }
  const incomplete = watches.find(({ judged }) => judged.verdict === 'incomplete');
  const oldest = Math.max(...watches.map(({ test }) => test.age_h ?? -1));
  const sofar = incomplete ? { incomplete: incomplete.judged } : oldest >= 0 ? { lastLookH: oldest } : {};
  return { state: 'waiting', because: { code: 'bleed_wait', at: limits.bleed_at, ...sofar }, proved: [] };
}

/** Hours at which the moments of a bleed watch have come. */
const BLEED_HOURS: Record<Limits['bleed_at'], number> = { '48h': 48, '7d': 168 };

/**
 * Does a bleed watch prove what the gate asks? Only a judged pass does whose age has reached the moment; a moment named
 * without that age, or an age with an earlier moment named, proves nothing.
 */
export function provesNoBleed(test: Test, judged: Pick<JudgedTest, 'verdict'>, { bleed_at }: Limits): boolean {
  const order: readonly string[] = BLEED_MOMENTS;
  return (
    showsBleed(test.kind) &&
    judged.verdict === 'pass' &&
    (test.age_h ?? 0) >= BLEED_HOURS[bleed_at] &&
    order.indexOf(String(test.reading.at)) >= order.indexOf(bleed_at)
  );
}

/** The moment of a bleed watch that an age in hours (0 or more) has reached. Example: 50 h → `48h`. */
export function bleedMomentAt(ageH: number): (typeof BLEED_MOMENTS)[number] {
  if (ageH >= BLEED_HOURS['7d']) return '7d';
  if (ageH >= BLEED_HOURS['48h']) return '48h';
  return ageH >= OVERNIGHT_H ? 'overnight' : '1h';
}

const OVERNIGHT_H = 8;

/** Is a patch one of the system taken: the same preparation, primer and coats, and no other paint or clear on it? */
function covers(tested: Treatment | undefined, { treatment, stack }: Chosen): boolean {
  if (!tested || treatmentKey(tested) !== treatmentKey(treatment)) return false;
  const [paint, clear] = [stack?.paint ?? treatment.paint, stack?.topcoat ?? treatment.clear];
  const paintCoats = stack?.paint_coats ?? treatment.paint_coats;
  if (tested.paint !== undefined && paint !== undefined && tested.paint !== paint) return false;
  if (tested.clear !== undefined && clear !== undefined && tested.clear !== clear) return false;
  // More paint than will be put on would hide what the piece will show.
  return tested.paint === undefined || paintCoats === undefined || (tested.paint_coats ?? 1) <= paintCoats;
}

/** What will lie on the piece and did not lie on the patch. */
function listUncovered(tested: Treatment | undefined, chosen: Chosen | undefined): ('colour' | 'clear')[] {
  const clear = chosen?.stack?.topcoat ?? chosen?.treatment.clear ?? 'none';
  return [
    ...(tested?.paint === undefined ? (['colour'] as const) : []),
    ...(clear !== 'none' && (tested?.clear ?? 'none') === 'none' ? (['clear'] as const) : []),
  ];
}

const passedOver = (reason: string): GateReason => ({ code: 'overridden', reason });

const DAY_MS = 86_400_000;

/**
 * May this zone be handed over? When the slowest of its coats has cured, counted from the last of them in the log. A tin's
 * own cure time goes before that of its class. `now`: ISO instant.
 */
export function judgeHandoverGate(dossier: Dossier, zone: Zone, now: string): Gate {
  const base = { zone: zone.id, gate: 'handover' as const, proved: [], missing: [] };
  if (isLeft(dossier, zone)) return { ...base, state: 'not_needed', because: { code: 'left' } };
  const coats = (dossier.log ?? []).filter(
    ({ zone: id, op, at, skipped }) => id === zone.id && at !== undefined && !skipped && isWholeCoat(op),
  );
  if (coats.length === 0) return { ...base, state: 'waiting', because: { code: 'no_coat_yet' } };
  const last = Math.max(...coats.map(({ at }) => Date.parse(at!)));
  const days = Math.max(...coats.map((entry) => cureDays(dossier, entry)));
  const ready = last + days * DAY_MS;
  const at = new Date(ready).toISOString();
  if (Date.parse(now) >= ready) return { ...base, state: 'open', because: { code: 'cured', since: at } };
  const override = findOverride(dossier, zone, 'handover');
  if (override) return { ...base, state: 'overridden', because: passedOver(override.reason) };
  return { ...base, state: 'waiting', because: { code: 'cures', days, until: at } };
}

function cureDays(dossier: Dossier, { class: code, product }: NonNullable<Dossier['log']>[number]): number {
  const tin = dossier.shelf?.find(({ id }) => id === product);
  const film = FILM_FACTS[code as keyof typeof FILM_FACTS] as { cureDays: number } | undefined;
  return tin?.cure_days ?? film?.cureDays ?? LONGEST_CURE_DAYS;
}

/** A coat of an unknown class is taken for a slow one (common practice: a month for most waterborne films). */
const LONGEST_CURE_DAYS = 30;
