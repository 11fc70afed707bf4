import { isLeft, isOfNow, recoveryOf, type Dossier, type Treatment, type Zone } from '../dossier';
import { isWholeCoat, REMEDY_RATES } from '../knowledge';
import { latestOf } from '../shared';
import { curedAt } from './cure';
import { expectsBleed, exposureOf, type Exposure } from './bleeding';
import { limitsOf, type JudgedTest, type Limits } from './judge';
import { isOfGrip, listProofs, listTried, requirementsFor, type Proof, type Requirement } from './requirements';
import { listUncovered, type Wanted } from './sameness';

export interface Gate {
  zone: string;
  gate: 'prime_to_paint' | 'bleed' | 'handover';
  state: 'open' | 'closed' | 'waiting' | 'overridden' | 'not_needed';
  because: GateReason;
  /** Treatments that opened the gate. */
  proved: Treatment[];
  /** What is still to be shown of the chosen treatment. */
  missing: Proof[];
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
  | { code: 'wants'; treatment: Treatment; touches: Proof[]; countsFromH?: number }
  | { code: 'hidden_by_dark' }
  | { code: 'no_stain_expected' }
  | { code: 'no_bleed'; at: Limits['bleed_at']; uncovered: ('colour' | 'clear')[] }
  | { code: 'bleed_wait'; at: Limits['bleed_at']; incomplete?: JudgedTest; lastLookH?: number }
  | { code: 'no_coat_yet' }
  | { code: 'cured'; since: string }
  | { code: 'cures'; days: number; until: string };

type Verdict = Pick<Gate, 'state' | 'because' | 'proved' | 'missing' | 'at'>;
const nothing = { proved: [], missing: [] };
/** Bleed has its own gate: asked against this, only what shows grip is wanted. */
const GRIP_ALONE: Exposure = { bleeds: 0, pale: false };

const findChosen = (dossier: Dossier, zone: Zone): Wanted | undefined =>
  dossier.chosen?.zones.find(({ id }) => id === zone.id);

/**
 * May this zone be painted? When a treatment has shown all that is wanted of its grip. If a system was taken, only its
 * treatment is asked about.
 */
export function judgePrimeGate(dossier: Dossier, zone: Zone): Gate {
  const base = { zone: zone.id, gate: 'prime_to_paint' as const };
  const chosen = findChosen(dossier, zone);
  if (isLeft(dossier, zone)) return { ...base, ...nothing, state: 'not_needed', because: { code: 'left' } };
  if (chosen && putsNothingOn(chosen))
    return { ...base, ...nothing, state: 'not_needed', because: { code: 'nothing_put_on' } };
  const tried = chosen ? [chosen] : listTried(dossier, zone, 'grip').map((treatment) => ({ treatment }));
  const verdict = pickVerdict(
    tried.map((wanted) => judgeGrip(requirementsFor(dossier, zone, wanted, GRIP_ALONE), wanted)),
    { ...nothing, state: 'waiting', because: { code: 'untested' }, missing: listProofs(GRIP_ALONE) },
  );
  return { ...base, ...passOver(dossier, zone, 'prime_to_paint', verdict) };
}

/** Everything that the treatment taken has to show on a zone before it is painted, and what has been; nothing where none was taken or none is asked. */
export function listWanted(dossier: Dossier, zone: Zone): Requirement[] {
  const chosen = findChosen(dossier, zone);
  return !chosen || isLeft(dossier, zone) || putsNothingOn(chosen) ? [] : requirementsFor(dossier, zone, chosen);
}

/** A sound coat that is only woken needs no patch; one that is melted does. */
const putsNothingOn = ({
  treatment: { primer = 'none', coats = 0, prep, paint, clear = 'none' },
  stack,
}: Wanted): boolean =>
  primer === 'none' &&
  coats === 0 &&
  prep === 'none' &&
  (paint !== undefined || clear === 'none' || stack?.renewed === 'refresh');

function judgeGrip(requirements: readonly Requirement[], { treatment }: Wanted): Verdict {
  const failed = requirements.find(({ state }) => state === 'failed');
  if (failed)
    return { ...nothing, state: 'closed', because: { code: 'failed', test: failed.readings[0]!.judged, treatment } };
  const open = requirements.filter(({ state }) => state !== 'met');
  if (open.length === 0)
    return {
      state: 'open',
      because: { code: 'held', treatments: [treatment] },
      proved: [treatment],
      missing: [],
      ...lastOf(requirements),
    };
  const missing = open.map(({ shows }) => shows);
  if (requirements.every(({ state }) => state === 'missing'))
    return { ...nothing, state: 'waiting', because: { code: 'untested', treatment }, missing };
  const early = open.find(({ state }) => state === 'early');
  const later = early ? { countsFromH: early.fromH } : {};
  return { ...nothing, state: 'waiting', because: { code: 'wants', treatment, touches: missing, ...later }, missing };
}

/** The best of what was tried: one that holds opens, one that still may is waited for. */
function pickVerdict(verdicts: readonly Verdict[], untried: Verdict): Verdict {
  const open = verdicts.filter(({ state }) => state === 'open');
  const [first] = open;
  if (first && first.because.code === 'held') {
    const treatments = open.flatMap(({ proved }) => proved);
    const at = latestOf(open.flatMap((own) => own.at ?? []));
    return { ...first, because: { code: 'held', treatments }, proved: treatments, ...(at === undefined ? {} : { at }) };
  }
  return (
    first ??
    verdicts.find(({ state }) => state === 'waiting') ??
    verdicts.find(({ state }) => state === 'closed') ??
    untried
  );
}

/** The latest of the readings, as a field that is left out where no moment is known. */
function lastOf(requirements: readonly Requirement[]): { at?: string } {
  const at = latestOf(requirements.flatMap(({ readings }) => readings.flatMap(({ test }) => test.at ?? [])));
  return at === undefined ? {} : { at };
}

/** A gate that does not stand open may have been passed over, for the coats on the zone now. */
function passOver(dossier: Dossier, zone: Zone, gate: Gate['gate'], verdict: Verdict): Verdict {
  const own = dossier.overrides?.find(
    (entry) => entry.zone === zone.id && entry.gate === gate && isOfNow(dossier, entry),
  );
  if (!own || verdict.state === 'open') return verdict;
  const because: GateReason = { code: 'overridden', reason: own.reason };
  return { ...verdict, state: 'overridden', because, ...(own.at === undefined ? {} : { at: own.at }) };
}

/**
 * Pale paint over a bleed risk waits for a bleed watch that was judged a pass and was old enough, at 48 h unless set
 * otherwise. If a system was taken, only patches of it count; else any treatment that held opens the gate.
 */
export function judgeBleedGate(dossier: Dossier, zone: Zone, exposure: Exposure = exposureOf(dossier, zone)): Gate {
  const base = { zone: zone.id, gate: 'bleed' as const };
  const needless = (code: 'left' | 'hidden_by_dark' | 'no_stain_expected'): Gate => ({
    ...base,
    ...nothing,
    state: 'not_needed',
    because: { code },
  });
  if (isLeft(dossier, zone)) return needless('left');
  if (!expectsBleed(exposure)) return needless(exposure.pale ? 'no_stain_expected' : 'hidden_by_dark');
  const chosen = findChosen(dossier, zone);
  const tried = chosen ? [chosen] : listTried(dossier, zone, 'bleed').map(alone);
  const limits = limitsOf(dossier);
  const verdict = pickVerdict(
    tried.flatMap((wanted) =>
      requirementsFor(dossier, zone, wanted, exposure)
        .filter(({ shows }) => !isOfGrip(shows))
        .map((own) => judgeWatch(own, limits, chosen)),
    ),
    { ...nothing, state: 'waiting', because: { code: 'bleed_wait', at: limits.bleed_at }, missing: ['no_bleed'] },
  );
  return { ...base, ...passOver(dossier, zone, 'bleed', verdict) };
}

/** A treatment whatever paint went over it. */
const alone = ({ paint: _paint, paint_coats: _coats, clear: _clear, ...treatment }: Treatment): Wanted => ({
  treatment,
});

/** One that bled closes, one that was clean when it was old enough opens. */
function judgeWatch({ state, readings, shows }: Requirement, { bleed_at: at }: Limits, chosen?: Wanted): Verdict {
  if (state === 'failed')
    return { ...nothing, state: 'closed', because: { code: 'failed', test: readings[0]!.judged } };
  if (state === 'met') {
    // The patch that had most of the system on it says most.
    const uncovered = readings
      .map(({ test }) => listUncovered(test.treatment, chosen))
      .reduce((best, own) => (own.length < best.length ? own : best));
    const last = latestOf(readings.flatMap(({ test }) => test.at ?? []));
    return {
      state: 'open',
      because: { code: 'no_bleed', at, uncovered },
      proved: [readings[0]!.test.treatment!],
      missing: [],
      ...(last === undefined ? {} : { at: last }),
    };
  }
  const incomplete = readings.find(({ judged }) => judged.verdict === 'incomplete');
  const oldest = Math.max(-1, ...readings.map(({ test }) => test.age_h ?? -1));
  const sofar = incomplete ? { incomplete: incomplete.judged } : oldest >= 0 ? { lastLookH: oldest } : {};
  return { ...nothing, state: 'waiting', because: { code: 'bleed_wait', at, ...sofar }, missing: [shows] };
}

/**
 * May this zone be handed over? When the slowest of its coats has cured, counted from the last of them in the log. What
 * was put on before new coats were planned over a failure counts no more. `now`: ISO instant.
 */
export function judgeHandoverGate(dossier: Dossier, zone: Zone, now: string): Gate {
  const base = { zone: zone.id, gate: 'handover' as const, ...nothing };
  if (isLeft(dossier, zone)) return { ...base, state: 'not_needed', because: { code: 'left' } };
  const recovery = recoveryOf(dossier, zone.id);
  const renewed = recovery !== undefined && REMEDY_RATES[recovery.remedy].layers === true;
  const coats = (dossier.log ?? []).filter(
    (entry) =>
      entry.zone === zone.id && !entry.skipped && isWholeCoat(entry.op) && (!renewed || isOfNow(dossier, entry)),
  );
  const cure = curedAt(coats, dossier.shelf ?? []);
  if (!cure) return { ...base, state: 'waiting', because: { code: 'no_coat_yet' } };
  if (Date.parse(now) >= Date.parse(cure.at))
    return { ...base, state: 'open', because: { code: 'cured', since: cure.at } };
  const waiting: Verdict = {
    ...nothing,
    state: 'waiting',
    because: { code: 'cures', days: cure.days, until: cure.at },
  };
  return { ...base, ...passOver(dossier, zone, 'handover', waiting) };
}
