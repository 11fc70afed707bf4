import { BLEED_MOMENTS, type Dossier, type Test, type Treatment, type Zone } from '../dossier';
import { listTestKinds, TEST_KIND_FACTS, type TestKind, type TestKindFact } from '../knowledge';
import { expectsBleed, exposureOf, type Exposure } from './bleeding';
import { countsFromHours, limitsOf, type JudgedTest, type Limits } from './judge';
import { listReadings, type Reading } from './zone-readings';
import { clearOf, covers, failsBlockOf, failsGripOf, treatmentKey, type Wanted } from './sameness';

/** What a patch is to show before its zone may be painted. */
export type Proof = NonNullable<TestKindFact['opens']>;
/** Of grip, both before the first coat of paint; of bleed, before pale paint. */
const GRIP: readonly Proof[] = ['nail', 'cross_cut'];
const BLEED: readonly Proof[] = ['no_bleed'];

/** One test that is wanted of a treatment on a zone, and what has been read of it. */
export interface Requirement {
  shows: Proof;
  /** The kinds of test that show it, the usual one first: one of them is enough. */
  kinds: readonly TestKind[];
  /** What is on the patch that shows it. */
  treatment: Treatment;
  /** Hours after the last coat of the patch from which a reading counts. */
  fromH: number;
  state: 'met' | 'failed' | 'early' | 'incomplete' | 'missing';
  /** The readings that speak of it, here and on zones that are alike. */
  readings: Reading[];
}

/** Hours at which the moments of a bleed watch have come. */
const BLEED_HOURS: Record<Limits['bleed_at'], number> = { '48h': 48, '7d': 168 };

/** What must be shown where coats stand against this. */
export const listProofs = (exposure: Exposure): Proof[] => [...GRIP, ...(expectsBleed(exposure) ? BLEED : [])];

/** The kinds of test that show it, the usual one first. */
const KINDS = new Map(
  [...GRIP, ...BLEED].map((proof) => [proof, listTestKinds().filter((kind) => TEST_KIND_FACTS[kind].opens === proof)]),
);
const kindsFor = (proof: Proof): TestKind[] => KINDS.get(proof)!;

/** The usual kinds of test for what must be shown. */
export const listAskedKinds = (proofs: readonly Proof[]): TestKind[] => proofs.map((proof) => kindsFor(proof)[0]!);

export const isOfGrip = (proof: Proof): boolean => GRIP.includes(proof);

/** Grip is asked of the primer: a patch that shows it needs no paint. */
export function withoutPaint(treatment: Treatment): Treatment {
  if ((treatment.primer ?? 'none') === 'none' || clearOf(treatment)) return treatment;
  const { paint: _paint, paint_coats: _coats, clear: _clear, ...primed } = treatment;
  return primed;
}

/**
 * Which tests a treatment wants on a zone, and what has been shown: the one answer that plans, panels, gates, tasks and
 * audits go by. A patch counts on every zone that is read alike; a reading taken too early, or without what it takes to be
 * judged, shows nothing; one failure at the right age fails it, whatever held. `exposure` where something else is supposed
 * than what is known of the zone.
 */
export function requirementsFor(
  dossier: Dossier,
  zone: Zone,
  wanted: Wanted,
  exposure: Exposure = exposureOf(dossier, zone, wanted.treatment.prep),
): Requirement[] {
  const limits = limitsOf(dossier);
  const readings = listReadings(dossier, zone);
  const wantedKey = treatmentKey(wanted.treatment);
  return listProofs(exposure).map((shows): Requirement => {
    const kinds = kindsFor(shows);
    const grip = isOfGrip(shows);
    const own = readings.filter(({ test }) => TEST_KIND_FACTS[test.kind].shows === (grip ? 'grip' : 'bleed'));
    const against = own.filter(
      ({ test, judged }) =>
        judged.verdict === 'fail' && (grip ? failsGripOf(test, wanted) : failsBlockOf(test, wanted)),
    );
    const speaking = own.filter(
      ({ test, key }) => key === wantedKey && kinds.includes(test.kind) && (grip || covers(test.treatment, wanted)),
    );
    const met = speaking.filter(({ test, judged }) =>
      grip ? judged.verdict === 'pass' : provesNoBleed(test, judged, limits),
    );
    const state = stateOf(against, met, speaking);
    const readBy = { met, failed: against, early: speaking, incomplete: speaking, missing: [] }[state];
    return {
      shows,
      kinds,
      treatment: grip ? withoutPaint(wanted.treatment) : wanted.treatment,
      fromH: grip ? countsFromHours(withoutPaint(wanted.treatment)) : BLEED_HOURS[limits.bleed_at],
      state,
      readings: readBy,
    };
  });
}

type Readings = Requirement['readings'];

function stateOf(against: Readings, met: Readings, speaking: Readings): Requirement['state'] {
  if (against.length > 0) return 'failed';
  if (met.length > 0) return 'met';
  if (speaking.some(({ judged }) => judged.verdict === 'incomplete')) return 'incomplete';
  return speaking.length > 0 ? 'early' : 'missing';
}

/** Every treatment that was tried on a zone or its like, each once; of grip and of bleed apart. */
export function listTried(dossier: Dossier, zone: Zone, of: 'grip' | 'bleed'): Treatment[] {
  const tried = new Map<string, Treatment>();
  for (const { test, key } of listReadings(dossier, zone)) {
    const { treatment } = test;
    if (!treatment || (TEST_KIND_FACTS[test.kind].shows === 'bleed' ? 'bleed' : 'grip') !== of) continue;
    if (!tried.has(key)) tried.set(key, treatment);
  }
  return [...tried.values()];
}

/**
 * Does a bleed watch prove what the gate asks? Only a judged pass does whose age has reached the moment; a moment named
 * without that age, or an age with an earlier moment named, proves nothing.
 */
export function provesNoBleed(test: Test, judged: Pick<JudgedTest, 'verdict'>, { bleed_at }: Limits): boolean {
  const order: readonly string[] = BLEED_MOMENTS;
  return (
    TEST_KIND_FACTS[test.kind].shows === 'bleed' &&
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
