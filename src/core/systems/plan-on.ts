import {
  isOfNow,
  isLeft,
  type Choice as Taken,
  type Dossier,
  type LogEntry,
  type PlannedStep,
  type Stack,
  type Treatment,
  type Zone,
} from '../dossier';
import { findTestKind, isWholeCoat, OPERATION_FACTS, PRIMER_FACTS, WORK_RATES, type PrimerCode } from '../knowledge';
import type { Choice } from './choice';
import type { HardFinding } from './findings';
import { keepStep, stackOf, type Phrases } from './freeze';
import { findHard } from './hard-rules';
import { priceZone } from './prices';
import { productsOf } from './product';
import { searchZone } from './search';
import { identifyStep } from './step-name';
import type { PrimerCoats, SurfaceState } from './surface-state';
import { describeZone } from './system';
import { pickLeast } from './taken';
import { readGround } from './take-up';

/** The layers that the log says are on a zone now, from the dulled ground up. */
interface Layers {
  /** Nothing was dulled, on record. */
  undulled: boolean;
  primers: PrimerCoats[];
  /** A primer of the plan was left out, on record. */
  unprimed: boolean;
  paint: string | null;
  topcoat: string | null;
}

/** A zone whose log has left the system that was taken. */
export interface Departure {
  zone: string;
  was: Treatment;
  is: Treatment;
}

/** Entries of the coats on a zone now, in their order: since it was stripped, or taken up again. */
function listOfNow(dossier: Dossier, zoneId: string): LogEntry[] {
  const own = (dossier.log ?? [])
    .filter((entry) => entry.zone === zoneId && entry.at !== undefined && isOfNow(dossier, entry))
    .sort((a, b) => Date.parse(a.at!) - Date.parse(b.at!));
  return own.slice(
    Math.max(
      0,
      own.findLastIndex(({ op, skipped }) => op === 'strip' && !skipped),
    ),
  );
}

/** What the log says of the layers of a zone. */
function readLayers(dossier: Dossier, zoneId: string): Layers {
  const entries = listOfNow(dossier, zoneId);
  const done = entries.filter(({ skipped }) => !skipped);
  const dulls = (entry: LogEntry): boolean => OPERATION_FACTS[entry.op].dulls === 'ground';
  const primers: PrimerCoats[] = [];
  for (const { op, class: code, coats = 1 } of done) {
    if (op !== 'prime' || code === undefined || !(code in PRIMER_FACTS)) continue;
    const last = primers.at(-1);
    if (last?.code === code) last.coats += coats;
    else primers.push({ code: code as PrimerCode, coats });
  }
  const lastOf = (op: LogEntry['op']): string | null => done.findLast((entry) => entry.op === op)?.class ?? null;
  return {
    undulled: !done.some(dulls) && entries.some((entry) => entry.skipped && dulls(entry)),
    primers,
    unprimed: primers.length === 0 && entries.some(({ op, skipped }) => op === 'prime' && skipped),
    paint: lastOf('paint'),
    topcoat: lastOf('topcoat'),
  };
}

/** Does what is on keep to the layers that were taken, as far as it has come? */
function keepsToStack({ undulled, primers, unprimed, paint, topcoat }: Layers, stack: Stack): boolean {
  if (undulled && stack.prep !== 'none') return false;
  if (unprimed && stack.primers.length > 0) return false;
  const all = primers.every(({ code, coats }, i) => {
    const planned = stack.primers[i];
    return planned?.code === code && coats <= planned.coats;
  });
  return all && (paint === null || paint === stack.paint) && (topcoat === null || topcoat === stack.topcoat);
}

const treatmentOf = (stack: Stack): Treatment => ({
  prep: stack.prep,
  primer: stack.primers[0]?.code ?? 'none',
  coats: stack.primers[0]?.coats ?? 0,
  ...(stack.paint ? { paint: stack.paint, paint_coats: stack.paint_coats } : {}),
  ...(stack.topcoat === 'none' ? {} : { clear: stack.topcoat }),
});

/** Zones on which something else was put on, or left out, than the system that was taken has. */
export function listDepartures(dossier: Dossier): Departure[] {
  return (dossier.chosen?.zones ?? []).flatMap(({ id, treatment, stack }): Departure[] => {
    const zone = dossier.zones?.find((own) => own.id === id);
    if (!zone || !stack || isLeft(dossier, zone)) return [];
    const layers = readLayers(dossier, id);
    return keepsToStack(layers, stack) ? [] : [{ zone: id, was: treatment, is: treatmentOf(asStack(layers, stack)) }];
  });
}

/** The layers of a plan from what is on: what is there, and above it what was taken. */
const asStack = ({ undulled, primers, unprimed, paint, topcoat }: Layers, stack: Stack): Stack => ({
  ...stack,
  prep: undulled ? 'none' : stack.prep,
  primers: primers.length > 0 ? primers.map((own) => ({ ...own })) : unprimed ? [] : stack.primers,
  paint: (paint as Stack['paint']) ?? stack.paint,
  topcoat: (topcoat as Stack['topcoat'] | null) ?? stack.topcoat,
});

/** How the work goes on from what is on a zone; or the rule that what is on it breaks. */
export type PlannedOn = { zone: string; entry: Taken['zones'][number] } | { zone: string; finding: HardFinding };

/**
 * A system whose log has left it, planned on from there: for each zone the best way over what is on it, by the owner's
 * priority, with the paint and clear that were taken where the rules allow them. What is on is proved before it is painted,
 * on the face itself. `null` where the log keeps to the system. `at`: ISO instant.
 */
export function planOn(
  dossier: Dossier,
  at: string,
  say: Phrases,
): { choice: Taken; departures: Departure[]; broken: { zone: string; finding: HardFinding }[] } | null {
  const departures = listDepartures(dossier);
  const { chosen } = dossier;
  if (!chosen || departures.length === 0) return null;
  const planned = departures.map(({ zone }) => planZoneOn(dossier, zone, say));
  const zones = chosen.zones.map((own) => {
    const on = planned.find((entry) => entry.zone === own.id);
    return on && 'entry' in on ? on.entry : own;
  });
  return {
    choice: { ...chosen, system: AS_LOGGED, at, zones },
    departures,
    broken: planned.flatMap((on) => ('finding' in on ? [on] : [])),
  };
}

/** What a system is called that was planned on from the log. */
export const AS_LOGGED = 'as_logged';

function planZoneOn(dossier: Dossier, zoneId: string, say: Phrases): PlannedOn {
  const zone = dossier.zones!.find(({ id }) => id === zoneId)!;
  const taken = dossier.chosen!.zones.find(({ id }) => id === zoneId)!;
  const stack = taken.stack!;
  const layers = readLayers(dossier, zoneId);
  const ground = readGround(dossier, zone);
  const products = productsOf(dossier);
  const aim = dossier.goal?.priority ?? 'balance';
  const wanted = asStack(layers, stack);
  // The paint and clear of the plan first; where the rules allow neither over what is on, any.
  for (const strict of [true, false]) {
    const search = searchZone(ground, products, {
      follows: (choice, before) => goesOn(wanted, layers, choice, before, strict),
    });
    const best = pickLeast(search.goals, (label) => priceZone(label, ground, aim));
    if (best) {
      const { treatment, stack: found, steps } = describeZone(best, ground);
      const kept = steps.map((own) => keepStep(own, say));
      return {
        zone: zoneId,
        entry: {
          ...taken,
          treatment: { ...treatment, coats: wanted.primers[0]?.coats ?? treatment.coats ?? 0 },
          stack: { ...stackOf(found), primers: replaceFirst(stackOf(found).primers, wanted.primers) },
          steps: proveWhatIsOn(dropMissed(kept, taken.steps ?? [], zone, dossier), layers, say),
        },
      };
    }
    if (strict) continue;
    const cut = search.cuts.at(-1);
    const finding: HardFinding = cut ? findHard(cut.rule, cut.choice, cut.before, ground) : { rule: 'wishes_changed' };
    return { zone: zoneId, finding };
  }
  return { zone: zoneId, finding: { rule: 'wishes_changed' } };
}

/** What is on stays as it was counted: the search knows only the numbers of coats in use. */
const replaceFirst = (found: Stack['primers'], on: Stack['primers']): Stack['primers'] =>
  found.map((own, i) => (on[i] && on[i].code === own.code ? on[i] : own));

/** Of a class the number of coats in use that is nearest to what is on, never more. */
const coatsInUse = ({ code, coats }: PrimerCoats): number => {
  const { coats: used } = PRIMER_FACTS[code];
  return used.filter((own) => own <= coats).at(-1) ?? used[0]!;
};

/** Whether a way goes on from what is on a zone. */
function goesOn(wanted: Stack, layers: Layers, choice: Choice, before: SurfaceState, strict: boolean): boolean {
  const { prep } = wanted;
  if (choice.prep !== undefined) return choice.prep === prep;
  const { primers: on, paint, unprimed } = layers;
  if (choice.op === 'prime') {
    const given = on[before.primers.length];
    const own = choice.sets.primers!.at(-1)!;
    if (given) return own.code === given.code && own.coats === coatsInUse(given);
    // Once it is painted nothing more goes under it; what was left out on purpose is not put on after all.
    return paint === null && (on.length > 0 || !unprimed);
  }
  if (choice.closesGround) return before.primers.length >= on.length;
  if (choice.op === 'paint')
    return paint !== null ? choice.product?.class === paint : !strict || choice.product?.class === wanted.paint;
  if (choice.op === 'topcoat') return !strict || choice.product?.class === wanted.topcoat;
  return !strict || choice.skips !== 'topcoat' || wanted.topcoat === 'none';
}

/** Under what is on nothing new is begun: what the plan had is kept, done or not; what it had not is too late. */
function dropMissed(
  steps: readonly PlannedStep[],
  before: readonly PlannedStep[],
  zone: Zone,
  dossier: Dossier,
): PlannedStep[] {
  const done = listOfNow(dossier, zone.id).filter(({ skipped }) => !skipped);
  const lastOn = steps.findLastIndex(
    ({ op, class: code }) => isWholeCoat(op) && done.some((entry) => entry.op === op && entry.class === code),
  );
  const had = new Set(before.map((own) => identifyStep(own)));
  return steps.filter(
    (own, i) =>
      i > lastOn ||
      isWholeCoat(own.op) ||
      own.op === 'proof' ||
      had.has(identifyStep(own)) ||
      done.some((entry) => entry.op === own.op),
  );
}

/** The patch is the face itself: it is tested as soon as its coat has hardened, and what comes after waits for that. */
function proveWhatIsOn(steps: readonly PlannedStep[], { primers, paint }: Layers, say: Phrases): PlannedStep[] {
  const at = steps.findIndex(({ op }) => op === 'proof');
  const last = steps.findLastIndex(
    ({ op, class: code }) =>
      (op === 'prime' && primers.some((own) => own.code === code)) || (op === 'paint' && code === paint),
  );
  if (at < 0 || last < at) return [...steps];
  const { tests = [], wait_h: afterH } = steps[at]!;
  const proof = keepStep(
    {
      op: 'proof',
      name: 'test_again',
      tests,
      minutes: WORK_RATES.read_proof.once,
      waitH: 0,
      afterH,
      stage: steps[last]!.stage ?? 0,
      why: [{ code: 'proof', waitH: afterH, bleedWatch: tests.some((kind) => findTestKind(kind)?.shows === 'bleed') }],
    },
    say,
  );
  return [...steps.slice(0, at), ...steps.slice(at + 1, last + 1), proof, ...steps.slice(last + 1)];
}
