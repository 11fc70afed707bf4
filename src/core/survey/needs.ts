import { judgeMoisture, LABEL_CLIMATE, type MoistureVerdict } from '../climate';
import {
  DEFECT_FACTS,
  DEFECTS,
  detailOf,
  FAULT_ANSWERS,
  FINISH_FACTS,
  NEED_FACTS,
  redoMinutes,
  type DefectCode,
  type Extent,
  type FaultNeed,
  type NeedCode,
} from '../knowledge';
import { resultOf, type Defect, type Dossier, type Zone } from '../dossier';
import type { Belief } from './belief';
import { mayBeHere } from './fits';
import type { Hazard } from './hazards';
import { FACETS, STATES, type FacetName, type FacetValue, type State } from './states';

/** Needs whose reason is always the same. */
type SurfaceNeedCode = { [C in NeedCode]: (typeof NEED_FACTS)[C] extends { because: string } ? C : never }[NeedCode];

/** A need that follows from what the surface is. Prices are hands-on minutes and estimates. */
export interface SurfaceNeed {
  code: SurfaceNeedCode;
  facet: FacetName | null;
  /** P(needed | state, facet value). */
  probability: (state: State, value: FacetValue) => number;
  /** Minutes to provide for it anyway, and minutes lost if it was needed and not provided. */
  provideMinutes: (areaM2: number) => number;
  missedMinutes: (areaM2: number) => number;
  /** Only the owner's wish makes it a need: grain is filled where it is to be hidden. */
  onlyIfHidden?: boolean;
  /** Weighed when choosing checks, but not listed: it changes how another need is met. */
  silent?: boolean;
}

/** Stripping a wrongly primed face and starting again: a whole day for a chest of drawers (common practice). */
/** Blocking what came through, and painting it all again (common practice: it shows after the clear coat). */
const bledThrough = (areaM2: number): number => 150 + 120 * areaM2;
const slick = (state: State): boolean => FINISH_FACTS[state.finish].slickness === 2;
const isBoard = (state: State): boolean => state.substrate === 'mdf' || state.substrate === 'particleboard';

// prettier-ignore
export const SURFACE_NEEDS: readonly SurfaceNeed[] = [
  {
    code: 'bonding_primer', facet: null,
    probability: (state) => (slick(state) ? (state.finish === 'catalysed_lacquer' ? 0.9 : 0.99) : state.finish === 'alkyd_paint' ? 0.04 : 0.01),
    provideMinutes: (area) => 8 + 4 * area, missedMinutes: redoMinutes,
  },
  {
    code: 'stain_block', facet: 'seep',
    probability: (_state, value) => (value.bleed ? 0.99 : 0.01),
    provideMinutes: (area) => 20 + 14 * area, missedMinutes: bledThrough,
  },
  {
    code: 'scuff', facet: null,
    probability: (state) => (state.finish === 'bare' || state.finish === 'chalk_paint' ? 0.05 : 0.99),
    provideMinutes: (area) => 8 * area, missedMinutes: redoMinutes,
  },
  {
    code: 'degloss_liquid_ok', facet: null,
    probability: (state) => (FINISH_FACTS[state.finish].softens ? 0.97 : 0.02),
    provideMinutes: () => 0, missedMinutes: () => 0,
  },
  {
    code: 'strip', facet: 'soundness',
    probability: (_state, value) => (value.soundness === 'failing' ? 0.99 : value.soundness === 'marginal' ? 0.05 : 0.005),
    provideMinutes: (area) => 20 + 60 * area, missedMinutes: (area) => redoMinutes(area) * 1.5,
  },
  {
    code: 'dewax', facet: 'polish',
    probability: (state, value) => (state.finish === 'wax' || value.wax_polish ? 0.99 : 0.005),
    provideMinutes: (area) => 5 + 6 * area, missedMinutes: redoMinutes,
  },
  {
    code: 'desilicone', facet: 'silicone',
    probability: (_state, value) => (value.silicone ? 0.98 : 0.005),
    provideMinutes: (area) => 15 + 12 * area, missedMinutes: (area) => 60 + 90 * area,
  },
  {
    code: 'edge_seal', facet: null,
    probability: (state) => (isBoard(state) ? 0.99 : state.substrate === 'thermofoil' || state.substrate === 'melamine_board' ? 0.04 : 0.01),
    provideMinutes: () => 8, missedMinutes: (area) => 90 + 30 * area,
  },
  {
    code: 'grain_fill', facet: 'grain', onlyIfHidden: true,
    probability: (_state, value) => (value.grain === 'open' ? 0.99 : value.grain === 'medium' ? 0.9 : 0.01),
    provideMinutes: (area) => 15 * area, missedMinutes: (area) => 20 + 45 * area,
  },
  {
    code: 'odour_seal', facet: 'odour',
    probability: (_state, value) => (value.odour ? 0.98 : 0.005),
    provideMinutes: (area) => 20 + 14 * area, missedMinutes: bledThrough,
  },
  {
    code: 'soft_pad', facet: null, silent: true,
    probability: (state) => (state.substrate === 'paper_foil' || state.substrate === 'thermofoil' ? 0.97 : 0.02),
    provideMinutes: (area) => 6 + 6 * area, missedMinutes: (area) => 40 + 30 * area,
  },
];

/** P(need) now. */
export function needProbability(belief: Belief, need: SurfaceNeed): number {
  let sum = 0;
  for (let s = 0; s < STATES.length; s += 1) sum += belief.joint[s]! * expectInState(belief, need, s);
  return sum;
}

/** P(need | state, evidence): the facet summed out. */
export function expectInState(belief: Belief, need: SurfaceNeed, stateIndex: number): number {
  const chances = tabulateNeed(need)[stateIndex]!;
  if (!need.facet) return chances[0]!;
  const weights = belief.facets[need.facet];
  let sum = 0;
  for (let x = 0; x < chances.length; x += 1) sum += weights[stateIndex * chances.length + x]! * chances[x]!;
  return sum;
}

const TABLES = new Map<SurfaceNeed, number[][]>();

/** P(need | state, facet value), by state and value; without a facet, one value a state. Worked out once. */
export function tabulateNeed(need: SurfaceNeed): number[][] {
  const known = TABLES.get(need);
  if (known) return known;
  const values: readonly FacetValue[] = need.facet ? FACETS[need.facet] : [{}];
  const table = STATES.map((state) => values.map((value) => need.probability(state, value)));
  TABLES.set(need, table);
  return table;
}

export interface Need {
  code: string;
  label: string;
  p: number;
  because: NeedReason;
  extent?: 'spot' | 'whole';
}

/** What a need follows from, with what its sentence needs. */
export type NeedReason =
  | { from: 'surface'; says: string }
  | { from: 'cleaning'; greaseLikely: boolean }
  | { from: 'fault'; defect: DefectCode }
  | { from: 'fault_answer'; says: string }
  | { from: 'smell_of_piece'; defect: DefectCode }
  | { from: 'smelled'; smell: string }
  | { from: 'coat_caked' }
  | { from: 'moisture'; verdict: MoistureVerdict }
  | { from: 'lead' };

/** All needs of a zone with at least a 5 % chance, most certain first. Degreasing is asked of every zone. */
export function deriveNeeds(
  belief: Belief,
  dossier: Pick<Dossier, 'climate' | 'zones'>,
  zone: Zone,
  hazards: readonly Hazard[],
): Need[] {
  const needs: Need[] = SURFACE_NEEDS.filter((need) => !need.silent).map((need) => {
    const p = needProbability(belief, need);
    return {
      code: need.code,
      label: NEED_FACTS[need.code].label,
      p,
      because: { from: 'surface', says: NEED_FACTS[need.code].because },
    };
  });
  needs.push(degreaseNeed(belief));
  needs.push(...statedNeeds(belief, zone), ...smellOfPiece(dossier));
  const moisture = readMoisture(dossier, zone);
  if (moisture?.state === 'damp') needs.push(dryOutNeed(moisture));
  const gate = hazards.find((hazard) => hazard.gate !== undefined);
  if (gate)
    needs.push({
      code: 'lead_gate',
      label: NEED_FACTS.lead_gate.label,
      p: SEEN,
      because: { from: 'lead' },
    });
  for (const need of needs) if (need.code === 'stain_block') need.extent = stainExtent(belief, zone);
  return mergeByCode(needs)
    .filter((need) => need.p >= 0.05)
    .sort((a, b) => b.p - a.p);
}

function degreaseNeed(belief: Belief): Need {
  const because: NeedReason = { from: 'cleaning', greaseLikely: belief.present.grease > 0.5 };
  return { code: 'degrease', label: NEED_FACTS.degrease.label, p: 0.98, because };
}

const SPOT_SOURCES: readonly DefectCode[] = ['knot', 'resin_pocket', 'drink_stain', 'ink_stain', 'water_ring'];

/** Knots and single stains want spots sealed; dyed or tannin-rich wood, and anything that bled before, the whole face. */
function stainExtent(belief: Belief, zone: Zone): 'spot' | 'whole' {
  const wholeSources = zone.defects?.some((defect) => defect.code === 'prior_bleed' || defect.code === 'tannin_bleed');
  if (wholeSources) return 'whole';
  const top = belief.substrate[0]?.code;
  const spots = zone.defects?.some((defect) => SPOT_SOURCES.includes(defect.code)) ?? false;
  if (top === 'tannin_rich_wood' || top === 'wood_veneer' || top === 'knotty_softwood') return 'whole';
  return spots ? 'spot' : 'whole';
}

const SEEN = 0.97;

/** Whether an answer is for a fault of this extent, after what was said of it. An extent that was not given is not a spot. */
export const isAnswered = (
  { extents, details }: { extents?: readonly Extent[]; details?: readonly string[] },
  defect: { code: DefectCode; extent?: Extent | undefined; detail?: string | undefined },
): boolean =>
  (!extents || extents.includes(defect.extent ?? 'area')) && (!details || details.includes(detailOf(defect) ?? ''));

type SeenFault = Parameters<typeof isAnswered>[1];

/** The needs of the surface that a fault of this extent brings, after what was said of it. */
const listFaultNeeds = (fault: SeenFault): readonly FaultNeed[] =>
  (FAULT_ANSWERS[fault.code].needs ?? []).filter((need) => isAnswered(need, fault));

/** What sees to a fault that gets no repair of its own, by its name; none where nothing does. */
export const findServed = (fault: SeenFault): string | undefined =>
  listFaultNeeds(fault)[0]?.label ?? FAULT_ANSWERS[fault.code].served;

/** The ways there are to answer a defect, by their names; none where it can only be left. Which is taken, the plan decides. */
export function listAnswers(defect: Defect): string[] {
  const open = FAULT_ANSWERS[defect.code].ways.filter((way) => isAnswered(way, defect));
  const served = findServed(defect);
  if (open.length === 0) return served ? [served] : [];
  return [...new Set(open.map(({ declined, label }) => declined ?? label))];
}

/** A smell sits in every face of a piece, inside ones as well. */
function smellOfPiece({ zones = [] }: Pick<Dossier, 'zones'>): Need[] {
  const smell = zones.flatMap(({ defects = [] }) => defects).find(({ code }) => SMELLING.includes(code));
  if (!smell) return [];
  const because: NeedReason = { from: 'smell_of_piece', defect: smell.code };
  return [{ code: 'odour_seal', label: NEED_FACTS.odour_seal.label, p: SEEN, because }];
}

const SMELLING: readonly DefectCode[] = DEFECTS.filter((code) =>
  FAULT_ANSWERS[code].needs?.some((need) => need.code === 'odour_seal'),
);

/** Needs that follow straight from something the owner saw, smelled or measured. */
function statedNeeds(belief: Belief, zone: Zone): Need[] {
  const needs: Need[] = [];
  const add = (code: string, label: string, because: NeedReason): void =>
    void needs.push({ code, label, p: SEEN, because });
  for (const defect of zone.defects ?? []) {
    if (!mayBeHere(belief, defect.code)) continue;
    const fact = DEFECT_FACTS[defect.code];
    if (fact.repair) add(fact.repair.code, fact.repair.label, { from: 'fault', defect: defect.code });
    for (const own of listFaultNeeds(defect)) add(own.code, own.label, { from: 'fault_answer', says: own.why });
  }
  const smell = lastResult(zone, 'odour');
  if (smell && smell !== 'none') add('odour_seal', NEED_FACTS.odour_seal.label, { from: 'smelled', smell });
  const coat = lastResult(zone, 'coat_thickness');
  if (coat === 'caked') add('strip', NEED_FACTS.strip.label, { from: 'coat_caked' });
  return needs;
}

/** The last reading of the moisture meter against what wood settles to in this room; none without a reading. */
export function readMoisture(dossier: Pick<Dossier, 'climate'>, zone: Zone): MoistureVerdict | undefined {
  const measured = zone.observations?.findLast(
    ({ check, source }) => check === 'moisture_meter' && source !== 'simulated',
  )?.value;
  return measured === undefined ? undefined : judgeMoisture(measured, dossier.climate ?? LABEL_CLIMATE);
}

const dryOutNeed = (verdict: MoistureVerdict): Need => ({
  code: 'dry_out',
  label: NEED_FACTS.dry_out.label,
  p: SEEN,
  because: { from: 'moisture', verdict },
});

function lastResult(zone: Zone, check: string): string | undefined {
  const last = zone.observations?.findLast((observation) => observation.check === check);
  return last ? resultOf(last) : undefined;
}

function mergeByCode(needs: readonly Need[]): Need[] {
  const byCode = new Map<string, Need>();
  for (const need of needs) {
    const known = byCode.get(need.code);
    if (!known || need.p > known.p) byCode.set(need.code, { ...known, ...need });
  }
  return [...byCode.values()];
}
