import type { Basis, DefectCode, OperationCode, ProductClass } from './codes';
import type { CautionCode } from './cautions';

/**
 * Where a repair stands in the order of work: what must end before anything begins, before and after washing, mending
 * with glue, filling, levelling, over the primer, and after the last coat.
 */
export const REPAIR_PHASES = ['hold', 'clean', 'dry', 'mend', 'fill', 'level', 'after_prime', 'last'] as const;
export type RepairPhase = (typeof REPAIR_PHASES)[number];

export interface RepairStepFact {
  op: OperationCode;
  phase: RepairPhase;
  label: string;
  class?: ProductClass;
  /** What is bought where no class of the formats names it. */
  material?: string;
  grit?: number;
  /** Hands-on minutes: once, for each spot, and for each m² of what is affected. */
  minutes: { once?: number; each?: number; perM2?: number };
  /** Millilitres (grams of a paste) for each spot and each m². */
  takes?: { each?: number; perM2?: number };
  /** Hours until the next thing can be done there. */
  waitH: number;
  /** Dry dust of the coat or the ground, which lead forbids. */
  dry?: true;
  /** Bare wood, board or filler is left, and wants a dab of primer. */
  leavesBare?: true;
  facts: readonly string[];
  caution?: CautionCode;
  basis: Basis;
}

/** Minutes, amounts and waits are common practice in round numbers; the owner's own logged times are to replace them. */
// prettier-ignore
export const REPAIR_STEPS = {
  hold_woodworm: { op: 'wait', phase: 'hold', label: 'Keep it apart, treat the woodworm, look for fresh dust', material: 'Woodworm treatment', minutes: { once: 20 }, takes: { perM2: 200 }, waitH: 504, facts: ['Live ones leave fresh pale dust and sharp-edged holes. Put dark paper under it and look again after three weeks.', 'Treat by the label, away from other wood.'], caution: 'insects', basis: 'practice' },
  hold_mould: { op: 'wait', phase: 'hold', label: 'Find where the damp comes from', minutes: { once: 10 }, waitH: 24, facts: ['Mould comes back through anything while the wood is damp.', 'Stand it off the floor and off outside walls, doors and drawers open.'], caution: 'mould', basis: 'practice' },
  lift_stickers: { op: 'clean', phase: 'clean', label: 'Lift stickers and their glue', class: 'alcohol_wipe', minutes: { once: 2, each: 2, perM2: 10 }, takes: { each: 5, perM2: 60 }, waitH: 0, facts: ['Warm it with a hair dryer, lift with a plastic edge, wipe the rest with spirit.', 'Degrease after it: glue that stays lets primer go.'], basis: 'practice' },
  clean_mould: { op: 'clean', phase: 'clean', label: 'Clean off the mould, damp', class: 'mould_cleaner', minutes: { once: 8, perM2: 12 }, takes: { each: 20, perM2: 120 }, waitH: 24, facts: ['Damp cloths, turned often and thrown away; never brush it dry.', 'Then air until it smells of nothing.'], caution: 'mould', basis: 'practice' },
  wash_chalk: { op: 'clean', phase: 'clean', label: 'Wash off the chalking', class: 'sugar_soap', minutes: { once: 2, perM2: 10 }, takes: { each: 20, perM2: 60 }, waitH: 24, facts: ['Wash and rinse until a dark rag stays clean.', 'What powder stays is bound only by shellac or a penetrating primer.'], basis: 'practice' },
  air_out: { op: 'wait', phase: 'dry', label: 'Stand it open in moving air', minutes: { once: 2 }, waitH: 24, facts: ['Doors open, drawers out, a day at least; sun helps.', 'What still smells then is sealed in, inside faces as well.'], basis: 'practice' },
  scrape_resin: { op: 'repair', phase: 'mend', label: 'Scrape out the resin, wipe with spirit', class: 'alcohol_wipe', minutes: { once: 1, each: 3 }, takes: { each: 3 }, waitH: 2, leavesBare: true, facts: ['Dig out what is soft, wipe until the rag is clean, then seal before filling.', 'Warm resin runs on: never near a heat gun.'], caution: 'blades', basis: 'practice' },
  scrape_char: { op: 'repair', phase: 'mend', label: 'Scrape out the char', minutes: { once: 1, each: 4 }, waitH: 0, leavesBare: true, dry: true, facts: ['Down to wood that is hard and pale; char holds nothing.', 'The brown halo bleeds: it is sealed like a stain.'], caution: 'blades', basis: 'practice' },
  glue_joint: { op: 'repair', phase: 'mend', label: 'Glue and clamp the loose joint', class: 'wood_glue', minutes: { once: 5, each: 12 }, takes: { each: 10 }, waitH: 24, facts: ['Knock it apart where it will, scrape the old glue off; new glue does not hold on old.', 'Check the diagonals before the clamps set.'], caution: 'glue', basis: 'practice' },
  glue_crack: { op: 'repair', phase: 'mend', label: 'Glue the crack', class: 'wood_glue', minutes: { once: 3, each: 5 }, takes: { each: 8 }, waitH: 12, facts: ['Work glue in with a blade, open and close it a few times, clamp across.', 'Wipe what squeezes out before it skins.'], caution: 'glue', basis: 'practice' },
  glue_veneer: { op: 'reglue', phase: 'mend', label: 'Glue the veneer down', class: 'wood_glue', minutes: { once: 5, each: 10, perM2: 40 }, takes: { each: 8, perM2: 150 }, waitH: 18, facts: ['A bubble is slit along the grain; glue goes under both sides.', 'Baking paper, a flat block, a clamp; scrape what came out when it is dry.'], caution: 'glue', basis: 'practice' },
  glue_foil: { op: 'reglue', phase: 'mend', label: 'Glue the foil down', material: 'Contact glue', minutes: { once: 5, each: 8, perM2: 40 }, takes: { each: 10, perM2: 250 }, waitH: 4, facts: ['Both sides thinly, wait until touch-dry, then roll down hard from the middle.', 'No heat: it shrinks and lifts further.'], caution: 'glue', basis: 'practice' },
  remove_foil: { op: 'remove_face', phase: 'mend', label: 'Take the foil off', minutes: { once: 10, perM2: 35 }, waitH: 2, leavesBare: true, facts: ['Start at the loose corner, pull low and slow; a wide scraper for what stays.', 'What is under it is raw board: sanded, sealed, then primed.'], caution: 'blades', basis: 'practice' },
  glue_band: { op: 'reglue', phase: 'mend', label: 'Glue the edge band down', material: 'Contact glue', minutes: { once: 3, each: 6, perM2: 20 }, takes: { each: 8, perM2: 60 }, waitH: 2, facts: ['Scrape the old glue off the board first.', 'Press with a block along the whole length.'], caution: 'glue', basis: 'practice' },
  harden_edge: { op: 'consolidate', phase: 'mend', label: 'Harden the swollen edge', class: 'consolidant', minutes: { once: 3, each: 7, perM2: 20 }, takes: { each: 15, perM2: 80 }, waitH: 12, leavesBare: true, facts: ['Cut off the proud fibres first: swollen board does not go back.', 'Let it drink until it takes no more; fill and seal when hard.'], basis: 'practice' },
  tighten_runner: { op: 'repair', phase: 'mend', label: 'Tighten the runner', class: 'wood_glue', minutes: { once: 2, each: 5 }, takes: { each: 3 }, waitH: 2, facts: ['Glue and pin wood, screw metal; check that the drawer runs before the glue sets.', 'Nothing slippery before the last coat is on.'], caution: 'glue', basis: 'practice' },
  brush_rust: { op: 'repair', phase: 'mend', label: 'Take the rust to bright metal', grit: 120, minutes: { once: 2, each: 4, perM2: 25 }, waitH: 0, dry: true, leavesBare: true, facts: ['Bright metal all over, then a wipe with spirit.', 'Prime it the same day: it rusts again overnight.'], caution: 'rust', basis: 'practice' },
  replace_screws: { op: 'repair', phase: 'mend', label: 'Replace the rusty screws', material: 'Screws', minutes: { once: 2, each: 2 }, waitH: 0, facts: ['A rusty screw bleeds through any waterborne coat.', 'One size thicker where the hole is worn.'], basis: 'practice' },
  steam_dent: { op: 'repair', phase: 'mend', label: 'Steam the dent up', minutes: { once: 3, each: 4 }, waitH: 24, facts: ['A wet cloth and the tip of an iron, until the fibres rise; only bare wood drinks steam.', 'Let it dry a day, sand the raised grain.'], basis: 'practice' },
  fill_soft: { op: 'fill', phase: 'fill', label: 'Fill and sand', class: 'wood_filler_wb', minutes: { each: 2 }, takes: { each: 3 }, waitH: 2, dry: true, leavesBare: true, facts: ['Fill a little proud; it shrinks. Sand 220 when hard.', 'A low lamp along the face shows what light from above hides.'], basis: 'practice' },
  fill_hard: { op: 'fill', phase: 'fill', label: 'Fill hard, in two passes, and sand', class: 'polyester_filler', minutes: { each: 2 }, takes: { each: 5 }, waitH: 2, dry: true, leavesBare: true, facts: ['Cut loose edges back first. Two thin passes sink less than one thick one.', 'It sets in minutes: mix no more than one walnut.'], basis: 'practice' },
  level_marks: { op: 'sand', phase: 'level', label: 'Level the old brush marks, 120 then 180', grit: 120, minutes: { once: 2, perM2: 14 }, waitH: 0, dry: true, facts: ['With a hard block, until a pencil line across is gone.', 'Stay off the edges.'], basis: 'practice' },
  shave_runs: { op: 'sand', phase: 'level', label: 'Shave the runs, sand 180', grit: 180, minutes: { once: 1, each: 2 }, waitH: 0, dry: true, facts: ['A sharp blade laid flat takes the top; a block does the rest.', 'A run that is soft inside has to dry first.'], caution: 'blades', basis: 'practice' },
  sand_scratch: { op: 'sand', phase: 'level', label: 'Sand the scratches out, 180', grit: 180, minutes: { once: 1, each: 2, perM2: 8 }, waitH: 0, dry: true, facts: ['Wide around it, or a hollow shows under gloss.'], basis: 'practice' },
  sand_raised: { op: 'sand', phase: 'level', label: 'Sand the raised grain, 180', grit: 180, minutes: { once: 1, perM2: 6 }, waitH: 0, dry: true, facts: ['With the grain, a few light strokes.'], basis: 'practice' },
  sand_softened: { op: 'sand', phase: 'level', label: 'Sand the softened finish off', grit: 150, minutes: { once: 2, each: 4, perM2: 15 }, waitH: 0, dry: true, leavesBare: true, facts: ['Only when it is dry: damp finish clogs and smears.', 'Knock along veneer: a hollow sound is a place that lifts.'], basis: 'practice' },
  feather_flakes: { op: 'sand', phase: 'level', label: 'Scrape the loose paint, feather the edges', grit: 150, minutes: { once: 2, each: 5 }, waitH: 0, dry: true, leavesBare: true, facts: ['Scrape until nothing more lifts, then sand until the step cannot be felt.', 'More loose than it looked: the whole coat comes off.'], caution: 'blades', basis: 'practice' },
  free_detail: { op: 'sand', phase: 'level', label: 'Sand thick paint out of the detail', grit: 150, minutes: { once: 2, each: 6, perM2: 20 }, waitH: 0, dry: true, facts: ['Foam pads and folded paper; the edge of a profile is what the eye sees.'], basis: 'practice' },
  dull_gloss: { op: 'sand', phase: 'level', label: 'Take the first shine down, 180', grit: 180, minutes: { once: 1, perM2: 5 }, waitH: 0, dry: true, facts: ['Until nothing shines in a low light: what shines has not been touched.'], basis: 'practice' },
  caulk_gap: { op: 'caulk', phase: 'after_prime', label: 'Caulk the gaps', class: 'caulk_acrylic', minutes: { once: 3, each: 2 }, takes: { each: 10 }, waitH: 2, facts: ['A thin bead on the primer, drawn off with a wet finger; it holds better there than on wood.', 'Never over a joint that moves.'], basis: 'practice' },
  sand_sides: { op: 'sand', phase: 'level', label: 'Sand the dark drawer sides, 150', grit: 150, minutes: { once: 4, each: 3 }, waitH: 0, dry: true, leavesBare: true, facts: ['With the grain, until they are of one colour.', 'Leave the dovetails crisp.'], basis: 'practice' },
  wax_runners: { op: 'repair', phase: 'last', label: 'Wax the running faces only', class: 'wax', minutes: { once: 2, each: 1 }, takes: { each: 2 }, waitH: 0, facts: ['Only where wood runs on wood, and only now: nothing sticks over wax.'], basis: 'practice' },
} as const satisfies Record<string, RepairStepFact>;

export type RepairStepCode = keyof typeof REPAIR_STEPS;

/** The step that a code stands for; none for one of a later version. */
export const findRepairStep = (code: string): RepairStepFact | undefined =>
  code in REPAIR_STEPS ? REPAIR_STEPS[code as RepairStepCode] : undefined;

export type Extent = 'spot' | 'area' | 'all';
/** What the ground has to be for a way to be open. */
export type RepairGround = 'bare_wood';

export interface RepairWay {
  id: string;
  label: string;
  steps: readonly RepairStepCode[];
  /** Only for these extents, after these answers, on this ground; all where left out. */
  extents?: readonly Extent[];
  details?: readonly string[];
  ground?: RepairGround;
  /** The chance that it lets go or shows all the same, where the fault is all over. */
  fails?: { adhesion?: number; grain_show?: number };
  /** The face is taken off: what is painted is the raw board. */
  bares?: true;
  /** What is nothing but a decision, with its reason. */
  declined?: string;
}

export interface FaultNeed {
  code: string;
  label: string;
  why: string;
  extents?: readonly Extent[];
  details?: readonly string[];
}

export interface FaultAnswer {
  ways: readonly RepairWay[];
  /** What sees to it where no repair of its own does. */
  served?: string;
  /** What leaving it adds to the chances where it is all over. `must`: it is never left; `may`: some do, knowing that. */
  left: { must?: true; may?: true; adhesion?: number; grain_show?: number; bleed?: number; says: string };
  /** Colour that comes through from single places: a spot seal or a primer that holds old stains serves it. */
  stains?: number;
  /** Needs of the surface that it brings: the whole-face layers, stripping, drying or sealing serve them. */
  needs?: readonly FaultNeed[];
  /** Holds the zone back until one of these answers is given. */
  hold?: { ends: readonly string[]; why: string; end: string };
  /** The one question whose answer changes the plan; the first answer is assumed until it is given. */
  question?: { ask: string; answers: readonly { code: string; label: string }[] };
  basis: Basis;
}

const STRIP = { code: 'strip', label: 'Strip the old coat' } as const;
const EDGES = { code: 'edge_seal', label: 'Seal the edges' } as const;
const SMELL = { code: 'odour_seal', label: 'Seal the smell in' } as const;
const DRY = { code: 'dry_out', label: 'Let it dry out' } as const;
const WIDE: readonly Extent[] = ['area', 'all'];

/* What each defect asks for (common practice); chances of what is left undone are estimates. */
// prettier-ignore
export const FAULT_ANSWERS: Record<DefectCode, FaultAnswer> = {
  knot: { ways: [], served: 'Spot-sealed, or blocked by the primer', stains: 0.3, left: { says: 'A yellow ring comes through, in months or at once.' }, basis: 'practice' },
  resin_pocket: { ways: [{ id: 'scrape', label: 'Scrape out, fill', steps: ['scrape_resin', 'fill_hard'] }], stains: 0.5, left: { must: true, bleed: 0.6, says: 'Resin pushes the paint off when it is warm.' }, basis: 'practice' },
  tannin_bleed: { ways: [], served: 'Blocked over the whole face', left: { says: 'Brown comes up through pale paint; the whole face wants blocking.' }, basis: 'practice' },
  prior_bleed: { ways: [], served: 'Blocked over the whole face', left: { says: 'What came through once comes through again; the whole face wants blocking.' }, basis: 'practice' },
  water_ring: { ways: [], served: 'Spot-sealed, or held by a primer that holds old stains', stains: 0.3, left: { says: 'The ring comes through waterborne coats.' }, basis: 'practice' },
  drink_stain: { ways: [], served: 'Spot-sealed, or held by a primer that holds old stains', stains: 0.4, left: { says: 'It comes through waterborne coats.' }, basis: 'practice' },
  ink_stain: { ways: [], served: 'Spot-sealed, or held by a primer that holds old stains', stains: 0.5, left: { says: 'Ink comes through all but shellac and oil.' }, basis: 'practice' },
  water_damage: { ways: [{ id: 'dry_and_sand', label: 'Dry it, sand what is soft', steps: ['sand_softened'] }], stains: 0.3, needs: [{ ...DRY, why: 'Measure before painting: damp wood sheds paint.' }], left: { adhesion: 0.4, says: 'Softened finish lets go, and the new coat with it.' }, basis: 'practice' },
  burn: { ways: [{ id: 'scrape', label: 'Scrape out, fill', steps: ['scrape_char', 'fill_hard'] }], stains: 0.4, left: { must: true, says: 'Char holds no paint and its halo comes through.' }, basis: 'practice' },
  smoke_odour: { ways: [{ id: 'air', label: 'Wash, air, seal in', steps: ['air_out'] }], needs: [{ ...SMELL, why: 'Smoke comes back through paint unless sealed.' }], left: { must: true, says: 'The smell comes back.' }, basis: 'practice' },
  pet_odour: { ways: [{ id: 'air', label: 'Wash, air, seal in', steps: ['air_out'] }], needs: [{ ...SMELL, why: 'It comes back through paint unless sealed.' }], left: { must: true, says: 'The smell comes back with the first warm day.' }, basis: 'practice' },
  musty_odour: { ways: [{ id: 'air', label: 'Dry, air, seal in', steps: ['air_out'] }], needs: [{ ...SMELL, why: 'Dry it first; the rest is sealed in.' }, { ...DRY, why: 'Must is damp that has not ended.' }], left: { must: true, says: 'The smell comes back.' }, basis: 'practice' },
  mould: { ways: [{ id: 'hold', label: 'Find the damp, clean, dry', steps: ['hold_mould', 'clean_mould'], details: ['damp'] }, { id: 'clean', label: 'Clean it off', steps: ['clean_mould'], details: ['dry'] }], stains: 0.2, needs: [{ ...DRY, why: 'Mould means damp: find where it comes from and let the wood dry out.', details: ['damp'] }], hold: { ends: ['dry'], why: 'Wet mould comes back through any coat, and its spores are in the dust.', end: 'It goes on when the damp has been found and ended and the wood reads dry: answer “dry now” in Read.' }, question: { ask: 'Is it damp there still?', answers: [{ code: 'damp', label: 'Damp, or not known' }, { code: 'dry', label: 'Dry now, source ended' }] }, left: { must: true, says: 'It grows on under the paint.' }, basis: 'practice' },
  open_grain: { ways: [], served: 'Filled where you want the grain hidden', left: { says: 'Pores show through any film; filled where you want the grain hidden.' }, basis: 'practice' },
  raised_grain: { ways: [{ id: 'sand', label: 'Sand it', steps: ['sand_raised'] }], left: { may: true, grain_show: 0.35, says: 'It feels rough and shows under satin.' }, basis: 'practice' },
  dent: { ways: [{ id: 'fill', label: 'Fill it', steps: ['fill_soft'] }, { id: 'steam', label: 'Steam it up', steps: ['steam_dent'], ground: 'bare_wood', fails: { grain_show: 0.15 } }], left: { grain_show: 0.8, says: 'Paint hides no dent; gloss shows it best.' }, basis: 'practice' },
  scratch: { ways: [{ id: 'sand', label: 'Sand it out', steps: ['sand_scratch'], details: ['in_coat'] }, { id: 'fill', label: 'Fill it', steps: ['fill_soft'] }], question: { ask: 'How deep?', answers: [{ code: 'in_wood', label: 'A nail catches in it' }, { code: 'in_coat', label: 'Only in the coat' }] }, left: { may: true, grain_show: 0.5, says: 'A line shows through thin coats.' }, basis: 'practice' },
  gouge: { ways: [{ id: 'fill', label: 'Fill it hard', steps: ['fill_hard'] }], left: { grain_show: 0.9, says: 'A hole stays a hole.' }, basis: 'practice' },
  crack: { ways: [{ id: 'glue', label: 'Glue it, fill it', steps: ['glue_crack', 'fill_soft'], details: ['works'] }, { id: 'fill', label: 'Fill it', steps: ['fill_soft'], details: ['still'] }], question: { ask: 'Does it open and close?', answers: [{ code: 'works', label: 'It works, or carries' }, { code: 'still', label: 'It stands still' }] }, left: { grain_show: 0.8, says: 'It opens through the paint with the first heating season.' }, basis: 'practice' },
  gap_joint: { ways: [{ id: 'caulk', label: 'Caulk it over the primer', steps: ['caulk_gap'], details: ['cosmetic'] }, { id: 'glue', label: 'Glue and clamp it', steps: ['glue_joint'], details: ['structural'] }], question: { ask: 'Does the joint carry?', answers: [{ code: 'cosmetic', label: 'No, only a gap' }, { code: 'structural', label: 'Yes, it holds the piece' }] }, left: { grain_show: 0.6, says: 'A dark line stays, darkest under white.' }, basis: 'practice' },
  chipped_veneer: { ways: [{ id: 'fill', label: 'Cut back, fill hard', steps: ['fill_hard'] }], left: { grain_show: 0.9, says: 'The edge of the chip shows and catches.' }, basis: 'practice' },
  chipped_foil: { ways: [{ id: 'fill', label: 'Cut back, fill hard', steps: ['fill_hard'] }], left: { grain_show: 0.9, adhesion: 0.1, says: 'The edge of the foil goes on lifting from there.' }, basis: 'practice' },
  lifting_veneer: { ways: [{ id: 'glue', label: 'Glue it down', steps: ['glue_veneer'] }], needs: [{ code: 'reglue_or_remove_face', label: 'Glue the veneer down', why: 'Paint cannot hold on a face that lifts.' }], left: { must: true, says: 'Paint cannot hold on a face that lifts.' }, basis: 'practice' },
  bubbled_veneer: { ways: [{ id: 'glue', label: 'Slit it, glue it down', steps: ['glue_veneer'] }], needs: [{ code: 'reglue_or_remove_face', label: 'Slit and glue the bubble', why: 'Moisture in paint lifts it further.' }], left: { must: true, says: 'Moisture in paint lifts it further.' }, basis: 'practice' },
  lifting_foil: { ways: [{ id: 'glue', label: 'Glue it down', steps: ['glue_foil'], extents: ['spot'], fails: { adhesion: 0.25 } }, { id: 'glue_wide', label: 'Glue it down', steps: ['glue_foil'], extents: WIDE, fails: { adhesion: 0.5 } }, { id: 'remove', label: 'Take the foil off', steps: ['remove_foil'], bares: true }], needs: [{ code: 'reglue_or_remove_face', label: 'Glue the foil down or take it all off', why: 'Paint cannot hold on a face that lifts.' }], left: { must: true, says: 'Paint cannot hold on a face that lifts.' }, basis: 'practice' },
  swollen_edge: { ways: [{ id: 'harden', label: 'Harden, fill, seal', steps: ['harden_edge', 'fill_hard'] }], needs: [{ code: 'consolidate', label: 'Harden the swollen edge', why: 'Swollen board does not shrink back: harden, fill and seal it.' }, { ...EDGES, why: 'A swollen edge is raw board: it drinks and swells again.' }], left: { must: true, says: 'It crumbles, and the paint with it.' }, basis: 'practice' },
  raw_mdf_edge: { ways: [], needs: [{ ...EDGES, why: 'Raw MDF edges drink paint and swell with water.' }], left: { says: 'It drinks paint, swells and stays rough.' }, basis: 'practice' },
  raw_chip_edge: { ways: [{ id: 'fill', label: 'Fill, then seal', steps: ['fill_soft'] }], needs: [{ ...EDGES, why: 'Raw chipboard edges crumble and swell.' }], left: { grain_show: 0.7, says: 'Every chip shows.' }, basis: 'practice' },
  loose_edge_band: { ways: [{ id: 'glue', label: 'Glue the band down', steps: ['glue_band'] }], left: { must: true, says: 'It catches a cloth and tears the paint with it.' }, basis: 'practice' },
  old_holes: { ways: [{ id: 'fill', label: 'Fill hard, in two passes', steps: ['fill_hard'], details: ['open'] }, { id: 'keep', label: 'Leave them', steps: [], details: ['covered'], declined: 'The new handle sits on them or uses them: nothing to fill.' }], question: { ask: 'Will the new handle cover or use them?', answers: [{ code: 'open', label: 'No, they stay open' }, { code: 'covered', label: 'Yes, covered or used' }] }, left: { grain_show: 0.95, says: 'Open holes stay open.' }, basis: 'practice' },
  brush_marks: { ways: [{ id: 'level', label: 'Level them', steps: ['level_marks'] }], left: { may: true, grain_show: 0.3, says: 'Old strokes show through every later coat.' }, basis: 'practice' },
  runs: { ways: [{ id: 'shave', label: 'Shave them', steps: ['shave_runs'] }], left: { may: true, grain_show: 0.6, says: 'A run shows more with every coat.' }, basis: 'practice' },
  flaking: { ways: [{ id: 'feather', label: 'Scrape and feather', steps: ['feather_flakes'], extents: ['spot'], fails: { adhesion: 0.2 } }], needs: [{ ...STRIP, why: 'It flakes: new paint would leave with it.', extents: WIDE }], left: { must: true, says: 'New paint leaves with the old.' }, basis: 'practice' },
  alligatoring: { ways: [], needs: [{ ...STRIP, why: 'A crazed coat goes on cracking under the new one.' }], left: { says: 'The pattern comes through and lets go.' }, basis: 'practice' },
  chalking: { ways: [{ id: 'wash', label: 'Wash until the rag stays clean', steps: ['wash_chalk'], fails: { adhesion: 0.04 } }], left: { must: true, adhesion: 0.5, says: 'Paint on powder peels.' }, basis: 'practice' },
  thick_paint: { ways: [{ id: 'free', label: 'Sand the detail free', steps: ['free_detail'], extents: ['spot', 'area'] }], needs: [{ ...STRIP, why: 'The old coat is so thick that detail is lost.', extents: ['all'] }], left: { may: true, grain_show: 0.2, says: 'Soft profiles stay soft, and a thick coat chips.' }, basis: 'practice' },
  bare_patches: { ways: [{ id: 'spot_prime', label: 'Spot-prime them', steps: [] }], left: { grain_show: 0.4, says: 'Bare wood drinks more: dull patches.' }, basis: 'practice' },
  high_gloss: { ways: [{ id: 'dull', label: 'Take the shine down', steps: ['dull_gloss'] }], left: { may: true, adhesion: 0.08, says: 'What still shines has nothing for primer to hold on.' }, basis: 'practice' },
  rust: { ways: [{ id: 'bright', label: 'To bright metal', steps: ['brush_rust'], details: ['face'] }, { id: 'replace', label: 'Replace the screws', steps: ['replace_screws'], details: ['screws'] }], stains: 0.5, question: { ask: 'Where is it?', answers: [{ code: 'face', label: 'On a metal face' }, { code: 'screws', label: 'On screws or nails' }] }, left: { must: true, says: 'Rust goes on under paint and stains it brown.' }, basis: 'practice' },
  woodworm: { ways: [{ id: 'hold', label: 'Keep apart, treat, wait', steps: ['hold_woodworm', 'fill_soft'], details: ['live'] }, { id: 'fill', label: 'Fill the old holes', steps: ['fill_soft'], details: ['old'] }], hold: { ends: ['old'], why: 'If they are alive they move into other wood in the shop.', end: 'It goes on when no fresh dust has fallen for three weeks after treatment: answer “old holes only” in Read.' }, question: { ask: 'Are they alive?', answers: [{ code: 'live', label: 'Fresh dust, or not known' }, { code: 'old', label: 'Old holes only' }] }, left: { must: true, says: 'They go on eating.' }, basis: 'practice' },
  loose_joint: { ways: [{ id: 'glue', label: 'Glue and clamp it', steps: ['glue_joint'] }], left: { must: true, says: 'A joint that works cracks every coat over it.' }, basis: 'practice' },
  loose_runner: { ways: [{ id: 'tighten', label: 'Tighten it', steps: ['tighten_runner', 'wax_runners'] }], left: { must: true, says: 'The drawer drops and rubs the new paint.' }, basis: 'practice' },
  dark_drawer_sides: { ways: [{ id: 'leave', label: 'Leave them dark', steps: [], details: ['leave'], declined: 'Left dark on purpose: the sides show only when a drawer is open.' }, { id: 'match', label: 'Sand them to match', steps: ['sand_sides'], details: ['match'] }], question: { ask: 'What is to become of the sides?', answers: [{ code: 'leave', label: 'Leave them dark' }, { code: 'match', label: 'Lighten them to match' }] }, left: { says: 'They stay dark.' }, basis: 'practice' },
  sticker_residue: { ways: [{ id: 'lift', label: 'Lift it, wipe with spirit', steps: ['lift_stickers'] }], left: { must: true, adhesion: 0.7, says: 'Nothing holds on glue.' }, basis: 'practice' },
};

/** Answers to the one question of a defect that files may hold. */
export const DEFECT_DETAILS = [
  ...new Set(Object.values(FAULT_ANSWERS).flatMap(({ question }) => (question?.answers ?? []).map(({ code }) => code))),
];

/** The answer that counts: what was said, else the first, which is the careful one. */
export const detailOf = ({ code, detail }: { code: DefectCode; detail?: string | undefined }): string | undefined => {
  const answers = FAULT_ANSWERS[code].question?.answers;
  return answers?.some((own) => own.code === detail) ? detail : answers?.[0]?.code;
};
