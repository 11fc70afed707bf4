import type { Basis, FinishCode, GrainCode, RoleCode, SoundnessCode, Strength, SubstrateCode } from './codes';

/**
 * Likelihood ratios against a neutral answer: `+++` about 30:1, `++` 10:1, `+` 3:1 (common practice turned
 * into round numbers; an estimate until the shop's own answers replace it).
 */
export const LIKELIHOOD_RATIO: Record<Strength, number> = {
  '+++': 30,
  '++': 10,
  '+': 3,
  '-': 1 / 3,
  '--': 1 / 10,
  '---': 1 / 30,
};

/** Share of answers given by mistake, spread evenly over the answers. Keeps every state possible. */
export const MISREADING_RATE = 0.05;

/** A look that a photograph can propose, and how often it is wrong. */
export interface CameraLook {
  /** Share of answers given by mistake, 0–1. */
  misread: number;
  /** Made-up pictures it was measured on, for each answer. */
  renders: number;
  basis: Basis;
}
/**
 * By check. Measured on renders (`npm run bench -- --full`), not on real faces, so taken for the answer that is misread most:
 * an estimate, and never a verdict alone. What the owner looked at besides takes its place (`rateLooks`).
 */
export const CAMERA_LOOKS: Readonly<Partial<Record<string, CameraLook>>> = {
  // 98.8, 87.4 and 98.6 % of its three answers are read right.
  pattern_repeat: { misread: 0.13, renders: 500, basis: 'estimate' },
  // 95.8, 99.4, 99.8 and 96.8 %.
  pores: { misread: 0.05, renders: 500, basis: 'estimate' },
  // 100, 84.4, 97.6 and 75.6 %.
  gloss_look: { misread: 0.25, renders: 500, basis: 'estimate' },
};

export type SmallFact = 'bleed' | 'grease' | 'wax_polish' | 'silicone' | 'odour';

/** What an answer speaks for. A state that is not named is neutral. */
export interface Says {
  substrate?: Partial<Record<SubstrateCode, Strength>>;
  finish?: Partial<Record<FinishCode, Strength>>;
  soundness?: Partial<Record<SoundnessCode, Strength>>;
  grain?: Partial<Record<GrainCode, Strength>>;
  present?: Partial<Record<SmallFact, Strength>>;
}

export interface Answer {
  code: string;
  label: string;
  hint?: string;
  /** The wood under it is of a colour that is liked as wood. */
  liked?: true;
  /** Everything the answer speaks for or against. */
  says: Says;
  /** The codes in `says` whose strength is an estimate of ours; the others are common practice. */
  estimated: ReadonlySet<string>;
}

/** Checks of one group look at the same feature, so their answers are not independent evidence. */
export const CHECK_GROUPS = [
  'build',
  'figure',
  'body',
  'solvent',
  'absorption',
  'hold',
  'rag',
  'old_coat',
  'stain',
] as const;
export type CheckGroup = (typeof CHECK_GROUPS)[number];

/**
 * Chances of each answer of a check that shows the effect itself, by what is the case: it is a measurement with slips of
 * its own and no clue. A false alarm is rare, for craters and colour have few other causes; a miss is likelier, for the
 * dab may lie beside the spot.
 */
export interface Measurement {
  of: 'bleed' | 'silicone' | 'soundness';
  /** By answer, then `no` and `yes` of a small fact, or the degree of soundness. Each column sums to 1. */
  chances: Readonly<Record<string, Readonly<Record<string, number>>>>;
  basis: Basis;
}

export interface Check {
  code: string;
  group: CheckGroup | null;
  /** Imperative, as said to the owner. */
  title: string;
  where: string;
  minutes: number;
  waitHours: number;
  /** 0 none, 1 a hidden mark, 2 a visible mark. */
  mark: 0 | 1 | 2;
  /** A solvent needs fresh air; abrasion waits for the lead gate. */
  care?: 'solvent' | 'abrasion';
  /** Under opaque paint the answer says nothing about the substrate. */
  hiddenByPaint?: boolean;
  /** Roles on which it is proposed; on all when left out. It can be made anywhere. */
  roles?: readonly RoleCode[];
  /** Proposed only to part foil from a harder film, or where a clear look is wished. It can be made anywhere. */
  parts?: 'film' | 'clear_coats';
  answers: readonly Answer[];
  measures?: Measurement;
}

export const SOLID_WOODS = [
  'knotty_softwood',
  'clear_softwood',
  'open_grain_hardwood',
  'closed_grain_hardwood',
  'tannin_rich_wood',
  'oily_tropical_wood',
] as const satisfies readonly SubstrateCode[];
const SOFTWOODS = ['knotty_softwood', 'clear_softwood'] as const;
const HARDWOODS = ['open_grain_hardwood', 'closed_grain_hardwood', 'tannin_rich_wood', 'oily_tropical_wood'] as const;
export const FACED_BOARDS = ['hpl_laminate', 'melamine_board', 'thermofoil', 'paper_foil'] as const;
const SHEET_GOODS = [...FACED_BOARDS, 'mdf', 'particleboard', 'hardboard'] as const;
const NO_WOOD = ['metal_ferrous', 'metal_nonferrous', 'plastic', 'glass_ceramic'] as const;
const OPAQUE = ['chalk_paint', 'latex_paint', 'mineral_paint', 'alkyd_paint', 'powder_coat'] as const;

const each = <C extends string>(codes: readonly C[], strength: Strength): Partial<Record<C, Strength>> =>
  Object.fromEntries(codes.map((code) => [code, strength])) as Partial<Record<C, Strength>>;

interface AnswerRow extends Omit<Answer, 'says' | 'estimated'> {
  /** Strengths known in the trade (common practice). */
  says?: Says;
  /** Strengths of our own judgement: materials that could not show the answer at all, and weaker signs. */
  estimates?: Says;
}
interface CheckRow extends Omit<Check, 'answers'> {
  answers: readonly AnswerRow[];
}

const CRAWL: Measurement = {
  of: 'silicone',
  chances: { lies_flat: { no: 0.9996, yes: 0.04 }, crawls: { no: 0.0004, yes: 0.96 } },
  basis: 'estimate',
};
/** In which colour it comes is told by the wood; that it comes counts. */
const STAIN: Measurement = {
  of: 'bleed',
  chances: {
    stays_white: { no: 0.999, yes: 0.04 },
    yellow: { no: 0.000_34, yes: 0.32 },
    pink_red: { no: 0.000_33, yes: 0.32 },
    brown: { no: 0.000_33, yes: 0.32 },
  },
  basis: 'estimate',
};
const HOLD_BY_TAPE: Measurement = {
  of: 'soundness',
  chances: {
    nothing: { sound: 0.9495, marginal: 0.14, failing: 0.03 },
    specks: { sound: 0.05, marginal: 0.85, failing: 0.07 },
    sheets: { sound: 0.0005, marginal: 0.01, failing: 0.9 },
  },
  basis: 'estimate',
};
/** Classes by how an old coat holds: 2 and 3 are marginal, 4 and 5 failing (common practice). */
const HOLD_BY_LATTICE: Measurement = {
  of: 'soundness',
  chances: {
    '0': { sound: 0.6, marginal: 0.03, failing: 0.005 },
    '1': { sound: 0.35, marginal: 0.11, failing: 0.015 },
    '2': { sound: 0.04, marginal: 0.5, failing: 0.03 },
    '3': { sound: 0.0095, marginal: 0.35, failing: 0.05 },
    '4': { sound: 0.0003, marginal: 0.008, failing: 0.4 },
    '5': { sound: 0.0002, marginal: 0.002, failing: 0.5 },
  },
  basis: 'estimate',
};

// prettier-ignore
const CHECK_ROWS: readonly CheckRow[] = [
  {
    code: 'edge_line', group: 'build',
    title: 'Look where the face meets the edge',
    where: 'Along the front edge, where it is least worn',
    minutes: 0.5, waitHours: 0, mark: 0, hiddenByPaint: true,
    answers: [
      { code: 'grain_continues', label: 'Grain runs on', hint: 'over the corner, end grain on the end', says: { substrate: { ...each(SOLID_WOODS, '+++'), ...each(SHEET_GOODS, '---') } }, estimates: { substrate: { ...each(NO_WOOD, '---'), plywood: '--', wood_veneer: '--' } } },
      { code: 'thin_wood_layer', label: 'Thin wood skin', hint: 'as thick as card', says: { substrate: { wood_veneer: '+++', plywood: '+' } }, estimates: { substrate: each(NO_WOOD, '---') } },
      { code: 'dark_line', label: 'Dark line', hint: 'brown or black, 1 mm', says: { substrate: { hpl_laminate: '+++' } }, estimates: { substrate: each(NO_WOOD, '---') } },
      { code: 'plastic_strip', label: 'Plastic strip', hint: 'a band glued on', says: { substrate: { melamine_board: '++', hpl_laminate: '+', paper_foil: '+' } }, estimates: { substrate: each(SOLID_WOODS, '--') } },
      { code: 'wraps_no_line', label: 'Wraps, no line', hint: 'one skin round the corner', says: { substrate: { thermofoil: '++', paper_foil: '+' } }, estimates: { substrate: each(SOLID_WOODS, '-') } },
      { code: 'raw_fuzzy', label: 'Raw and fuzzy', hint: 'brown fibre or chips', says: { substrate: { mdf: '++', particleboard: '+' } }, estimates: { substrate: each(SOLID_WOODS, '--') } },
    ],
  },
  {
    code: 'pattern_repeat', group: 'figure',
    title: 'Does the pattern come again?',
    where: 'Find one knot or flame and look for its twin',
    minutes: 0.5, waitHours: 0, mark: 0, hiddenByPaint: true,
    answers: [
      { code: 'repeats', label: 'It repeats', says: { substrate: { ...each(FACED_BOARDS, '++'), ...each(SOLID_WOODS, '---'), wood_veneer: '---' } }, estimates: { substrate: { plywood: '---' } } },
      { code: 'no_repeat', label: 'Never the same', says: { substrate: { ...each(SOLID_WOODS, '+'), wood_veneer: '+' } }, estimates: { substrate: { plywood: '+' } } },
      { code: 'plain_colour', label: 'Plain colour', hint: 'no pattern at all', says: { substrate: { melamine_board: '+', hpl_laminate: '+', thermofoil: '+' }, finish: each(OPAQUE, '+') }, estimates: { substrate: { mdf: '+', hardboard: '+', ...each(NO_WOOD, '+'), ...each(SOLID_WOODS, '-') } } },
    ],
  },
  {
    code: 'core_view', group: 'build',
    title: 'Look at the inside of the board',
    where: 'Underside, unfinished edge or a screw hole',
    minutes: 1, waitHours: 0, mark: 0,
    answers: [
      { code: 'long_fibre', label: 'Long fibres', hint: 'it is wood all through', says: { substrate: each(SOLID_WOODS, '+++') }, estimates: { substrate: { ...each(SHEET_GOODS, '---'), ...each(NO_WOOD, '---') } } },
      { code: 'chips', label: 'Chips', hint: 'flakes pressed together', says: { substrate: { melamine_board: '++', paper_foil: '++', hpl_laminate: '+', wood_veneer: '+' } }, estimates: { substrate: { particleboard: '++', ...each([...SOLID_WOODS, ...NO_WOOD], '---') } } },
      { code: 'fine_fibre', label: 'Fine brown felt', hint: 'even, like thick card', says: { substrate: { mdf: '++', thermofoil: '++', wood_veneer: '+', paper_foil: '+' } }, estimates: { substrate: each([...SOLID_WOODS, ...NO_WOOD], '---') } },
      { code: 'plies', label: 'Plies', hint: 'thin layers, crossed', says: { substrate: { plywood: '+++', wood_veneer: '+' } }, estimates: { substrate: each([...SOLID_WOODS, ...NO_WOOD], '--') } },
      { code: 'thin_brown_sheet', label: 'Thin brown sheet', says: { substrate: { hardboard: '+++' } }, estimates: { substrate: each([...SOLID_WOODS, ...NO_WOOD], '--') } },
    ],
  },
  {
    code: 'corner_lift', group: 'build',
    title: 'Look at a damaged corner',
    where: 'A chip, a knock or a lifting edge',
    minutes: 0.5, waitHours: 0, mark: 0,
    answers: [
      { code: 'plastic_skin', label: 'Plastic skin', hint: 'bends, can be peeled', says: { substrate: { thermofoil: '+++' } }, estimates: { substrate: each(SOLID_WOODS, '--') } },
      { code: 'brittle_chip', label: 'Brittle chip', hint: 'snapped off sharp', says: { substrate: { hpl_laminate: '++', melamine_board: '++' } }, estimates: { substrate: each(SOLID_WOODS, '-') } },
      { code: 'paper_tear', label: 'Torn paper', says: { substrate: { paper_foil: '+++' } }, estimates: { substrate: each(SOLID_WOODS, '--') } },
      { code: 'wood_flake', label: 'Flake of wood', says: { substrate: { wood_veneer: '+++' } } },
      { code: 'paint_flake', label: 'Flake of paint', says: { finish: each(OPAQUE, '++'), soundness: { marginal: '+', failing: '++' } }, estimates: { soundness: { sound: '--' } } },
      { code: 'none_found', label: 'No damage', says: { substrate: each(SOLID_WOODS, '+') } },
    ],
  },
  {
    code: 'edge_wrap', group: 'build', parts: 'film',
    title: 'Follow the face round the edge with a nail',
    where: 'A door or drawer front: its edge, then its back',
    minutes: 0.5, waitHours: 0, mark: 0, hiddenByPaint: true,
    answers: [
      { code: 'one_skin', label: 'One skin all round', hint: 'the nail meets no seam', says: { substrate: { thermofoil: '+++', paper_foil: '++', melamine_board: '--', hpl_laminate: '--' } }, estimates: { substrate: each(SOLID_WOODS, '--') } },
      { code: 'seam_with_band', label: 'A seam, then a band', says: { substrate: { melamine_board: '++', hpl_laminate: '+', thermofoil: '--' } }, estimates: { substrate: { paper_foil: '-', ...each(SOLID_WOODS, '--') } } },
      { code: 'raw_edge', label: 'It stops, the edge is raw', estimates: { substrate: { paper_foil: '+', hpl_laminate: '+', melamine_board: '+', thermofoil: '--', ...each(SOLID_WOODS, '-') } } },
      { code: 'wood_edge', label: 'Wood at the edge', says: { substrate: { ...each(SOLID_WOODS, '++'), wood_veneer: '++' } }, estimates: { substrate: { thermofoil: '---', paper_foil: '--', melamine_board: '--' } } },
    ],
  },
  {
    code: 'pattern_end', group: 'figure', parts: 'film',
    title: 'See where the pattern ends',
    where: 'Where the face meets the edge, with a lamp',
    minutes: 0.5, waitHours: 0, mark: 0, hiddenByPaint: true,
    answers: [
      { code: 'runs_over', label: 'Runs over the edge', hint: 'round onto the other side', says: { substrate: { paper_foil: '++', thermofoil: '++' } }, estimates: { substrate: { melamine_board: '--', hpl_laminate: '--' } } },
      { code: 'stops_at_band', label: 'Stops at a band', hint: 'the band has a pattern of its own', says: { substrate: { melamine_board: '++', hpl_laminate: '+' } }, estimates: { substrate: { paper_foil: '-', thermofoil: '--', ...each(SOLID_WOODS, '--') } } },
      { code: 'into_end_grain', label: 'Goes into the end grain', says: { substrate: each(SOLID_WOODS, '++') }, estimates: { substrate: each(FACED_BOARDS, '---') } },
      { code: 'no_pattern', label: 'No pattern', estimates: { substrate: each(SOLID_WOODS, '-') } },
    ],
  },
  {
    code: 'pores', group: 'figure',
    title: 'Drag a fingernail across the grain',
    where: 'Where the finish is thinnest, in side light',
    minutes: 0.5, waitHours: 0, mark: 0, hiddenByPaint: true,
    answers: [
      { code: 'open_felt', label: 'Clear grooves', hint: 'the nail ticks over them', says: { grain: { open: '++' } }, estimates: { grain: { closed: '-' } } },
      { code: 'medium_felt', label: 'Fine grooves', says: { grain: { medium: '++' } } },
      { code: 'none_felt_wood', label: 'Smooth wood', says: { substrate: { closed_grain_hardwood: '++', ...each(SOFTWOODS, '+') } }, estimates: { substrate: { plywood: '+', wood_veneer: '+' }, grain: { open: '--', medium: '-' } } },
      { code: 'seen_not_felt', label: 'Seen, not felt', hint: 'printed, or filled', says: { substrate: each(FACED_BOARDS, '++') }, estimates: { substrate: each(SOLID_WOODS, '-') } },
    ],
  },
  {
    code: 'knots_seen', group: 'figure',
    title: 'Count the knots',
    where: 'The whole face, and through thin paint',
    minutes: 0.5, waitHours: 0, mark: 0, hiddenByPaint: true,
    answers: [
      { code: 'many', label: 'Many', says: { substrate: { knotty_softwood: '+++' } } },
      { code: 'few', label: 'A few', says: { substrate: { knotty_softwood: '+' } } },
      { code: 'none', label: 'None', says: { substrate: { knotty_softwood: '--' } } },
    ],
  },
  {
    code: 'wood_colour', group: 'figure',
    title: 'What colour is it where no paint is?',
    where: 'Underside, inside, or a worn place',
    minutes: 0.5, waitHours: 0, mark: 0, hiddenByPaint: true,
    answers: [
      { code: 'pale_yellow', label: 'Pale yellow', says: { substrate: { ...each(SOFTWOODS, '+'), closed_grain_hardwood: '+' } } },
      { code: 'honey_tan', label: 'Honey to tan', says: { substrate: { open_grain_hardwood: '+' } } },
      { code: 'red_brown', label: 'Red-brown', liked: true, says: { substrate: { tannin_rich_wood: '++' } }, estimates: { present: { bleed: '+' } } },
      { code: 'dark_brown', label: 'Dark brown', liked: true, says: { substrate: { tannin_rich_wood: '+' } }, estimates: { present: { bleed: '+' } } },
      { code: 'grey_white_plain', label: 'Grey, white, plain', says: { substrate: each(SHEET_GOODS, '+') } },
    ],
  },
  {
    code: 'weight', group: 'body',
    title: 'Lift a corner, or take a drawer out',
    where: 'Heavy or light for its size?',
    minutes: 0.5, waitHours: 0, mark: 0,
    answers: [
      { code: 'heavy_for_size', label: 'Heavy', hint: 'more than it looks', says: { substrate: { mdf: '+', particleboard: '+', ...each(HARDWOODS, '+') } }, estimates: { substrate: each(FACED_BOARDS, '+') } },
      { code: 'light_for_size', label: 'Light', says: { substrate: { ...each(SOFTWOODS, '+'), plywood: '+' } } },
    ],
  },
  {
    code: 'nail_dent', group: 'body',
    title: 'Press a thumbnail in, somewhere hidden',
    where: 'Underside or back edge',
    minutes: 0.5, waitHours: 0, mark: 1,
    answers: [
      { code: 'dents', label: 'It dents', says: { substrate: each(SOFTWOODS, '++') }, estimates: { substrate: { mdf: '+' } } },
      { code: 'no_mark', label: 'No mark', says: { substrate: { hpl_laminate: '++', ...each(HARDWOODS, '+') } } },
    ],
  },
  {
    code: 'water_drop', group: 'absorption',
    title: 'Put a drop of water on it',
    where: 'Wiped clean, flat; wait five minutes',
    minutes: 5, waitHours: 0, mark: 0,
    answers: [
      { code: 'beads', label: 'It beads', says: { finish: { factory_film: '++', varnish_oil: '+', wax: '+' } }, estimates: { finish: { bare: '--' } } },
      { code: 'soaks_slow', label: 'Soaks in slowly', says: { finish: { oil: '+' } }, estimates: { finish: { factory_film: '--' } } },
      { code: 'soaks_fast', label: 'Soaks in at once', says: { finish: { bare: '+++', chalk_paint: '++' }, substrate: { mdf: '++', particleboard: '++' } }, estimates: { finish: { factory_film: '---' } } },
    ],
  },
  {
    code: 'damp_rag', group: 'rag',
    title: 'Rub with a damp white rag',
    where: 'Half a minute, hard, on the worst-looking place',
    minutes: 1, waitHours: 0, mark: 0,
    answers: [
      { code: 'clean', label: 'Rag stays clean', estimates: { present: { grease: '--', bleed: '-' } } },
      { code: 'grease_brown', label: 'Brown or yellow', says: { present: { grease: '++' } } },
      { code: 'red_pink', label: 'Pink or red', liked: true, says: { substrate: { tannin_rich_wood: '++' }, present: { bleed: '++' } } },
      { code: 'paint_colour', label: 'The paint’s colour', says: { finish: { chalk_paint: '++', latex_paint: '++' } } },
    ],
  },
  {
    code: 'alcohol_rub', group: 'solvent',
    title: 'Rub with alcohol on a rag',
    where: 'Hidden spot, ten rubs',
    minutes: 2, waitHours: 0, mark: 1, care: 'solvent',
    answers: [
      { code: 'softens_sticky', label: 'Goes sticky', says: { finish: { shellac: '+++' } } },
      { code: 'paint_softens', label: 'Paint softens', says: { finish: { latex_paint: '++' } } },
      { code: 'no_effect', label: 'Nothing happens', says: { finish: { alkyd_paint: '+', factory_film: '+', varnish_oil: '+', catalysed_lacquer: '+', powder_coat: '+' } }, estimates: { finish: { shellac: '--', latex_paint: '-' } } },
    ],
  },
  {
    code: 'thinner_rub', group: 'solvent',
    title: 'Rub with lacquer thinner',
    where: 'Hidden spot, outdoors or by an open door',
    minutes: 3, waitHours: 0, mark: 1, care: 'solvent',
    answers: [
      { code: 'dissolves', label: 'It dissolves', says: { finish: { nitro_lacquer: '+++', shellac: '+' } } },
      { code: 'wrinkles', label: 'It wrinkles', says: { finish: { varnish_oil: '++', alkyd_paint: '++' } } },
      { code: 'no_effect', label: 'Nothing happens', says: { finish: { catalysed_lacquer: '++', factory_film: '++', powder_coat: '++' } }, estimates: { finish: { nitro_lacquer: '--' } } },
    ],
  },
  {
    code: 'alcohol_dab', group: 'solvent', parts: 'clear_coats',
    title: 'Put a drop of alcohol on it for a minute',
    where: 'A hidden spot, outdoors or by an open door',
    minutes: 1, waitHours: 0, mark: 1, care: 'solvent',
    answers: [
      { code: 'softens', label: 'Softens, goes sticky', says: { finish: { shellac: '+++' } }, estimates: { finish: { latex_paint: '+' } } },
      { code: 'whitens', label: 'Goes white', hint: 'dull and white, still hard', estimates: { finish: { nitro_lacquer: '+', wax: '+' } } },
      { code: 'soaks_in', label: 'Soaks in, darkens', says: { finish: { oil: '++', bare: '++' } }, estimates: { finish: { factory_film: '--', catalysed_lacquer: '--' } } },
      { code: 'no_effect', label: 'Nothing happens', says: { finish: { varnish_oil: '+', catalysed_lacquer: '+', factory_film: '+' } }, estimates: { finish: { shellac: '---', bare: '--', oil: '-' } } },
    ],
  },
  {
    code: 'thinner_dab', group: 'solvent', parts: 'clear_coats',
    title: 'Put a drop of lacquer thinner on it for a minute',
    where: 'A hidden spot, outdoors or by an open door',
    minutes: 1, waitHours: 0, mark: 1, care: 'solvent',
    answers: [
      { code: 'softens', label: 'Softens or dissolves', says: { finish: { nitro_lacquer: '+++', shellac: '++' } } },
      { code: 'wrinkles', label: 'It wrinkles', says: { finish: { varnish_oil: '++' } }, estimates: { finish: { alkyd_paint: '++' } } },
      { code: 'soaks_in', label: 'Soaks in, darkens', says: { finish: { oil: '++', bare: '++' } }, estimates: { finish: { factory_film: '--', catalysed_lacquer: '--' } } },
      { code: 'no_effect', label: 'Nothing happens', says: { finish: { catalysed_lacquer: '++', factory_film: '++', powder_coat: '++', varnish_oil: '+' } }, estimates: { finish: { nitro_lacquer: '---', shellac: '---' } } },
    ],
  },
  {
    code: 'spirit_rub', group: 'rag',
    title: 'Wipe with mineral spirits',
    where: 'A hand’s breadth, with a white rag',
    minutes: 1, waitHours: 0, mark: 0, care: 'solvent',
    answers: [
      { code: 'waxy_film', label: 'Yellow, waxy smear', says: { finish: { wax: '+++' }, present: { wax_polish: '+++' } } },
      { code: 'clean', label: 'Rag stays clean', estimates: { finish: { wax: '--' }, present: { wax_polish: '--' } } },
    ],
  },
  {
    code: 'sand_spot', group: null,
    title: 'Sand a patch the size of a thumbnail',
    where: 'Hidden, 120 grit, look at the dust',
    minutes: 2, waitHours: 0, mark: 1, care: 'abrasion',
    answers: [
      { code: 'wood_dust', label: 'Wood dust', says: { substrate: { ...each(SOLID_WOODS, '++'), wood_veneer: '++' }, finish: { bare: '++' } }, estimates: { substrate: { plywood: '++', ...each(FACED_BOARDS, '--') }, finish: { factory_film: '--' } } },
      { code: 'white_then_dark', label: 'White, then dark', says: { substrate: { hpl_laminate: '+++' } } },
      { code: 'paper_brown', label: 'Brown paper', says: { substrate: { paper_foil: '++', melamine_board: '+' } } },
      { code: 'gums_up', label: 'Gums up the paper', says: { finish: { latex_paint: '++', wax: '++' }, substrate: { thermofoil: '++' } } },
      { code: 'fine_chalk', label: 'Fine chalk', says: { finish: { chalk_paint: '+++' } } },
      { code: 'hard_colour', label: 'Hard coloured dust', says: { finish: { alkyd_paint: '+' } } },
    ],
  },
  {
    code: 'tape_pull', group: 'hold',
    title: 'Press firm tape on and pull it off sharply',
    where: 'Where the old coat looks worst',
    minutes: 1, waitHours: 0, mark: 1, measures: HOLD_BY_TAPE,
    answers: [
      { code: 'nothing', label: 'Tape is clean', says: { soundness: { sound: '++' } }, estimates: { soundness: { marginal: '-', failing: '--' } } },
      { code: 'specks', label: 'Specks', says: { soundness: { marginal: '++' } }, estimates: { soundness: { sound: '-' } } },
      { code: 'sheets', label: 'Sheets', says: { soundness: { failing: '+++' } }, estimates: { soundness: { sound: '--' } } },
    ],
  },
  {
    code: 'cross_cut_old', group: 'hold',
    title: 'Cut a lattice in the old coat and pull tape',
    where: 'Where a small scar can be filled',
    minutes: 5, waitHours: 0, mark: 2, measures: HOLD_BY_LATTICE,
    answers: ['0', '1', '2', '3', '4', '5'].map((code): AnswerRow => ({
      code,
      label: `Class ${code}`,
      ...(code < '2' ? { says: { soundness: { sound: '++' } }, estimates: { soundness: { failing: '--' } } }
        : code < '4' ? { says: { soundness: { marginal: '++' } }, estimates: { soundness: { sound: '-' } } }
        : { says: { soundness: { failing: '+++' } }, estimates: { soundness: { sound: '--' } } }),
    })),
  },
  {
    code: 'gloss_look', group: 'old_coat',
    title: 'How does it shine?',
    where: 'Against a window',
    minutes: 0.2, waitHours: 0, mark: 0,
    answers: [
      { code: 'matt', label: 'Matt', estimates: { finish: { chalk_paint: '+', bare: '+', oil: '+' } } },
      { code: 'satin', label: 'Satin' },
      { code: 'semi_gloss', label: 'Half gloss', estimates: { finish: { chalk_paint: '-', bare: '--' } } },
      { code: 'high_gloss', label: 'High gloss', estimates: { finish: { alkyd_paint: '+', catalysed_lacquer: '+', chalk_paint: '--', bare: '---' } } },
    ],
  },
  {
    code: 'coat_thickness', group: 'old_coat',
    title: 'How thick is the old coat?',
    where: 'At an edge or a chip',
    minutes: 1, waitHours: 0, mark: 1,
    answers: [
      { code: 'thin', label: 'Thin' },
      { code: 'thick', label: 'Thick', hint: 'brush marks, soft edges', estimates: { finish: each(OPAQUE, '+') } },
      { code: 'caked', label: 'Caked', hint: 'detail is lost', estimates: { finish: each(OPAQUE, '++') } },
    ],
  },
  {
    code: 'grease_wipe', group: 'rag',
    title: 'Wipe with degreaser on a white rag',
    where: 'Around handles and the top edge',
    minutes: 1, waitHours: 0, mark: 0,
    answers: [
      { code: 'clean', label: 'Rag stays clean', estimates: { present: { grease: '--' } } },
      { code: 'yellow_film', label: 'Yellow film', estimates: { present: { grease: '++' } } },
      { code: 'slippery', label: 'Slippery', estimates: { present: { grease: '++' } } },
    ],
  },
  {
    code: 'crawl_dab', group: null,
    title: 'Dab on waterborne primer and watch it',
    where: 'A coin’s size on a cleaned spot',
    minutes: 10, waitHours: 0, mark: 1, measures: CRAWL,
    answers: [
      { code: 'lies_flat', label: 'Lies flat', estimates: { present: { silicone: '--' } } },
      { code: 'crawls', label: 'Crawls into craters', says: { present: { silicone: '+++' } } },
    ],
  },
  {
    code: 'bleed_probe', group: null,
    title: 'Dab white waterborne paint on a suspect spot',
    where: 'On a knot, a dark streak or a hidden red part; look tomorrow',
    minutes: 3, waitHours: 12, mark: 1, measures: STAIN,
    answers: [
      { code: 'stays_white', label: 'Stays white', estimates: { present: { bleed: '---' } } },
      { code: 'yellow', label: 'Yellows', estimates: { substrate: { knotty_softwood: '+' }, present: { bleed: '+++' } } },
      { code: 'pink_red', label: 'Pink or red', estimates: { substrate: { tannin_rich_wood: '+' }, present: { bleed: '+++' } } },
      { code: 'brown', label: 'Browns', estimates: { present: { bleed: '+++' } } },
    ],
  },
  {
    code: 'lead_test', group: null,
    title: 'Test the old coat for lead',
    where: 'Follow the test kit; say which kind it was',
    minutes: 10, waitHours: 0, mark: 1,
    answers: [
      { code: 'negative', label: 'Negative' },
      { code: 'positive', label: 'Positive' },
    ],
  },
  {
    code: 'odour', group: null,
    title: 'Smell inside',
    where: 'A drawer or a closed door',
    minutes: 0.1, waitHours: 0, mark: 0, roles: ['inside', 'drawer_side', 'shelf'],
    answers: [
      { code: 'none', label: 'Nothing', estimates: { present: { odour: '---' } } },
      { code: 'smoke', label: 'Smoke', estimates: { present: { odour: '+++' } } },
      { code: 'pet', label: 'Pets', estimates: { present: { odour: '+++' } } },
      { code: 'musty', label: 'Musty', estimates: { present: { odour: '+++' } } },
    ],
  },
];

/** All checks with answers, in the order of how gentle they are. */
export const CHECKS: readonly Check[] = CHECK_ROWS.map((row) => ({
  ...row,
  answers: row.answers.map(({ says, estimates, ...answer }) => ({
    ...answer,
    says: mergeSays(says ?? {}, estimates ?? {}),
    estimated: new Set(Object.values(estimates ?? {}).flatMap((part) => Object.keys(part as object))),
  })),
}));

function mergeSays(first: Says, second: Says): Says {
  const merged: Record<string, object> = { ...first };
  for (const [part, strengths] of Object.entries(second)) merged[part] = { ...merged[part], ...strengths };
  return merged;
}

/** Weight of the strongest thing an answer or defect says, as a ratio of at least 1. */
export function measureStrength(says: Says): number {
  const strengths = Object.values(says).flatMap((part) => Object.values(part as Record<string, Strength>));
  return Math.max(
    1,
    ...strengths.map((strength) => Math.max(LIKELIHOOD_RATIO[strength], 1 / LIKELIHOOD_RATIO[strength])),
  );
}

/** Checks that read a number instead of an answer, with their range and unit. */
export const NUMBER_CHECKS: Readonly<Record<string, { title: string; min: number; max: number; unit: string }>> = {
  moisture_meter: { title: 'Moisture meter', min: 0, max: 60, unit: '%' },
};

export const CHECK_CODES: readonly string[] = [...CHECKS.map((check) => check.code), ...Object.keys(NUMBER_CHECKS)];

const BY_CODE = new Map(CHECKS.map((check) => [check.code, check]));
export const findCheck = (code: string): Check | undefined => BY_CODE.get(code);
export const findAnswer = (check: string, answer: string): Answer | undefined =>
  BY_CODE.get(check)?.answers.find((candidate) => candidate.code === answer);
