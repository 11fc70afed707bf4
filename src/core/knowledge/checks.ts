import type { FinishCode, SoundnessCode, Strength, SubstrateCode } from './codes';

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

export type SmallFact = 'bleed' | 'grease' | 'wax_polish' | 'silicone';

/** What an answer speaks for. A state that is not named is neutral. */
export interface Says {
  substrate?: Partial<Record<SubstrateCode, Strength>>;
  finish?: Partial<Record<FinishCode, Strength>>;
  soundness?: Partial<Record<SoundnessCode, Strength>>;
  present?: Partial<Record<SmallFact, Strength>>;
}

export interface Answer {
  code: string;
  label: string;
  hint?: string;
  says: Says;
}

export interface Check {
  code: string;
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
  answers: readonly Answer[];
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

/*
 * The strong effects are common practice. The minus signs against materials that could not show the answer at all
 * (a grain line on metal) and the weaker plus signs are estimates of the same kind.
 */
// prettier-ignore
export const CHECKS: readonly Check[] = [
  {
    code: 'edge_line',
    title: 'Look where the face meets the edge',
    where: 'Along the front edge, where it is least worn',
    minutes: 0.5, waitHours: 0, mark: 0, hiddenByPaint: true,
    answers: [
      { code: 'grain_continues', label: 'Grain runs on', hint: 'over the corner, end grain on the end', says: { substrate: { ...each(SOLID_WOODS, '+++'), ...each([...SHEET_GOODS, ...NO_WOOD], '---'), plywood: '--', wood_veneer: '--' } } },
      { code: 'thin_wood_layer', label: 'Thin wood skin', hint: 'as thick as card', says: { substrate: { wood_veneer: '+++', plywood: '+', ...each(NO_WOOD, '---') } } },
      { code: 'dark_line', label: 'Dark line', hint: 'brown or black, 1 mm', says: { substrate: { hpl_laminate: '+++', ...each(NO_WOOD, '---') } } },
      { code: 'plastic_strip', label: 'Plastic strip', hint: 'a band glued on', says: { substrate: { melamine_board: '++', hpl_laminate: '+', paper_foil: '+', ...each(SOLID_WOODS, '--') } } },
      { code: 'wraps_no_line', label: 'Wraps, no line', hint: 'one skin round the corner', says: { substrate: { thermofoil: '++', paper_foil: '+', ...each(SOLID_WOODS, '-') } } },
      { code: 'raw_fuzzy', label: 'Raw and fuzzy', hint: 'brown fibre or chips', says: { substrate: { mdf: '++', particleboard: '+', ...each(SOLID_WOODS, '--') } } },
    ],
  },
  {
    code: 'pattern_repeat',
    title: 'Does the pattern come again?',
    where: 'Find one knot or flame and look for its twin',
    minutes: 0.5, waitHours: 0, mark: 0, hiddenByPaint: true,
    answers: [
      { code: 'repeats', label: 'It repeats', says: { substrate: { ...each(FACED_BOARDS, '++'), ...each(SOLID_WOODS, '---'), wood_veneer: '---', plywood: '---' } } },
      { code: 'no_repeat', label: 'Never the same', says: { substrate: { ...each(SOLID_WOODS, '+'), wood_veneer: '+' } } },
      { code: 'plain_colour', label: 'Plain colour', hint: 'no pattern at all', says: { substrate: { melamine_board: '+', hpl_laminate: '+', thermofoil: '+' }, finish: each(OPAQUE, '+') } },
    ],
  },
  {
    code: 'core_view',
    title: 'Look at the inside of the board',
    where: 'Underside, unfinished edge or a screw hole',
    minutes: 1, waitHours: 0, mark: 0,
    answers: [
      { code: 'long_fibre', label: 'Long fibres', hint: 'it is wood all through', says: { substrate: { ...each(SOLID_WOODS, '+++'), ...each(SHEET_GOODS, '---') } } },
      { code: 'chips', label: 'Chips', hint: 'flakes pressed together', says: { substrate: { melamine_board: '++', paper_foil: '++', particleboard: '++', hpl_laminate: '+', wood_veneer: '+', ...each(SOLID_WOODS, '---') } } },
      { code: 'fine_fibre', label: 'Fine brown felt', hint: 'even, like thick card', says: { substrate: { mdf: '++', thermofoil: '++', wood_veneer: '+', paper_foil: '+', ...each(SOLID_WOODS, '---') } } },
      { code: 'plies', label: 'Plies', hint: 'thin layers, crossed', says: { substrate: { plywood: '+++', wood_veneer: '+', ...each(SOLID_WOODS, '--') } } },
      { code: 'thin_brown_sheet', label: 'Thin brown sheet', says: { substrate: { hardboard: '+++', ...each(SOLID_WOODS, '--') } } },
    ],
  },
  {
    code: 'corner_lift',
    title: 'Look at a damaged corner',
    where: 'A chip, a knock or a lifting edge',
    minutes: 0.5, waitHours: 0, mark: 0,
    answers: [
      { code: 'plastic_skin', label: 'Plastic skin', hint: 'bends, can be peeled', says: { substrate: { thermofoil: '+++', ...each(SOLID_WOODS, '--') } } },
      { code: 'brittle_chip', label: 'Brittle chip', hint: 'snapped off sharp', says: { substrate: { hpl_laminate: '++', melamine_board: '++', ...each(SOLID_WOODS, '-') } } },
      { code: 'paper_tear', label: 'Torn paper', says: { substrate: { paper_foil: '+++', ...each(SOLID_WOODS, '--') } } },
      { code: 'wood_flake', label: 'Flake of wood', says: { substrate: { wood_veneer: '+++' } } },
      { code: 'paint_flake', label: 'Flake of paint', says: { finish: each(OPAQUE, '++'), soundness: { sound: '--', marginal: '+', failing: '++' } } },
      { code: 'none_found', label: 'No damage', says: { substrate: each(SOLID_WOODS, '+') } },
    ],
  },
  {
    code: 'pores',
    title: 'Drag a fingernail across the grain',
    where: 'Where the finish is thinnest, in side light',
    minutes: 0.5, waitHours: 0, mark: 0, hiddenByPaint: true,
    answers: [
      { code: 'open_felt', label: 'Clear grooves', hint: 'the nail ticks over them', says: { substrate: { open_grain_hardwood: '++', wood_veneer: '+', ...each(SOFTWOODS, '-') } } },
      { code: 'medium_felt', label: 'Fine grooves', says: { substrate: { tannin_rich_wood: '++', wood_veneer: '+' } } },
      { code: 'none_felt_wood', label: 'Smooth wood', says: { substrate: { closed_grain_hardwood: '++', ...each(SOFTWOODS, '+'), open_grain_hardwood: '--' } } },
      { code: 'seen_not_felt', label: 'Seen, not felt', hint: 'printed, or filled', says: { substrate: { ...each(FACED_BOARDS, '++'), ...each(SOLID_WOODS, '-') } } },
    ],
  },
  {
    code: 'knots_seen',
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
    code: 'wood_colour',
    title: 'What colour is it where no paint is?',
    where: 'Underside, inside, or a worn place',
    minutes: 0.5, waitHours: 0, mark: 0, hiddenByPaint: true,
    answers: [
      { code: 'pale_yellow', label: 'Pale yellow', says: { substrate: { ...each(SOFTWOODS, '+'), closed_grain_hardwood: '+' } } },
      { code: 'honey_tan', label: 'Honey to tan', says: { substrate: { open_grain_hardwood: '+' } } },
      { code: 'red_brown', label: 'Red-brown', says: { substrate: { tannin_rich_wood: '++' } } },
      { code: 'dark_brown', label: 'Dark brown', says: { substrate: { tannin_rich_wood: '+' } } },
      { code: 'grey_white_plain', label: 'Grey, white, plain', says: { substrate: each(SHEET_GOODS, '+') } },
    ],
  },
  {
    code: 'weight',
    title: 'Lift a corner, or take a drawer out',
    where: 'Heavy or light for its size?',
    minutes: 0.5, waitHours: 0, mark: 0,
    answers: [
      { code: 'heavy_for_size', label: 'Heavy', hint: 'more than it looks', says: { substrate: { mdf: '+', particleboard: '+', ...each(FACED_BOARDS, '+'), ...each(HARDWOODS, '+') } } },
      { code: 'light_for_size', label: 'Light', says: { substrate: { ...each(SOFTWOODS, '+'), plywood: '+' } } },
    ],
  },
  {
    code: 'nail_dent',
    title: 'Press a thumbnail in, somewhere hidden',
    where: 'Underside or back edge',
    minutes: 0.5, waitHours: 0, mark: 1,
    answers: [
      { code: 'dents', label: 'It dents', says: { substrate: { ...each(SOFTWOODS, '++'), mdf: '+' } } },
      { code: 'no_mark', label: 'No mark', says: { substrate: { hpl_laminate: '++', ...each(HARDWOODS, '++') } } },
    ],
  },
  {
    code: 'water_drop',
    title: 'Put a drop of water on it',
    where: 'Wiped clean, flat; wait five minutes',
    minutes: 5, waitHours: 0, mark: 0,
    answers: [
      { code: 'beads', label: 'It beads', says: { finish: { factory_film: '++', varnish_oil: '+', wax: '+', bare: '--' } } },
      { code: 'soaks_slow', label: 'Soaks in slowly', says: { finish: { oil: '+', factory_film: '--' } } },
      { code: 'soaks_fast', label: 'Soaks in at once', says: { finish: { bare: '+++', chalk_paint: '++', factory_film: '---' }, substrate: { mdf: '++', particleboard: '++' } } },
    ],
  },
  {
    code: 'damp_rag',
    title: 'Rub with a damp white rag',
    where: 'Half a minute, hard, on the worst-looking place',
    minutes: 1, waitHours: 0, mark: 0,
    answers: [
      { code: 'clean', label: 'Rag stays clean', says: { present: { grease: '--', bleed: '-' } } },
      { code: 'grease_brown', label: 'Brown or yellow', says: { present: { grease: '++' } } },
      { code: 'red_pink', label: 'Pink or red', says: { substrate: { tannin_rich_wood: '++' }, present: { bleed: '++' } } },
      { code: 'paint_colour', label: 'The paint’s colour', says: { finish: { chalk_paint: '++', latex_paint: '++' } } },
    ],
  },
  {
    code: 'alcohol_rub',
    title: 'Rub with alcohol on a rag',
    where: 'Hidden spot, ten rubs',
    minutes: 2, waitHours: 0, mark: 1, care: 'solvent',
    answers: [
      { code: 'softens_sticky', label: 'Goes sticky', says: { finish: { shellac: '+++' } } },
      { code: 'paint_softens', label: 'Paint softens', says: { finish: { latex_paint: '++' } } },
      { code: 'no_effect', label: 'Nothing happens', says: { finish: { alkyd_paint: '+', factory_film: '+', varnish_oil: '+', catalysed_lacquer: '+', powder_coat: '+', shellac: '--', latex_paint: '-' } } },
    ],
  },
  {
    code: 'thinner_rub',
    title: 'Rub with lacquer thinner',
    where: 'Hidden spot, outdoors or by an open door',
    minutes: 3, waitHours: 0, mark: 1, care: 'solvent',
    answers: [
      { code: 'dissolves', label: 'It dissolves', says: { finish: { nitro_lacquer: '+++', shellac: '+' } } },
      { code: 'wrinkles', label: 'It wrinkles', says: { finish: { varnish_oil: '++', alkyd_paint: '++' } } },
      { code: 'no_effect', label: 'Nothing happens', says: { finish: { catalysed_lacquer: '++', factory_film: '++', powder_coat: '++', nitro_lacquer: '--' } } },
    ],
  },
  {
    code: 'spirit_rub',
    title: 'Wipe with mineral spirits',
    where: 'A hand’s breadth, with a white rag',
    minutes: 1, waitHours: 0, mark: 0, care: 'solvent',
    answers: [
      { code: 'waxy_film', label: 'Yellow, waxy smear', says: { finish: { wax: '+++' }, present: { wax_polish: '+++' } } },
      { code: 'clean', label: 'Rag stays clean', says: { finish: { wax: '--' }, present: { wax_polish: '--' } } },
    ],
  },
  {
    code: 'sand_spot',
    title: 'Sand a patch the size of a thumbnail',
    where: 'Hidden, 120 grit, look at the dust',
    minutes: 2, waitHours: 0, mark: 1, care: 'abrasion',
    answers: [
      { code: 'wood_dust', label: 'Wood dust', says: { substrate: { ...each(SOLID_WOODS, '++'), wood_veneer: '++', ...each(FACED_BOARDS, '--') }, finish: { bare: '++', factory_film: '--' } } },
      { code: 'white_then_dark', label: 'White, then dark', says: { substrate: { hpl_laminate: '+++' } } },
      { code: 'paper_brown', label: 'Brown paper', says: { substrate: { paper_foil: '++', melamine_board: '+' } } },
      { code: 'gums_up', label: 'Gums up the paper', says: { finish: { latex_paint: '++', wax: '++' }, substrate: { thermofoil: '++' } } },
      { code: 'fine_chalk', label: 'Fine chalk', says: { finish: { chalk_paint: '+++' } } },
      { code: 'hard_colour', label: 'Hard coloured dust', says: { finish: { alkyd_paint: '+' } } },
    ],
  },
  {
    code: 'tape_pull',
    title: 'Press firm tape on and pull it off sharply',
    where: 'Where the old coat looks worst',
    minutes: 1, waitHours: 0, mark: 1,
    answers: [
      { code: 'nothing', label: 'Tape is clean', says: { soundness: { sound: '++', marginal: '-', failing: '--' } } },
      { code: 'specks', label: 'Specks', says: { soundness: { marginal: '++', sound: '-' } } },
      { code: 'sheets', label: 'Sheets', says: { soundness: { failing: '+++', sound: '--' } } },
    ],
  },
  {
    code: 'cross_cut_old',
    title: 'Cut a lattice in the old coat and pull tape',
    where: 'Where a small scar can be filled',
    minutes: 5, waitHours: 0, mark: 2,
    answers: ['0', '1', '2', '3', '4', '5'].map((code) => ({
      code,
      label: `Class ${code}`,
      says: { soundness: code < '2' ? { sound: '++', failing: '--' } : code < '4' ? { marginal: '++', sound: '-' } : { failing: '+++', sound: '--' } },
    })),
  },
  {
    code: 'gloss_look',
    title: 'How does it shine?',
    where: 'Against a window',
    minutes: 0.2, waitHours: 0, mark: 0,
    answers: [
      { code: 'matt', label: 'Matt', says: { finish: { chalk_paint: '+', bare: '+', oil: '+' } } },
      { code: 'satin', label: 'Satin', says: {} },
      { code: 'semi_gloss', label: 'Half gloss', says: { finish: { chalk_paint: '-', bare: '--' } } },
      { code: 'high_gloss', label: 'High gloss', says: { finish: { alkyd_paint: '+', catalysed_lacquer: '+', chalk_paint: '--', bare: '---' } } },
    ],
  },
  {
    code: 'coat_thickness',
    title: 'How thick is the old coat?',
    where: 'At an edge or a chip',
    minutes: 1, waitHours: 0, mark: 1,
    answers: [
      { code: 'thin', label: 'Thin', says: {} },
      { code: 'thick', label: 'Thick', hint: 'brush marks, soft edges', says: { finish: each(OPAQUE, '+') } },
      { code: 'caked', label: 'Caked', hint: 'detail is lost', says: { finish: each(OPAQUE, '++') } },
    ],
  },
  {
    code: 'grease_wipe',
    title: 'Wipe with degreaser on a white rag',
    where: 'Around handles and the top edge',
    minutes: 1, waitHours: 0, mark: 0,
    answers: [
      { code: 'clean', label: 'Rag stays clean', says: { present: { grease: '--' } } },
      { code: 'yellow_film', label: 'Yellow film', says: { present: { grease: '++' } } },
      { code: 'slippery', label: 'Slippery', says: { present: { grease: '++' } } },
    ],
  },
  {
    code: 'crawl_dab',
    title: 'Dab on waterborne primer and watch it',
    where: 'A coin’s size on a cleaned spot',
    minutes: 10, waitHours: 0, mark: 1,
    answers: [
      { code: 'lies_flat', label: 'Lies flat', says: { present: { silicone: '--' } } },
      { code: 'crawls', label: 'Crawls into craters', says: { present: { silicone: '+++' } } },
    ],
  },
  {
    code: 'bleed_probe',
    title: 'Dab white waterborne paint on a suspect spot',
    where: 'On a knot, a dark streak or a hidden red part; look tomorrow',
    minutes: 3, waitHours: 12, mark: 1,
    answers: [
      { code: 'stays_white', label: 'Stays white', says: { present: { bleed: '---' } } },
      { code: 'yellow', label: 'Yellows', says: { substrate: { knotty_softwood: '+' }, present: { bleed: '+++' } } },
      { code: 'pink_red', label: 'Pink or red', says: { substrate: { tannin_rich_wood: '+' }, present: { bleed: '+++' } } },
      { code: 'brown', label: 'Browns', says: { present: { bleed: '+++' } } },
    ],
  },
  {
    code: 'lead_test',
    title: 'Test the old coat for lead',
    where: 'Follow the test kit; keep the kind of kit in the record',
    minutes: 10, waitHours: 0, mark: 1,
    answers: [
      { code: 'negative', label: 'Negative', says: {} },
      { code: 'positive', label: 'Positive', says: {} },
    ],
  },
  {
    code: 'odour',
    title: 'Smell inside',
    where: 'A drawer or a closed door',
    minutes: 0.1, waitHours: 0, mark: 0,
    answers: [
      { code: 'none', label: 'Nothing', says: {} },
      { code: 'smoke', label: 'Smoke', says: {} },
      { code: 'pet', label: 'Pets', says: {} },
      { code: 'musty', label: 'Musty', says: {} },
    ],
  },
];

/** Checks that read a number instead of an answer, with their range and unit. */
export const NUMBER_CHECKS: Readonly<Record<string, { title: string; min: number; max: number; unit: string }>> = {
  moisture_meter: { title: 'Moisture meter', min: 0, max: 60, unit: '%' },
};

export const CHECK_CODES: readonly string[] = [...CHECKS.map((check) => check.code), ...Object.keys(NUMBER_CHECKS)];

const BY_CODE = new Map(CHECKS.map((check) => [check.code, check]));
export const findCheck = (code: string): Check | undefined => BY_CODE.get(code);
export const findAnswer = (check: string, answer: string): Answer | undefined =>
  BY_CODE.get(check)?.answers.find((candidate) => candidate.code === answer);
