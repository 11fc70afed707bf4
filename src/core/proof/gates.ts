import { BLEED_MOMENTS, isLeft, type Dossier, type Test, type Treatment, type Zone } from '../dossier';
import { FILM_FACTS, isWholeCoat, showsBleed, TEST_KIND_FACTS, type TestKindFact } from '../knowledge';
import { latestOf, lowerFirst } from '../shared';
import { describeTreatment, judgeTest, limitsOf, type JudgedTest, type Limits } from './judge';

export interface Gate {
  zone: string;
  gate: 'prime_to_paint' | 'bleed' | 'handover';
  state: 'open' | 'closed' | 'waiting' | 'overridden' | 'not_needed';
  why: string;
  /** Treatments that opened the gate. */
  proved: Treatment[];
  /** Kinds of test still wanted for the chosen treatment. */
  missing: string[];
  /** When the last of what opened it was read, or when it was passed over; where that is known. */
  at?: string;
}

interface Strip {
  treatment: Treatment;
  tests: { test: Test; judged: JudgedTest }[];
}

const treatmentKey = (treatment: Treatment | undefined): string =>
  [treatment?.prep ?? 'none', treatment?.primer ?? 'none', treatment?.coats ?? (treatment?.primer ? 1 : 0)].join('/');

/**
 * May this zone be painted? Open if a treatment has a thumbnail ≤ 1 and a cross-cut ≤ 1 or fork ≤ 1 at the right age
 * and no failure at the right age. If a system was taken, only its treatment is asked about.
 */
export function judgePrimeGate(dossier: Dossier, zone: Zone): Gate {
  const base = { zone: zone.id, gate: 'prime_to_paint' as const };
  const chosen = dossier.chosen?.zones.find((entry) => entry.id === zone.id)?.treatment;
  if (isLeft(dossier, zone)) return { ...base, state: 'not_needed', why: LEFT_WORDS, proved: [], missing: [] };
  if (chosen && (chosen.primer ?? 'none') === 'none' && (chosen.coats ?? 0) === 0 && chosen.prep === 'none') {
    return { ...base, state: 'not_needed', why: 'Nothing is put on this zone.', proved: [], missing: [] };
  }
  const strips = listStrips(dossier, zone).filter(
    (strip) => !chosen || treatmentKey(strip.treatment) === treatmentKey(chosen),
  );
  const override = dossier.overrides?.find((entry) => entry.zone === zone.id && entry.gate === 'prime_to_paint');
  const verdict = judgeStrips(strips, chosen);
  if (override && verdict.state !== 'open')
    return { ...base, ...verdict, state: 'overridden', why: sayOverride(override.reason), ...lastOf([override.at]) };
  return { ...base, ...verdict };
}

function listStrips(dossier: Dossier, zone: Zone): Strip[] {
  const strips = new Map<string, Strip>();
  for (const test of dossier.tests ?? []) {
    if (test.zone !== zone.id || !test.treatment || showsBleed(test.kind)) continue;
    const key = treatmentKey(test.treatment);
    const strip = strips.get(key) ?? { treatment: test.treatment, tests: [] };
    strip.tests.push({ test, judged: judgeTest(test, dossier) });
    strips.set(key, strip);
  }
  return [...strips.values()];
}

type Verdict = Pick<Gate, 'state' | 'why' | 'proved' | 'missing' | 'at'>;

/** The latest of some moments, as a field that is left out where none is known. */
function lastOf(moments: readonly (string | undefined)[]): { at?: string } {
  const at = latestOf(moments.filter((moment) => moment !== undefined));
  return at === undefined ? {} : { at };
}

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
      ...lastOf(open.flatMap(({ strip }) => strip.tests.map(({ test }) => test.at))),
    };
  }
  const waiting = states.find(({ state }) => state === 'waiting');
  if (waiting) return { state: 'waiting', why: waiting.why, proved: [], missing: waiting.missing };
  const failed = states.find(({ state }) => state === 'closed');
  if (failed) return { state: 'closed', why: failed.why, proved: [], missing: [] };
  const name = chosen ? ` for ${lowerFirst(describeTreatment(chosen))}` : '';
  return {
    state: 'waiting',
    why: `No test yet${name}. Paint waits until a patch has held.`,
    proved: [],
    missing: [...TOUCHES],
  };
}

function judgeStrip({ treatment, tests }: Strip): {
  state: 'open' | 'closed' | 'waiting';
  why: string;
  missing: string[];
} {
  const failure = tests.find(({ judged }) => judged.verdict === 'fail');
  if (failure) return { state: 'closed', why: `${describeTreatment(treatment)}. ${failure.judged.why}`, missing: [] };
  const missing = TOUCHES.filter(
    (touch) =>
      !tests.some(({ test, judged }) => judged.verdict === 'pass' && TEST_KIND_FACTS[test.kind].opens === touch),
  );
  if (missing.length === 0) return { state: 'open', why: '', missing };
  const early = tests.find(({ judged }) => judged.early);
  const wanted = missing.map((touch) => TOUCH_WORDS[touch]).join(' and ');
  const later = early ? ` Readings count from ${early.judged.countsFromH} h.` : '';
  return { state: 'waiting', why: `${describeTreatment(treatment)}: still wants ${wanted}.${later}`, missing };
}

type Touch = NonNullable<TestKindFact['opens']>;
const TOUCH_WORDS: Record<Touch, string> = { nail: 'a thumbnail', cross_cut: 'a cross-cut or a fork' };
const TOUCHES = Object.keys(TOUCH_WORDS) as Touch[];

/** Bleed this likely is to be proved against, and blocked, under pale paint (estimate). */
export const BLEED_LIMIT = 0.15;

/**
 * Pale paint over a bleed risk waits for a bleed watch that was judged a pass and was old enough, at 48 h unless set
 * otherwise. If a system was taken, only patches of it count; else any treatment that held opens the gate.
 */
export function judgeBleedGate(dossier: Dossier, zone: Zone, bleedRisk: number, pale: boolean): Gate {
  const base = { zone: zone.id, gate: 'bleed' as const, proved: [], missing: [] };
  if (isLeft(dossier, zone)) return { ...base, state: 'not_needed', why: LEFT_WORDS };
  if (!pale) return { ...base, state: 'not_needed', why: 'Dark paint hides most bleed.' };
  if (bleedRisk < BLEED_LIMIT) return { ...base, state: 'not_needed', why: 'No stain is to be expected here.' };
  const chosen = dossier.chosen?.zones.find((entry) => entry.id === zone.id);
  const watches = new Map<string, Watch[]>();
  for (const test of dossier.tests ?? []) {
    if (test.zone !== zone.id || !showsBleed(test.kind)) continue;
    if (chosen && !covers(test.treatment, chosen)) continue;
    const key = treatmentKey(test.treatment);
    watches.set(key, [...(watches.get(key) ?? []), { test, judged: judgeTest(test, dossier) }]);
  }
  const verdicts = [...watches.values()].map((own) => judgeWatches(own, limitsOf(dossier), chosen));
  const verdict = verdicts.find(({ state }) => state === 'open') ??
    verdicts.find(({ state }) => state === 'waiting') ??
    verdicts.find(({ state }) => state === 'closed') ?? {
      state: 'waiting' as const,
      why: sayBleedWait(limitsOf(dossier)),
      proved: [],
    };
  const override = dossier.overrides?.find((entry) => entry.zone === zone.id && entry.gate === 'bleed');
  if (override && verdict.state !== 'open')
    return { ...base, state: 'overridden', why: sayOverride(override.reason), ...lastOf([override.at]) };
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
): Pick<Gate, 'state' | 'why' | 'proved' | 'at'> {
  const failed = watches.find(({ judged }) => judged.verdict === 'fail');
  if (failed) return { state: 'closed', why: failed.judged.why, proved: [] };
  const held = watches.filter(({ test, judged }) => provesNoBleed(test, judged, limits));
  if (held.length > 0) {
    // The patch that had most of the system on it says most.
    const least = held
      .map(({ test }) => listUncovered(test.treatment, chosen))
      .reduce((best, own) => (own.length < best.length ? own : best));
    const rest = least.length > 0 ? ` The patch had no ${least.join(' and no ')} on it: that was not proved.` : '';
    return {
      state: 'open',
      why: `No colour came through in ${sayMoment(limits)}.${rest}`,
      proved: [held[0]!.test.treatment!],
      ...lastOf(held.map(({ test }) => test.at)),
    };
  }
  const incomplete = watches.find(({ judged }) => judged.verdict === 'incomplete');
  const oldest = Math.max(...watches.map(({ test }) => test.age_h ?? -1));
  const sofar = incomplete ? ` ${incomplete.judged.why}` : oldest >= 0 ? ` The last look was at ${oldest} h.` : '';
  return { state: 'waiting', why: `${sayBleedWait(limits)}${sofar}`, proved: [] };
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
function listUncovered(tested: Treatment | undefined, chosen: Chosen | undefined): string[] {
  const clear = chosen?.stack?.topcoat ?? chosen?.treatment.clear ?? 'none';
  return [
    ...(tested?.paint === undefined ? ['colour coat'] : []),
    ...(clear !== 'none' && (tested?.clear ?? 'none') === 'none' ? ['clear coat'] : []),
  ];
}

const sayMoment = ({ bleed_at }: Limits): string => (bleed_at === '48h' ? '48 hours' : 'a week');
const sayBleedWait = (limits: Limits): string =>
  `Colour may come through long after the last coat: read the patch after ${sayMoment(limits)}.`;
const sayOverride = (reason: string): string => `Passed over by you: “${reason}” It stays in the record.`;
const LEFT_WORDS = 'This zone is left as it is.';

const DAY_MS = 86_400_000;

/**
 * May this zone be handed over? When the slowest of its coats has cured, counted from the last of them in the log. A tin's
 * own cure time goes before that of its class. `now`: ISO instant.
 */
export function judgeHandoverGate(dossier: Dossier, zone: Zone, now: string): Gate {
  const base = { zone: zone.id, gate: 'handover' as const, proved: [], missing: [] };
  if (isLeft(dossier, zone)) return { ...base, state: 'not_needed', why: LEFT_WORDS };
  const coats = (dossier.log ?? []).filter(
    ({ zone: id, op, at, skipped }) => id === zone.id && at !== undefined && !skipped && isWholeCoat(op),
  );
  if (coats.length === 0) return { ...base, state: 'waiting', why: 'No coat is in the log yet.' };
  const last = Math.max(...coats.map(({ at }) => Date.parse(at!)));
  const days = Math.max(...coats.map((entry) => cureDays(dossier, entry)));
  const ready = last + days * DAY_MS;
  const date = new Date(ready).toISOString().slice(0, 10);
  if (Date.parse(now) >= ready) return { ...base, state: 'open', why: `Cured since ${date}.` };
  const override = dossier.overrides?.find((entry) => entry.zone === zone.id && entry.gate === 'handover');
  if (override) return { ...base, state: 'overridden', why: sayOverride(override.reason) };
  return { ...base, state: 'waiting', why: `It cures for ${days} days from the last coat: until ${date}.` };
}

function cureDays(dossier: Dossier, { class: code, product }: NonNullable<Dossier['log']>[number]): number {
  const tin = dossier.shelf?.find(({ id }) => id === product);
  const film = FILM_FACTS[code as keyof typeof FILM_FACTS] as { cureDays: number } | undefined;
  return tin?.cure_days ?? film?.cureDays ?? LONGEST_CURE_DAYS;
}

/** A coat of an unknown class is taken for a slow one (common practice: a month for most waterborne films). */
const LONGEST_CURE_DAYS = 30;
