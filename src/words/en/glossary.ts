/**
 * Words of the trade as they are used here, each in a sentence or two; with the forms in which a running text is worth a
 * link to it (a pattern), where it is.
 */
const ROWS = {
  adhesion: [
    'Adhesion',
    'How hard a coat holds on to what is under it. Tested with a nail, a tape or a cut lattice.',
    'adhesion',
  ],
  basis: ['Basis', 'Where a figure comes from: published, common practice, own tests, or an estimate.'],
  bare: ['Bare', 'Without any coat: wood or board as it was cut.'],
  belief: [
    'Belief',
    'How likely each material and finish is by all that was answered so far. It moves with each look and is never quite certain.',
  ],
  bleed: [
    'Bleed',
    'Colour out of wood, knots or old stain that comes up through new paint, often weeks later.',
    'bleeds?|bleeding',
  ],
  bleed_watch: [
    'Bleed watch',
    'A white patch over a suspect place, compared with white paper after one, two and seven days.',
    'bleed watch',
  ],
  blocking: [
    'Blocking',
    'Two painted faces that stick to each other, such as a door in its frame, because the film is still soft.',
  ],
  blushing: ['Haze', 'A milky veil in a clear coat or a dark paint, from damp air or too thick a coat.'],
  bonding_primer: [
    'Bonding primer',
    'A primer made to hold on slick faces such as laminate. It holds back no stain.',
    'bonding primers?',
  ],
  carcass: ['Carcass', 'The body of a piece without doors, drawers and shelves.'],
  chalk_paint: [
    'Chalk paint',
    'Very matt paint with much filler. Soft and thirsty; it wants a topcoat where hands go.',
    'chalk(?:-type)? paints?',
  ],
  clock: ['Clock', 'The time since a coat went on, against when it may be touched, coated again, handled and used.'],
  coat: ['Coat', 'One layer put on in one go, all over, and left to dry.'],
  contrast_ratio: [
    'Contrast ratio',
    'How well a coat hides: its lightness over black divided by that over white. 1 hides all.',
    'contrast ratio',
  ],
  cross_cut: [
    'Cross-cut',
    'A lattice of cuts through the coat to the ground, pulled with tape. Graded 0 (nothing off) to 5.',
    'cross-cuts?',
  ],
  cure: [
    'Cure',
    'The slow hardening after a coat is dry. Until it is over a film marks and sticks.',
    'cures?|cured|curing',
  ],
  degloss: ['Dulling', 'Taking the shine off, by paper or by liquid, so that a coat can hold.'],
  degrease: ['Degreasing', 'Washing off hand grease, kitchen film and polish before anything is rubbed in.'],
  denib: ['Denibbing', 'A light pass with fine paper between coats that takes off dust and raised grain.'],
  dew_point: [
    'Dew point',
    'The temperature at which the air would wet a surface. A face must be 3 °C warmer to be coated.',
    'dew point',
  ],
  draw_down: [
    'Draw-down',
    'A patch of paint over black and white card, to see colour and how well it hides.',
    'draw-downs?',
  ],
  dry: ['Dry to touch', 'A finger leaves no mark. Long before it may be coated again.'],
  dye: ['Dye', 'Colour that soaks into wood, often under old mahogany; it bleeds through anything waterborne.'],
  edge_band: ['Edge band', 'A strip glued to the edge of a board, of plastic, wood or paper.'],
  elapsed: ['Elapsed time', 'Days on the calendar, waits included, against hours of hands.'],
  enamel: ['Enamel', 'A paint that dries to a hard, smooth film. Waterborne alkyd is one.', 'enamels?'],
  estimate: ['Estimate', 'A figure of our own judgement, until tests or sales of the shop take its place.'],
  expected_value: ['Worth of a look', 'How many minutes a check can save on average, less what it costs to make.'],
  fisheye: ['Fisheyes', 'Craters in a wet coat, from silicone or grease on the ground.', 'fisheyes?|craters'],
  factory_film: ['Factory film', 'The hard sealed face of laminate, melamine and foil.'],
  film: ['Film', 'A coat once it is dry. Its thickness is given in µm, thousandths of a millimetre.'],
  flatpack: ['Flat pack', 'Furniture that comes in boards with holes and cams.', 'flat[- ]pack'],
  foil: ['Foil', 'A printed paper or a plastic skin over board. Plastic wraps the corner without a line.', 'foils?'],
  gate: ['Gate', 'A step that opens only on logged evidence: before painting, against bleed, before handing over.'],
  grain: ['Grain', 'The way the fibres run, and the pores that show in a thin film.'],
  grit: ['Grit', 'How fine a paper is: 120 coarse, 180 for dulling, 320 between coats.'],
  ground: ['Ground', 'What is under the new coats: the material with the old finish that stays on it.'],
  handover: ['Handing over', 'When a piece leaves, and what its new owner is told of care and cure.'],
  knot: ['Knot', 'A branch in the board. Its resin comes through paint unless it is sealed.', 'knots?'],
  lead: ['Lead', 'A poison in old paint. Its dust is the danger: nothing is sanded before a test.'],
  laminate: [
    'Laminate',
    'A hard plastic sheet, 0.6–1 mm, glued on board; a dark line shows at its edge.',
    'laminates?',
  ],
  mdf: ['MDF', 'Board of fine wood fibre. Its faces are smooth, its cut edges drink paint and swell.', 'MDF'],
  melamine: [
    'Melamine',
    'Paper soaked with resin, pressed on chipboard; thinner and more brittle than laminate.',
    'melamine',
  ],
  open_time: ['Open time', 'How long a coat can be worked before the brush drags.', 'open time'],
  patch: ['Patch', 'A place where a system is tried before the whole piece. Its readings stand or fall together.'],
  pot_life: ['Pot life', 'How long a mixed two-part product can be used.', 'pot life'],
  primer: ['Primer', 'The first coat: it holds on, holds back, or evens out. Few do all three.', 'primers?'],
  proof: ['Proof', 'What logged tests show of a patch: holds, fails, or not enough yet.'],
  recoat: [
    'Recoat',
    'The time after which the next coat may go on. Some coats also close: later they must be dulled first.',
  ],
  resin: ['Resin', 'Sticky sap in pine and other softwood; it melts through paint in the sun.', 'resin'],
  risk: ['Risk', 'How often such a system goes wrong: “about 1 in 30”.'],
  scuff: ['Scuffing', 'Rubbing until the shine is gone, not until the coat is.', 'scuff(?:ed|ing)?'],
  section: ['Section', 'The drawing of a cut through a face: what it is made of, what stays on it, and each coat.'],
  shellac: [
    'Shellac',
    'A resin dissolved in alcohol. It seals knots, dye and smells; its vapour is strong and burns.',
    'shellac',
  ],
  sheen: ['Sheen', 'How much a film shines: matt, satin, half gloss, high gloss.'],
  silicone: ['Silicone', 'In many polishes. Paint runs away from it into craters.', 'silicone'],
  stain_block: ['Stain block', 'A primer that holds back colour out of the ground.', 'stain blocks?'],
  strip_panel: [
    'Strip panel',
    'Several systems side by side on one face, cut and read, so that the piece itself tells which holds.',
  ],
  substrate: ['Substrate', 'What a face is made of, under all that is on it.', 'substrates?'],
  system: ['System', 'All that is done to a face, in order: cleaning, dulling, primer, paint, clear.'],
  tack: ['Tack', 'Stickiness of a film that is not dry through.', 'tack'],
  tannin: ['Tannin', 'Brown colour in oak, mahogany and walnut that water draws into paint.', 'tannins?'],
  topcoat: ['Topcoat', 'A clear coat over the paint, where hands and cups go.', 'topcoats?'],
  veneer: ['Veneer', 'A thin skin of real wood on board or on other wood. It sands through in a minute.', 'veneers?'],
  wax: ['Wax', 'A soft finish or polish. Nothing holds on it.'],
  window: ['Window', 'The stretch of time in which a next coat may go on.'],
  zone: ['Zone', 'A part of a piece that is of one make and treated in one way: top, sides, doors.'],
} as const satisfies Record<string, readonly [term: string, says: string, forms?: string]>;

export type TermCode = keyof typeof ROWS;
export interface Term {
  code: TermCode;
  term: string;
  says: string;
}

export const findTerm = (code: TermCode): Term => ({ code, term: ROWS[code][0], says: ROWS[code][1] });
let sorted: readonly Term[] | undefined;
/** All terms, by what they are called: put in order when they are first asked for. */
export const listTerms = (): readonly Term[] =>
  (sorted ??= (Object.keys(ROWS) as TermCode[]).map(findTerm).sort((a, b) => a.term.localeCompare(b.term)));

const FORMS = Object.entries<readonly [string, string, string?]>(ROWS)
  .flatMap(([code, [, , forms]]) => (forms ? [{ code: code as TermCode, forms }] : []))
  // Of two that begin alike the longer one is meant.
  .sort((a, b) => b.forms.length - a.forms.length);
const ANY = new RegExp(`\\b(?:${FORMS.map(({ forms }) => `(${forms})`).join('|')})\\b`, 'giu');

/** A text in pieces: words of the trade, each where it comes first, and what lies between them. */
export function markTerms(text: string): { text: string; term?: TermCode }[] {
  const parts: { text: string; term?: TermCode }[] = [];
  const seen = new Set<TermCode>();
  let from = 0;
  for (const match of text.matchAll(ANY)) {
    const term = FORMS[match.slice(1).findIndex((group) => group !== undefined)]!.code;
    if (seen.has(term)) continue;
    seen.add(term);
    if (match.index > from) parts.push({ text: text.slice(from, match.index) });
    parts.push({ text: match[0], term });
    from = match.index + match[0].length;
  }
  if (from < text.length) parts.push({ text: text.slice(from) });
  return parts;
}
