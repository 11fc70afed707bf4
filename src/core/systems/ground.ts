import {
  DEFAULT_AREA_M2,
  FACED_BOARDS,
  FINISH_FACTS,
  gripGroundOf,
  leavesBare,
  USE_FACTORS,
  type ClearCode,
  type FinishCode,
  type GripGround,
  type PaintCode,
  type PieceKind,
  type PrepCode,
  type PrimerCode,
  type SubstrateCode,
  type WorkSize,
} from '../knowledge';
import { readStains } from './faults';
import type { StripFace } from './stripping';
import {
  assignShapes,
  measureFaces,
  measureSecond,
  measureWork,
  templateOf,
  type SecondMeasure,
  type Shape,
} from '../templates';
import { LABEL_CLIMATE, type Climate } from '../climate';
import {
  isForChild,
  listTreated,
  roomToBe,
  wishOf,
  type Dossier,
  type Experience,
  type Goal,
  type Look,
  type SecondColour,
  type ZoneWish,
  type Recovery,
  type Treatment,
  type Zone,
} from '../dossier';
import { listExperience, poolExperience, type Pooled } from '../learning';
import {
  chanceOfBleed,
  computeLightness,
  expectsBleed,
  isPaleWish,
  listAlike,
  requirementsFor,
  treatmentKey,
  type Requirement,
} from '../proof';
import {
  assessZone,
  CREDIBLE,
  mostLikelyState,
  STATES,
  type Belief,
  type Hazard,
  type State,
  type Need,
} from '../survey';

type SchoolName = 'dulling' | 'priming' | 'fill' | 'grain' | 'stain_block' | 'doors' | 'topcoat' | 'between';
type Schools = { [Name in SchoolName]: NonNullable<NonNullable<Goal['schools']>[Name]> };

/** What the planner needs to know of one zone: the diagnosis, the wishes and the shop's tests, in plain numbers. */
export interface Ground {
  zone: Zone;
  name: string;
  belief: Belief;
  hazards: Hazard[];
  area: number;
  /** How much there is to work on; nothing is lifted where doors stay on. */
  size: WorkSize;
  goal: Goal;
  look: Look;
  keep: ZoneWish['keep'];
  /** Glass or mirror that was to be painted with the piece: it is taped and left. */
  isGlass: boolean;
  colour: string;
  /** The paint and the sheen that are asked for here; the paint perhaps here alone. */
  paint: PaintCode | null;
  paintOfItsOwn: boolean;
  sheen: NonNullable<Goal['sheen']> | null;
  /** A second colour on its faces: the share it takes, the tape it wants, m. */
  second: (SecondColour & SecondMeasure) | null;
  /** Zones of a paler colour that it meets where both stay on the piece: theirs goes on first. */
  meets: readonly string[];
  /** Zones it meets there that are treated otherwise: wood along paint, paint along wood. */
  meetsOther: readonly string[];
  /** Separate things it is made of: doors, drawer fronts. */
  parts: number;
  /** The first zone of the piece that is treated: what is done once for the piece is done with it. */
  leads: boolean;
  /** Steps of the hand that the owner leaves out. */
  without: ReadonlySet<string>;
  /** Pale paint shows bleed; dark paint hides most of it. */
  pale: boolean;
  application: NonNullable<Goal['application']>;
  ventilation: NonNullable<Goal['ventilation']>;
  schools: Schools;
  /** Worn hard: a top in daily use, a kitchen or bathroom front. */
  hardWorn: boolean;
  /** A door or drawer, which touches itself or its frame. */
  moves: boolean;
  /** Fat of cooking lies on it. */
  greasy: boolean;
  /** Its first surface may be worth more than anything done to it. */
  isAntique: boolean;
  /** It cannot be carried off: walls, floor and worktop are near. */
  inPlace: boolean;
  states: (State & { p: number })[];
  /** Chance of each kind of ground that a first coat may meet. */
  grips: ReadonlyMap<GripGround, number>;
  /** How much harder the place where it will stand is on paint than a bedroom. */
  use: number;
  /** Chances that the face is porous, coated, or slick and closed. */
  slickness: readonly [number, number, number];
  pBleed: number;
  /** The same once the old coat is off. */
  pBleedBare: number;
  /** Only knots and single stains are to be blocked. */
  bleedsInSpots: boolean;
  /** Single old stains that come through, beside what the survey counts as bleeding, and in how many places. */
  stains: { p: number; spots: number };
  pFailing: number;
  pMarginal: number;
  pFilm: number;
  pFoil: number;
  /** An old coat that hides what is under it. */
  pOpaque: number;
  pSoftens: number;
  pRaw: number;
  /** Wood without a coat, and raw board. */
  pRawWood: number;
  pRawBoard: number;
  pMetal: number;
  /** Open, deep pores. */
  pOpen: number;
  needs: ReadonlyMap<string, number>;
  reasons: ReadonlyMap<string, Need>;
  climate: Climate;
  /** What the shop has seen of a treatment on this ground and near it. */
  pool: (mode: Experience['mode'], prep: PrepCode, primer: PrimerCode | 'none', clear?: ClearCode) => Pooled;
  /** What is wanted of a treatment here before paint, and what has been shown of it; `bleeds`: the chance that is supposed. */
  proofOf: (treatment: Treatment, bleeds: number) => readonly Requirement[];
  /** The zones to be treated that are read alike, this one among them: one patch speaks for all. */
  alike: readonly string[];
  /** Where the work took up again after something failed, and the coat that has to come off first then. */
  recovery?: Recovery;
  failedFace?: StripFace;
}

/** The schools followed unless the owner says otherwise. */
export const DEFAULT_SCHOOLS = {
  dulling: 'mix',
  priming: 'always',
  fill: 'obvious_first_then_after_prime',
  grain: 'spackle_brush',
  stain_block: 'whole_zone',
  doors: 'off',
  topcoat: 'when_needed',
  between: 'denib_every',
} as const satisfies Schools;

/** A zone as it is met: the diagnosis, before anything was put on it. See `readGround` for one that was worked on. */
export function readMetGround(dossier: Dossier, zone: Zone): Ground {
  const { belief, hazards, needs } = assessZone(dossier, zone);
  const goal = dossier.goal ?? {};
  const states = [...belief.joint].map((p, s) => ({ ...STATES[s]!, p })).filter((state) => state.p > 0.001);
  const soundness = new Map(belief.soundness.map(({ code, p }) => [code, p]));
  const wish = wishOf(dossier, zone);
  const { look, keep, colour, paint, paintOfItsOwn, sheen, second } = wish;
  const area = zone.area_m2 ?? DEFAULT_AREA_M2;
  const slick = (level: number): number => sumWhere(states, (state) => FINISH_FACTS[state.finish].slickness === level);
  const stain = needs.find(({ code }) => code === 'stain_block');
  const grips = sumGrips(states);
  const isGlass = sumWhere(states, hasSubstrate('glass_ceramic')) >= 0.5;
  const treated = new Set(listTreated(dossier).map(({ id }) => id));
  return {
    zone,
    name: zone.name ?? zone.id,
    belief,
    hazards,
    area,
    size: sizeOf(dossier, zone, area),
    goal,
    look: isGlass ? 'leave' : look,
    keep,
    isGlass: isGlass && look !== 'leave',
    colour,
    paint: paint ?? null,
    paintOfItsOwn,
    sheen: sheen ?? null,
    second: second ? measureOn(dossier, zone, second, area) : null,
    meets: listNeighbours(dossier, zone, (theirs, own) => isPainted(theirs) && isPainted(own) && isPaler(theirs, own)),
    // Paint goes on first, along wood that was sanded before it; the wood is finished last (common practice).
    meetsOther: listNeighbours(dossier, zone, (theirs, own) => isPainted(theirs) !== isPainted(own)),
    parts: countParts(dossier, zone),
    leads: dossier.zones?.find((own) => wishOf(dossier, own).look !== 'leave')?.id === zone.id,
    without: new Set(goal.without),
    pale: isPaleWish(wish),
    application: goal.application ?? 'brush_roll',
    ventilation: goal.ventilation ?? 'good',
    schools: { ...DEFAULT_SCHOOLS, ...goal.schools },
    hardWorn: isHardWorn(dossier, zone),
    moves: zone.role === 'door' || zone.role === 'drawer_front' || zone.role === 'drawer_side',
    greasy: dossier.piece.kind === 'kitchen_run' || dossier.piece.history?.room === 'kitchen',
    isAntique: dossier.piece.value === 'antique_first_surface',
    inPlace: IN_PLACE.includes(dossier.piece.kind) && look !== 'leave' && !isPartOff(zone, goal),
    states,
    grips,
    use: useOf(dossier, zone),
    slickness: [slick(0), slick(1), slick(2)],
    pBleed: chanceOfBleed(dossier, zone),
    pBleedBare: chanceOfBleed(dossier, zone, 'strip'),
    bleedsInSpots: stain?.extent === 'spot',
    stains: readStains(zone.defects ?? []),
    pFailing: soundness.get('failing') ?? 0,
    pMarginal: soundness.get('marginal') ?? 0,
    pFilm: sumWhere(states, hasFinish('factory_film')),
    pOpaque: sumWhere(states, ({ finish }) => FINISH_FACTS[finish].opaque),
    pFoil: sumWhere(states, hasSubstrate('paper_foil', 'thermofoil')),
    pSoftens: sumWhere(states, (state) => FINISH_FACTS[state.finish].softens),
    pRaw: sumWhere(
      states,
      (state) => state.finish === 'bare' && !(FACED_BOARDS as readonly string[]).includes(state.substrate),
    ),
    pRawWood: (grips.get('raw_wood') ?? 0) + (grips.get('oily_wood') ?? 0),
    pRawBoard: grips.get('raw_board') ?? 0,
    pMetal: grips.get('metal') ?? 0,
    pOpen: belief.grain?.find(({ code }) => code === 'open')?.p ?? 0,
    needs: new Map(needs.map((need) => [need.code, need.p])),
    reasons: new Map(needs.map((need) => [need.code, need])),
    climate: dossier.climate ?? LABEL_CLIMATE,
    pool: makePool(dossier, belief),
    proofOf: makeProofOf(dossier, zone, isPaleWish(wish)),
    alike: listAlike(dossier, zone).filter((id) => id === zone.id || treated.has(id)),
  };
}

/** Built in, or hung where it is painted (common practice). */
const IN_PLACE: readonly PieceKind[] = ['kitchen_run', 'interior_door', 'window_sill'];

/** Doors and drawers are painted on stands, unless the owner leaves them on. */
const isPartOff = ({ role }: Zone, goal: Goal): boolean =>
  (role === 'door' || role === 'drawer_front' || role === 'drawer_side') && goal.schools?.doors !== 'on';

/** The drawing of a piece as it is divided now: once for each state of its zones. */
const drawingOf = new WeakMap<readonly Zone[], { piece: Dossier['piece']; shapes: Shape[] }>();
function drawPiece({ piece, zones = [] }: Dossier): Shape[] {
  const known = drawingOf.get(zones);
  if (known && known.piece === piece) return known.shapes;
  const shapes = assignShapes(templateOf(piece).shapes, zones);
  drawingOf.set(zones, { piece, shapes });
  return shapes;
}

/** What stays on the piece is not lifted and turned. */
function sizeOf(dossier: Dossier, zone: Zone, areaM2: number): WorkSize {
  const size = measureWork(dossier, { ...zone, area_m2: areaM2 });
  return isPartOff(zone, dossier.goal ?? {}) ? size : { ...size, parts: 0 };
}

const measureOn = (dossier: Dossier, zone: Zone, second: SecondColour, area: number): SecondColour & SecondMeasure => ({
  ...second,
  ...measureSecond(second, measureFaces(drawPiece(dossier), zone, area)),
});

const countParts = (dossier: Dossier, zone: Zone): number =>
  zone.count ??
  Math.max(1, new Set(drawPiece(dossier).flatMap(({ zone: id, part }) => (id === zone.id ? [part] : []))).size);

/**
 * Zones that this one meets on the carcass, of those that are treated and wished as `where` says: of two colours the paler
 * goes on first and is taped along (common practice). What comes off the piece meets nothing while it is coated.
 */
function listNeighbours(dossier: Dossier, zone: Zone, where: (theirs: ZoneWish, own: ZoneWish) => boolean): string[] {
  const goal = dossier.goal ?? {};
  if (goal.zones === undefined) return [];
  const stays = (other: Zone): boolean => !isPartOff(other, goal) && !MEETS_NOTHING.includes(other.role);
  const own = wishOf(dossier, zone);
  if (own.look === 'leave' || !stays(zone)) return [];
  return (dossier.zones ?? []).flatMap((other) => {
    if (other.id === zone.id || !stays(other)) return [];
    const theirs = wishOf(dossier, other);
    return theirs.look !== 'leave' && where(theirs, own) ? [other.id] : [];
  });
}
const isPainted = ({ look }: ZoneWish): boolean => look === 'opaque';
const MEETS_NOTHING: readonly Zone['role'][] = ['hardware', 'drawer_side', 'inside'];

/** Of two colours the paler; of two alike in that, one always and the other never. */
function isPaler({ colour: a }: ZoneWish, { colour: b }: ZoneWish): boolean {
  const [one, other] = [computeLightness(a), computeLightness(b)];
  return one > other || (one === other && a > b);
}

/** Wear decides what paint will do: tops in daily use, kitchen and bathroom fronts (common practice). */
function isHardWorn(dossier: Dossier, { role, wear }: Zone): boolean {
  if (wear !== undefined) return wear === 'high';
  if (role === 'top') return true;
  const room = roomToBe(dossier);
  const wetRoom = room === 'kitchen' || room === 'bathroom';
  return wetRoom && (role === 'door' || role === 'drawer_front' || role === 'front');
}

/** A piece's zones share what was seen: it is gathered once for each state of the piece. */
const experienceOf = new WeakMap<Dossier, Experience[]>();

/** Remembers its answers: a search asks the same few questions thousands of times. */
function makePool(dossier: Dossier, belief: Belief): Ground['pool'] {
  const experience = experienceOf.get(dossier) ?? listExperience(dossier);
  experienceOf.set(dossier, experience);
  const surface = mostLikelyState(belief);
  const known = new Map<string, Pooled>();
  return (mode, prep, primer, clear) => {
    const key = `${mode}/${prep}/${primer}/${clear}`;
    const pooled = known.get(key) ?? poolExperience({ ...surface, mode, prep, primer, clear }, experience);
    known.set(key, pooled);
    return pooled;
  };
}

/** Remembers its answers, as `makePool` does. */
function makeProofOf(dossier: Dossier, zone: Zone, pale: boolean): Ground['proofOf'] {
  const known = new Map<string, readonly Requirement[]>();
  return (treatment, bleeds) => {
    const watched = expectsBleed({ bleeds, pale });
    const key = [treatmentKey(treatment), treatment.paint, watched].join();
    const answer = known.get(key) ?? requirementsFor(dossier, zone, { treatment }, { bleeds, pale });
    known.set(key, answer);
    return answer;
  };
}

function sumGrips(states: Ground['states']): Map<GripGround, number> {
  const grips = new Map<GripGround, number>();
  for (const { substrate, finish, p } of states) {
    const ground = gripGroundOf(substrate, finish);
    grips.set(ground, (grips.get(ground) ?? 0) + p);
  }
  return grips;
}

/** Where it will stand decides how hard it is used; where that is not said, where it stood. The hardest counts. */
function useOf(dossier: Dossier, { role, wear, wet }: Zone): number {
  const room = roomToBe(dossier);
  const fronts = role === 'door' || role === 'drawer_front' || role === 'front';
  const { dining, child, dailyTop, kitchenFront, wetRoom } = USE_FACTORS;
  return Math.max(
    1,
    room === 'dining' ? dining : 1,
    isForChild(dossier) ? child : 1,
    role === 'top' && wear !== 'low' ? dailyTop : 1,
    room === 'kitchen' && fronts ? kitchenFront : 1,
    room === 'bathroom' || wet ? wetRoom : 1,
  );
}

/** Chance that colour comes out of a ground prepared like this, 0–1. */
export const bleedsAfter = ({ pBleed, pBleedBare }: Ground, prep: PrepCode): number =>
  leavesBare(prep) ? pBleedBare : pBleed;

/** Must colour be held back here? `prep`: once it was prepared so. */
export const isBleeding = (ground: Ground, prep: PrepCode = 'none'): boolean =>
  expectsBleed({ bleeds: bleedsAfter(ground, prep), pale: ground.pale });

/** The wood is to be seen. */
export const showsWood = ({ look }: Pick<Ground, 'look'>): boolean => look === 'clear' || look === 'stain';

export function sumWhere(states: Ground['states'], test: (state: State) => boolean): number {
  return states.reduce((sum, state) => sum + (test(state) ? state.p : 0), 0);
}

export const isCredible = (ground: Ground, test: (state: State) => boolean): boolean =>
  sumWhere(ground.states, test) >= CREDIBLE;

export const hasSubstrate =
  (...codes: SubstrateCode[]) =>
  (state: State): boolean =>
    codes.includes(state.substrate);
export const hasFinish =
  (...codes: FinishCode[]) =>
  (state: State): boolean =>
    codes.includes(state.finish);

/** An old coat this likely to be failing must come off. */
export const FAILING_LIMIT = 0.3;
