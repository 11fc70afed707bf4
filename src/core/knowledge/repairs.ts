import type { Basis, DefectCode } from './codes';
import { NEED_FACTS } from './needs';
import type { RepairStepCode } from './repair-steps';

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
  /** It is of the old coat and goes with it where that comes off; or, after this answer, it is. */
  ofCoat?: true | string;
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

/** The answer to a fault that can hardly be on this ground: kept, questioned in Read, and not worked on. */
export const FAULT_NOT_HERE: RepairWay = {
  id: 'not_here',
  label: 'Look again',
  steps: [],
  declined: 'It can hardly be on this ground: look again in Read. Nothing is planned for it.',
};
/** The old coat is taken off, and what was wrong with it goes too. */
export const COMES_OFF: RepairWay = { id: 'comes_off', label: 'Comes off with the old coat', steps: [] };
/** What running faces are rubbed with. */
export const RUNNER_WAX = 'Hard wax';

const STRIP = { code: 'strip', label: NEED_FACTS.strip.label } as const;
const EDGES = { code: 'edge_seal', label: NEED_FACTS.edge_seal.label } as const;
const SMELL = { code: 'odour_seal', label: NEED_FACTS.odour_seal.label } as const;
const DRY = { code: 'dry_out', label: NEED_FACTS.dry_out.label } as const;
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
  scratch: { ofCoat: 'in_coat', ways: [{ id: 'sand', label: 'Sand it out', steps: ['sand_scratch'], details: ['in_coat'] }, { id: 'fill', label: 'Fill it', steps: ['fill_soft'] }], question: { ask: 'How deep?', answers: [{ code: 'in_wood', label: 'A nail catches in it' }, { code: 'in_coat', label: 'Only in the coat' }] }, left: { may: true, grain_show: 0.5, says: 'A line shows through thin coats.' }, basis: 'practice' },
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
  brush_marks: { ofCoat: true, ways: [{ id: 'level', label: 'Level them', steps: ['level_marks'] }], left: { may: true, grain_show: 0.3, says: 'Old strokes show through every later coat.' }, basis: 'practice' },
  runs: { ofCoat: true, ways: [{ id: 'shave', label: 'Shave them', steps: ['shave_runs'] }], left: { may: true, grain_show: 0.6, says: 'A run shows more with every coat.' }, basis: 'practice' },
  flaking: { ofCoat: true, ways: [{ id: 'feather', label: 'Scrape and feather', steps: ['feather_flakes'], extents: ['spot'], fails: { adhesion: 0.2 } }], needs: [{ ...STRIP, why: 'It flakes: new paint would leave with it.', extents: WIDE }], left: { must: true, says: 'New paint leaves with the old.' }, basis: 'practice' },
  alligatoring: { ofCoat: true, ways: [], needs: [{ ...STRIP, why: 'A crazed coat goes on cracking under the new one.' }], left: { says: 'The pattern comes through and lets go.' }, basis: 'practice' },
  chalking: { ofCoat: true, ways: [{ id: 'wash', label: 'Wash until the rag stays clean', steps: ['wash_chalk'], fails: { adhesion: 0.04 } }], left: { must: true, adhesion: 0.5, says: 'Paint on powder peels.' }, basis: 'practice' },
  thick_paint: { ofCoat: true, ways: [{ id: 'free', label: 'Sand the detail free', steps: ['free_detail'], extents: ['spot', 'area'] }], needs: [{ ...STRIP, why: 'The old coat is so thick that detail is lost.', extents: ['all'] }], left: { may: true, grain_show: 0.2, says: 'Soft profiles stay soft, and a thick coat chips.' }, basis: 'practice' },
  bare_patches: { ways: [{ id: 'spot_prime', label: 'Spot-prime them', steps: [] }], left: { grain_show: 0.4, says: 'Bare wood drinks more: dull patches.' }, basis: 'practice' },
  high_gloss: { ofCoat: true, ways: [{ id: 'dull', label: 'Take the shine down', steps: ['dull_gloss'] }], left: { may: true, adhesion: 0.08, says: 'What still shines has nothing for primer to hold on.' }, basis: 'practice' },
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
