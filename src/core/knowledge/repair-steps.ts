import type { Basis, OperationCode, ProductClass } from './codes';
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
  fill_soft: { op: 'fill', phase: 'fill', label: 'Fill and sand', class: 'wood_filler_wb', minutes: { each: 4 }, takes: { each: 3 }, waitH: 2, dry: true, leavesBare: true, facts: ['Fill a little proud; it shrinks. Sand 220 when hard.', 'A low lamp along the face shows what light from above hides.'], basis: 'practice' },
  fill_hard: { op: 'fill', phase: 'fill', label: 'Fill hard, in two passes, and sand', class: 'polyester_filler', minutes: { each: 4 }, takes: { each: 5 }, waitH: 2, dry: true, leavesBare: true, facts: ['Cut loose edges back first. Two thin passes sink less than one thick one.', 'It sets in minutes: mix no more than one walnut.'], basis: 'practice' },
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
