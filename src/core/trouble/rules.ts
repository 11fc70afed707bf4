import { computeDewPointC, DEW_MARGIN_C, LEAST_C, MOST_C, MOST_HUMIDITY_PCT } from '../climate';
import {
  findCarrier,
  findProduct,
  isWholeCoat,
  mostThinningPct,
  OPERATION_FACTS,
  PRIMER_FACTS,
  CLEAR_FACTS,
  TOPCOAT_FACTS,
  type ClearCode,
  type FinishCode,
  type Basis,
  type FindingCode,
  type OperationCode,
  type OperationFact,
  type PrimerCode,
  type TopcoatCode,
} from '../knowledge';
import { judgeGates } from '../piece';
import { closesAfterH, expectsBleed, judgePrimeGate } from '../proof';
import { CREDIBLE } from '../survey';
import { blocksStain, holdsColour } from '../systems';
import { listFilmTimes } from '../work';
import { airOfCoat, isPlanned, type Coat, type Logged, type ZoneView } from './zone-view';

/*
 * What the log can be found to have against it: one record each, with its test. The same records say it afterwards, when
 * something failed, and before, when a step is about to be done. What is not logged convicts nobody.
 */
export type Severity = 'major' | 'minor' | 'unknown';

/** What a rule found: the entry it is about by its place in the log, and its numbers. */
export interface Found {
  entry?: number;
  severity?: Severity;
  was?: number;
  asked?: number;
  /** What it is about, where a sentence names it: an operation, a class. */
  op?: OperationCode;
  class?: string;
}

export interface AuditRule {
  severity: Severity;
  unit?: 'h' | '%' | '°C' | '% RH' | 'coats' | 'ml/m²' | 'grit' | 'd';
  basis: Basis;
  /** The clock of the step before says it already while there is something to wait for. */
  waited?: true;
  /** Steps whose want it might be, where one of them is not written down. */
  omits?: readonly OperationCode[];
  /** The log shows that there was none of it; left out where it never can. */
  cleared?: (view: ZoneView) => boolean;
  find: (view: ZoneView) => Found[];
}

const HOUR_MS = 3_600_000;
const DAY_MS = 24 * HOUR_MS;
const round = (value: number): number => Math.round(value * 10) / 10;

/** From the end of one coat to the beginning of the next, hours. */
const gapH = (before: Logged, after: Logged): number => (after.startMs - before.endMs) / HOUR_MS;

/** Each coat with the one before it. */
const pairs = ({ coats }: ZoneView): { before: Coat; after: Coat }[] =>
  coats.slice(1).map((after, i) => ({ before: coats[i]!, after }));

const opsWhere = (is: (fact: OperationFact) => boolean): OperationCode[] =>
  (Object.keys(OPERATION_FACTS) as OperationCode[]).filter((op) => is(OPERATION_FACTS[op]));
const WASHING = opsWhere(({ washes }) => washes === true);
const DULLING_GROUND = opsWhere(({ dulls }) => dulls === 'ground');
const DULLING = opsWhere(({ dulls }) => dulls !== undefined);
/** Scratches the face: sandpaper and pads, not a liquid. */
const SCRATCHING = opsWhere(({ dulls, dust }) => dulls === 'ground' && dust === 'sanding');
const isDone = ({ entry }: Logged): boolean => !entry.skipped;
const doneOf = (view: ZoneView, ops: readonly OperationCode[]): Logged[] =>
  view.entries.filter((own) => isDone(own) && ops.includes(own.entry.op));
const leftOut = (view: ZoneView, ops: readonly OperationCode[]): Logged[] =>
  doneOf(view, ops).length > 0 ? [] : view.entries.filter(({ entry }) => entry.skipped && ops.includes(entry.op));
/** Said to be left out, and not done after all. */
const omitted = (view: ZoneView, ops: readonly OperationCode[]): Found[] =>
  leftOut(view, ops).map(({ index, entry }) => ({ entry: index, op: entry.op }));

const bleeds = ({ exposure }: ZoneView): boolean => expectsBleed(exposure);
const isPrimer = (code: string): code is PrimerCode => code in PRIMER_FACTS;
const blocks = (code: string | undefined): boolean => code !== undefined && isPrimer(code) && blocksStain(code);
const primers = (view: ZoneView): Coat[] => view.coats.filter(({ entry }) => entry.op === 'prime');
const coatsOf = (view: ZoneView, code: string): number =>
  primers(view)
    .filter((coat) => coat.code === code)
    .reduce((sum, { entry }) => sum + (entry.coats ?? 1), 0);

/** A coat sooner than the label of the one before it, or sooner than that in the air it stood in. */
function tooSoon({ before, after }: { before: Coat; after: Coat }, view: ZoneView): Found[] {
  const was = gapH(before, after);
  const air = airOfCoat(before, view.air);
  const times = listFilmTimes(before.code, before.tin, air ?? undefined);
  const { quick } = times;
  if (quick && after.code === before.code && was >= quick.fromH && was <= quick.untilH) return [];
  const found = { entry: after.index, was: round(was), class: before.code };
  if (was < times.labelRecoatH) return [{ ...found, asked: times.labelRecoatH, severity: 'major' }];
  if (was < times.recoatH) return [{ ...found, asked: times.recoatH, severity: 'minor' }];
  return [];
}

const isClear = ({ entry }: Logged): boolean => OPERATION_FACTS[entry.op].coat === 'clear';
const overPaint = (pair: { before: Coat; after: Coat }): boolean => isClear(pair.after) && !isClear(pair.before);

/** Oil stays in the wood: a film over it peels. Sanding with paper this coarse, or with none on record, takes the oiled face off. */
const OILED: readonly FinishCode[] = ['oil', 'hardwax_oil'];
const BARES = 120;

/** How much more than the film that was planned is too much. */
const THICK = 1.5;

const faultsOfAir = (
  view: ZoneView,
  judge: (coat: Coat, air: NonNullable<ReturnType<typeof airOfCoat>>) => Found | null,
) =>
  view.coats.flatMap((coat) => {
    const air = airOfCoat(coat, view.air);
    const found = air && judge(coat, air);
    return found ? [{ entry: coat.index, ...found }] : [];
  });

/** Days a thing was left before it was used, carried or shut, against what the last coat asks. */
function beforeTime(
  view: ZoneView,
  ops: readonly OperationCode[],
  asks: (coat: Coat) => number,
  shut?: boolean,
): Found[] {
  return doneOf(view, ops).flatMap((own) => {
    const last = view.coats.findLast(({ endMs }) => endMs <= own.startMs);
    const moves = view.zone.role === 'door' || view.zone.role === 'drawer_front';
    if (!last || (shut !== undefined && shut !== moves)) return [];
    const [was, asked] = [(own.startMs - last.endMs) / DAY_MS, asks(last) / 24];
    return was < asked ? [{ entry: own.index, was: round(was), asked: round(asked), class: last.code }] : [];
  });
}

// prettier-ignore
export const AUDIT_RULES: Record<FindingCode, AuditRule> = {
  not_dewaxed: { omits: ['dewax'], cleared: (view) => doneOf(view, ['dewax']).length > 0, severity: 'major', basis: 'practice', find: (view) => omitted(view, ['dewax']) },
  not_cleaned: { omits: WASHING, cleared: (view) => doneOf(view, WASHING).length > 0, severity: 'major', basis: 'practice', find: (view) => omitted(view, WASHING) },
  not_dulled: {
    omits: DULLING_GROUND, cleared: (view) => doneOf(view, DULLING_GROUND).length > 0 && tooFine(view).length === 0,
    severity: 'major', unit: 'grit', basis: 'practice',
    find: (view) => [
      ...omitted(view, DULLING_GROUND),
      // Finer than the plan's on a slick face, and nothing as coarse beside it: the scratches do not hold.
      ...(view.slick < CREDIBLE ? [] : tooFine(view)),
    ],
  },
  deglosser_on_film: {
    severity: 'major', basis: 'practice',
    find: (view) => {
      const film = view.belief.finish.find(({ code }) => code === 'factory_film')?.p ?? 0;
      if (film < 0.5 || doneOf(view, SCRATCHING).length > 0) return [];
      return doneOf(view, ['liquid_degloss']).map(({ index }) => ({ entry: index }));
    },
  },
  no_primer: {
    omits: ['prime'], cleared: (view) => primers(view).length > 0,
    severity: 'major', basis: 'practice',
    find: (view) => (leftOut(view, ['prime']).some(({ entry }) => bleeds(view) && blocks(entry.class)) ? [] : omitted(view, ['prime'])),
  },
  wrong_primer_for_ground: {
    cleared: (view) => primers(view).length > 0,
    severity: 'major', basis: 'practice',
    find: (view) => primers(view).slice(0, 1).flatMap((coat) => {
      const poor = isPrimer(coat.code) && (PRIMER_FACTS[coat.code].slick === 'poor' || PRIMER_FACTS[coat.code].slick === 'none');
      return poor && view.slick >= 0.5 && !hasHeld(view, coat) ? [{ entry: coat.index, class: coat.code }] : [];
    }),
  },
  no_stain_block: {
    omits: ['prime'], cleared: (view) => primers(view).some(({ code }) => blocks(code)),
    severity: 'major', basis: 'practice',
    find: (view) => {
      if (!bleeds(view)) return [];
      const skipped = leftOut(view, ['prime']).filter(({ entry }) => blocks(entry.class)).map(({ index, entry }) => ({ entry: index, op: entry.op }));
      // Another primer than the plan's, which holds nothing back.
      const own = primers(view);
      const planned = view.steps.some(({ op, class: code }) => op === 'prime' && blocks(code));
      const [first] = own;
      const changed = first && planned && own.every(({ code }) => !blocks(code)) ? [{ entry: first.index, class: first.code }] : [];
      // Without a plan the layers themselves tell: primed and painted, and nothing that holds it back.
      const bare = first && view.steps.length === 0 && view.coats.some(({ entry }) => entry.op === 'paint') && own.every(({ code }) => !blocks(code)) ? [{ entry: first.index, class: first.code }] : [];
      return [...skipped, ...changed, ...bare];
    },
  },
  spots_not_sealed: {
    omits: ['spot_seal'], cleared: (view) => doneOf(view, ['spot_seal']).length > 0,
    severity: 'major', basis: 'practice',
    find: (view) => (doneOf(view, ['fill', 'grain_fill']).length > 0 ? [] : omitted(view, ['spot_seal'])),
  },
  one_coat_of_blocker: {
    cleared: (view) => primers(view).filter(({ code }) => blocks(code)).reduce((sum, { entry }) => sum + (entry.coats ?? 1), 0) > 1,
    severity: 'major', unit: 'coats', basis: 'practice',
    find: (view) => {
      if (!bleeds(view)) return [];
      const fewer = view.steps.flatMap(({ op, class: code, coats: asked = 1 }) => {
        if (op !== 'prime' || asked < 2 || !blocks(code)) return [];
        const was = coatsOf(view, code!);
        const [skipped] = view.entries.filter(({ entry }) => entry.skipped && entry.op === 'prime' && entry.class === code);
        return skipped && was > 0 && was < asked ? [{ entry: skipped.index, was, asked, class: code! }] : [];
      });
      if (fewer.length > 0) return fewer;
      // Painted over before a class that holds nothing back alone had its second coat, and nothing else that does.
      const first = view.coats.find(({ entry }) => entry.op === 'paint');
      const layers = primers(view).filter(({ endMs, code }) => first && endMs <= first.startMs && blocks(code));
      const codes = [...new Set(layers.map(({ code }) => code as PrimerCode))];
      if (codes.some((code) => holdsColour({ code, coats: coatsOf(view, code) }))) return [];
      return codes.map((code) => ({
        entry: layers.findLast((coat) => coat.code === code)!.index,
        was: coatsOf(view, code),
        asked: PRIMER_FACTS[code].blocksFrom!.coats,
        class: code,
      }));
    },
  },
  thinned: {
    cleared: (view) => primers(view).length > 0 && primers(view).every(({ entry }) => entry.thinned_pct !== undefined),
    severity: 'major', unit: '%', basis: 'practice',
    find: (view) => view.coats.flatMap((coat) => {
      const was = coat.entry.thinned_pct ?? 0;
      const gun = view.dossier.goal?.application === 'spray';
      const asked = mostThinningPct(coat.code, { labelPct: coat.tin?.max_thinning_pct, gun, onSlick: view.slick >= CREDIBLE });
      return was > asked ? [{ entry: coat.index, was, asked, class: coat.code }] : [];
    }),
  },
  recoat_too_soon: {
    cleared: (view) => pairs(view).length > 0,
    severity: 'major', unit: 'h', waited: true, basis: 'practice',
    find: (view) => pairs(view).flatMap((pair) => (overPaint(pair) ? [] : tooSoon(pair, view))),
  },
  recoat_window_missed: {
    cleared: (view) => pairs(view).length > 0,
    severity: 'minor', unit: 'h', basis: 'practice',
    find: (view) => pairs(view).flatMap(({ before, after }) => {
      const asked = closesAfterH(before.tin);
      const opens = before.tin?.window_opens_again_h;
      const was = gapH(before, after);
      if (was <= asked || (opens !== undefined && was >= opens)) return [];
      const between = view.entries.filter(({ endMs, entry }) => endMs >= before.endMs && endMs <= after.endMs && DULLING.includes(entry.op));
      if (between.some(isDone)) return [];
      // That it was dulled again may only not have been written down.
      return [{ entry: after.index, was: round(was), asked, class: before.code, severity: between.length > 0 ? 'major' : 'unknown' }];
    }),
  },
  clear_too_soon: {
    cleared: (view) => pairs(view).some(overPaint),
    severity: 'major', unit: 'h', waited: true, basis: 'practice',
    find: (view) => pairs(view).flatMap((pair) => (overPaint(pair) ? tooSoon(pair, view) : [])),
  },
  too_cold: {
    cleared: isAirKnown,
    severity: 'major', unit: '°C', basis: 'practice',
    find: (view) => faultsOfAir(view, (coat, air) => {
      const [was, asked] = [Math.min(air.temperature_c, air.surface_c ?? air.temperature_c), LEAST_C[findCarrier(coat.code) === 'water' ? 'waterborne' : 'other']];
      return was < asked ? { was: round(was), asked, class: coat.code } : null;
    }),
  },
  too_hot: {
    cleared: isAirKnown,
    severity: 'major', unit: '°C', basis: 'practice',
    find: (view) => faultsOfAir(view, (coat, air) => {
      const was = Math.max(air.temperature_c, air.surface_c ?? air.temperature_c);
      return was > MOST_C ? { was: round(was), asked: MOST_C, class: coat.code } : null;
    }),
  },
  too_damp: {
    cleared: isAirKnown,
    severity: 'major', unit: '% RH', basis: 'practice',
    find: (view) => faultsOfAir(view, (coat, { humidity_pct: was }) => (was > MOST_HUMIDITY_PCT ? { was: round(was), asked: MOST_HUMIDITY_PCT, class: coat.code } : null)),
  },
  below_dew_margin: {
    cleared: isAirKnown,
    severity: 'major', unit: '°C', basis: 'published',
    find: (view) => faultsOfAir(view, (coat, { temperature_c, humidity_pct, surface_c = temperature_c }) => {
      const was = surface_c - computeDewPointC(temperature_c, Math.max(1, humidity_pct));
      return was < DEW_MARGIN_C ? { was: round(was), asked: DEW_MARGIN_C, class: coat.code } : null;
    }),
  },
  filler_unsealed: {
    omits: ['spot_seal'], cleared: (view) => doneOf(view, ['spot_seal']).length > 0,
    severity: 'minor', basis: 'practice',
    find: (view) => {
      const filled = doneOf(view, ['fill', 'grain_fill']).at(-1);
      if (!filled || !view.exposure.pale) return [];
      // A primer over the whole face seals what was filled before it.
      const sealed = primers(view).some(({ startMs }) => startMs >= filled.endMs);
      return sealed ? omitted(view, ['spot_seal']) : omitted(view, ['spot_seal', 'prime']);
    },
  },
  waterborne_over_filler: {
    severity: 'minor', basis: 'practice',
    find: (view) => {
      const filler = doneOf(view, ['grain_fill']).find(({ entry }) => entry.class !== undefined && findProduct(entry.class)?.carrier === 'water');
      const first = filler && primers(view).find(({ startMs }) => startMs >= filler.endMs);
      const rewets = first && isPrimer(first.code) && PRIMER_FACTS[first.code].overWaterborneFiller === 'rewets';
      return rewets && !isPlanned(view, first) ? [{ entry: first.index, class: first.code }] : [];
    },
  },
  wb_clear_over_dark: {
    cleared: (view) => view.coats.some(isClear),
    severity: 'minor', basis: 'practice',
    find: (view) => clears(view, 'water').filter(() => !view.exposure.pale),
  },
  oil_over_pale: {
    cleared: (view) => view.coats.some(isClear),
    severity: 'minor', basis: 'practice',
    find: (view) => clears(view, 'solvent').filter(() => view.exposure.pale),
  },
  clear_over_oil: {
    severity: 'major', basis: 'practice',
    find: (view) => {
      const [first] = view.coats;
      const film = first && isClear(first) && CLEAR_FACTS[first.code as ClearCode]?.lies === 'on';
      const bared = doneOf(view, ['strip']).length > 0 || doneOf(view, ['sand']).some(({ entry }) => (entry.grit ?? BARES) <= BARES);
      const oiled = view.belief.finish.reduce((sum, { code, p }) => sum + (OILED.includes(code) ? p : 0), 0);
      return film && !bared && oiled >= 0.5 ? [{ entry: first.index, class: first.code }] : [];
    },
  },
  no_denib: { omits: ['denib'], cleared: (view) => doneOf(view, ['denib']).length > 0, severity: 'minor', basis: 'practice', find: (view) => omitted(view, ['denib']) },
  too_thick: {
    cleared: (view) => view.coats.length > 0 && view.coats.every(({ entry }) => entry.ml !== undefined),
    severity: 'minor', unit: 'ml/m²', basis: 'practice',
    find: (view) => view.coats.flatMap((coat) => {
      const { entry } = coat;
      // Of two colours on one face each is held against its own coat.
      const step = view.steps.find(({ op, class: code, colour }) => op === entry.op && code === entry.class && (colour ?? entry.colour) === (entry.colour ?? colour));
      const area = view.zone.area_m2;
      // A dab on a spot has no film to speak of.
      if (!isWholeCoat(entry.op) || !step?.ml || !area || coat.entry.ml === undefined) return [];
      const asked = step.ml / (step.coats ?? 1) / area;
      const was = coat.entry.ml / (coat.entry.coats ?? 1) / area;
      return was > THICK * asked ? [{ entry: coat.index, was: Math.round(was), asked: Math.round(asked), class: coat.code }] : [];
    }),
  },
  gate_not_asked: {
    severity: 'major', basis: 'practice',
    find: (view) => {
      const first = view.coats.find(({ entry }) => OPERATION_FACTS[entry.op].coat === 'paint');
      if (!first) return [];
      const { dossier, zone } = view;
      const at = new Date(first.startMs).toISOString();
      const known = { ...dossier, tests: dossier.tests?.filter((test) => (test.at ?? at) <= at), overrides: dossier.overrides?.filter((own) => (own.at ?? at) <= at) };
      const shut = judgeGates(known, zone.id).some(({ state }) => state === 'closed' || state === 'waiting');
      return shut ? [{ entry: first.index, class: first.code }] : [];
    },
  },
  gate_overridden: {
    severity: 'minor', basis: 'practice',
    find: ({ dossier, zone }) => (dossier.overrides ?? []).some((own) => own.zone === zone.id) ? [{}] : [],
  },
  used_before_cured: {
    cleared: (view) => doneOf(view, ['handover']).length > 0,
    severity: 'major', unit: 'd', waited: true, basis: 'practice',
    find: (view) => beforeTime(view, ['handover'], (coat) => listFilmTimes(coat.code, coat.tin).cureH),
  },
  moved_before_cured: {
    severity: 'minor', unit: 'd', waited: true, basis: 'practice',
    find: (view) => beforeTime(view, ['refit'], (coat) => listFilmTimes(coat.code, coat.tin).handleH, false),
  },
  shut_before_hard: {
    severity: 'minor', unit: 'd', waited: true, basis: 'practice',
    find: (view) => beforeTime(view, ['refit'], (coat) => listFilmTimes(coat.code, coat.tin).handleH, true),
  },
  not_logged: {
    severity: 'unknown', basis: 'practice',
    // A step that is open while a later one on the same zone is done.
    // Wax that was stated is washed off whether or not a plan says so.
    find: (view) => {
      const { tasks, zone } = view;
      const isOpen = ({ openZones }: ZoneView['tasks'][number]): boolean => openZones.includes(zone.id);
      const last = tasks.findLastIndex((task) => !isOpen(task) && task.op !== 'proof');
      const missed = tasks.slice(0, Math.max(0, last)).flatMap((task) =>
        isOpen(task) && task.op !== 'proof' ? [{ op: task.op, ...(task.class ? { class: task.class } : {}) }] : [],
      );
      const waxed = zone.stated?.finish === 'wax' && view.coats.length > 0;
      const told = view.entries.some(({ entry }) => entry.op === 'dewax') || missed.some(({ op }) => op === 'dewax');
      return waxed && !told ? [...missed, { op: 'dewax' as const }] : missed;
    },
  },
};

/** The air of every coat is known. */
function isAirKnown({ coats, air }: ZoneView): boolean {
  return coats.length > 0 && coats.every((coat) => airOfCoat(coat, air) !== null);
}

/** A patch of this primer has held here at the right age, and none of it failed. */
const hasHeld = ({ dossier, zone }: ZoneView, { code }: Coat): boolean =>
  judgePrimeGate(dossier, zone).proved.some(({ primer }) => primer === code);

/** Scratches finer than the plan asks for, with none as coarse beside them. */
function tooFine(view: ZoneView): Found[] {
  const asked = view.steps.flatMap(({ op, grit }) => (SCRATCHING.includes(op) && grit !== undefined ? [grit] : []))[0];
  const done = doneOf(view, SCRATCHING).flatMap(({ index, entry: { grit } }) =>
    grit === undefined ? [] : [{ index, grit }],
  );
  const coarsest = done.sort((a, b) => a.grit - b.grit)[0];
  if (asked === undefined || !coarsest || coarsest.grit <= asked) return [];
  return [{ entry: coarsest.index, was: coarsest.grit, asked, severity: 'minor' }];
}

/** Clear coats of a carrier that the plan did not have. */
const clears = (view: ZoneView, carrier: 'water' | 'solvent'): Found[] =>
  view.coats
    .filter(
      (coat) => isClear(coat) && TOPCOAT_FACTS[coat.code as TopcoatCode].carrier === carrier && !isPlanned(view, coat),
    )
    .slice(0, 1)
    .map(({ index, code }) => ({ entry: index, class: code }));
