import {
  FINISH_FACTS,
  labelProduct,
  PRIMER_FACTS,
  STRIPPING_FACTS,
  type ProductClass,
  type StrippingCode,
} from '@/core/knowledge';
import { lowerFirst } from '@/core/shared';
import {
  blocksStain,
  type HardFinding,
  type PrimerCoats,
  type SoftFinding,
  type StripRuleCode,
  type Warning,
} from '@/core/systems';
import { lookUp, type Words } from './look-up';
import { sayTest } from './proof';
import { nameHazard, sayHazard } from './surface';
import { describeChance } from './chances';

type HardOf<R extends HardFinding['rule']> = Extract<HardFinding, { rule: R }>;
type SoftOf<R extends SoftFinding['rule']> = Extract<SoftFinding, { rule: R }>;

const nameProduct = (product: ProductClass | null): string => (product ? labelProduct(product) : 'This');
const namePrimers = (primers: readonly PrimerCoats[]): string =>
  primers.map(({ code }) => labelProduct(code)).join(' and ') || 'No primer';

const SHEENS: Record<HardOf<'sheen_not_made'>['sheen'], string> = {
  matt: 'matt',
  eggshell: 'eggshell',
  satin: 'satin',
  semi_gloss: 'semi gloss',
  gloss: 'gloss',
};

/** Why what is on holds nothing back: it is no blocker, or there is too little of it. */
function sayNoBlock(primers: readonly PrimerCoats[]): string {
  const few = primers.find(({ code }) => blocksStain(code));
  const some = primers.some(({ code }) => PRIMER_FACTS[code].block !== 'none');
  if (!few) return `${namePrimers(primers)} ${some ? 'blocks too little for pale paint' : 'blocks no stain'}`;
  const { coats, betweenH } = PRIMER_FACTS[few.code].blocksFrom!;
  return `${labelProduct(few.code)} holds colour back with ${coats} coats and ${betweenH} h between them, not with ${few.coats}`;
}

const HARD: { [R in HardFinding['rule']]: Words<HardOf<R>> } = {
  nothing_to_stain: ({ foil }) =>
    `Only wood takes a stain, and this may well not be wood${foil ? ': foil is a printed picture of it' : ''}.`,
  wax_stays: ({ p }) => `Nothing sticks over wax, and there is wax here ${describeChance(p)} times.`,
  silicone_stays: 'Silicone polish makes wet paint crawl into craters: wash it off and put a barrier over it.',
  raw_edges_unsealed: 'Nothing waterborne onto raw board edges before they are sealed: they drink it and swell.',
  grain_left_open: ({ p }) =>
    `You want no grain to show, and open pores show through any film: ${describeChance(p)} that there are some.`,
  deglosser_on_film: 'Liquid deglosser softens a coating. A factory film has none, so it stays as slick as before.',
  deglosser_on_porous: 'There is most likely no coating here that deglosser would soften.',
  nothing_to_strip: 'A factory film is the face itself: stripping would ruin the board.',
  strip_only_when_needed:
    'The old coat is sound enough to paint over. Stripping it would cost an evening and gain nothing.',
  no_way_to_strip: 'There is no way here to get the old coat off without harm to the face, or to you.',
  too_thin_to_sand_bare: 'The face may be a thin skin: sanding to bare would go through it.',
  soft_pad_on_foil: 'Grit 150 goes through foil. A light pass with a soft 220 pad is all it stands.',
  fine_grit_on_film: 'Grit 220 only polishes a hard factory film: 150 leaves a scratch that the primer holds on to.',
  fine_grit_on_veneer: 'Veneer is thin: a light pass with 220 dulls it without going through.',
  raw_wood_unsanded:
    'Raw wood is sanded before its first coat, 150 then 180: what was planed or weathered holds and looks worse.',
  school_of_paper: 'You follow the school of paper: scuffing also levels brush marks and finds loose coating.',
  school_of_deglosser: 'You follow the school of deglosser: wiped on, no dust, into every moulding.',
  no_fumes_without_air: ({ product }) =>
    `${nameProduct(product)} gives off strong, flammable vapour, and there is no ventilation.`,
  no_spraying_without_air:
    'No spraying, by gun or can, where there is no fresh air: the mist stays in the room and in your lungs.',
  solvent_spray_wants_air: ({ product }) =>
    `${nameProduct(product)} is not sprayed with only a window open: its mist is flammable and harms you. Doors open, or a brush.`,
  failing_coat_stays: ({ p }) =>
    `The old coat is failing (${describeChance(p)}). New paint holds no better than what is under it.`,
  silicone_needs_barrier: ({ product }) => `${nameProduct(product)} is no barrier over silicone polish. Shellac is.`,
  clear_blocker_under_pale: ({ product }) =>
    `${nameProduct(product)} is for dark or clear work: under pale paint the ground shows and stains come through.`,
  clear_shellac_out_of_place:
    'Clear shellac seals knots and spots. Over a whole face it goes under dark colours on sound wood or paint, never as the grip on a slick face.',
  wrong_substrate: ({ product }) => `${nameProduct(product)} is made for another ground than this.`,
  metal_needs_own_primer: ({ product }) => `${nameProduct(product)} lets steel rust from underneath.`,
  aerosol_is_for_spots: 'An aerosol lies unevenly over an area, and the thin places bleed.',
  film_needs_grip: ({ product, p }) =>
    `${nameProduct(product)} on an unscuffed slick face: ${describeChance(p)} that this is one, and a thumbnail would take it off.`,
  failed_here: ({ product }) => `${nameProduct(product)} failed on this very face: something else this time.`,
  barrier_wanted: 'Over what lifted, crawled or came through goes a barrier first, one that does not bite into it.',
  too_weak_for_ground: ({ product }) =>
    `${nameProduct(product)} scratches off a slick or oily face, however well it is dulled. A patch of your own that held would bring it back.`,
  failed_own_test: ({ zoneName, test }) => `It failed your own test on ${zoneName}: ${sayTest(test)}`,
  no_stain_block_on_bleed: ({ primers, p }) =>
    `${primers.length === 0 ? 'Without primer nothing holds the stain back' : sayNoBlock(primers)}. Colour would come through pale paint here ${describeChance(p)} times, mostly after the last coat.`,
  stain_unsealed: ({ primers }) =>
    `${namePrimers(primers)} does not hold old stains, and none of these was sealed by itself. Shellac and oil types do.`,
  raw_face_unprimed: 'The foil was taken off: raw board wants a primer over its seal.',
  smell_left_inside: 'A smell comes out of every face, also of those that are left. Clear shellac seals it in.',
  prime_always: 'You follow the school that primes everything: unprimed paint chips, and bleeds where wood is bare.',
  odour_needs_blocking: ({ primers }) =>
    `${namePrimers(primers)} does not hold a smell back. Shellac and oil types do.`,
  wall_paint_only_if_named: ({ named }) =>
    named
      ? 'Wall paint is no paint for a table top, a seat or kitchen fronts: it stays soft and wears through.'
      : 'Wall paint stays soft and sticks. It is planned only where you ask for it by name.',
  wrong_application: ({ product, sprayCan }) =>
    sprayCan
      ? `${nameProduct(product)} does not come in spray cans.`
      : 'It comes in spray cans only, and you brush, roll or spray from a gun.',
  too_soft_for_wear: ({ paint }) => `${labelProduct(paint)} without a clear coat wears through where it is used daily.`,
  chalk_needs_sealing: 'Chalk-type paint marks and wears unless it is sealed.',
  sheen_not_made: ({ paint, sheen }) =>
    `${labelProduct(paint)} is not made in ${SHEENS[sheen]}; only a clear coat over it would give that.`,
  school_of_topcoat: 'You follow the school that puts a clear coat over everything.',
  wax_on_hard_wear: 'Wax stands little wear, heat or water, and nothing sticks over it later.',
  bare_wood_unprotected: 'Stained or bare wood without a clear coat marks with every glass and hand.',
  other_way_wished: ({ keep }) =>
    keep === 'refresh' ? 'You want the old coat woken, not done anew.' : 'You want it done anew, not waxed over.',
  no_wood_to_show: ({ foil }) =>
    `There is no wood here to show${foil ? ': foil is a printed picture of it' : ''}. Board and film are painted or left.`,
  paint_hides_wood: ({ p }) =>
    `Paint hides the wood (${describeChance(p)}): it comes off before anything clear goes on.`,
  refresh_wants_sound_coat: 'Wax wakes a sound coat up. On bare wood or on one that flakes there is nothing to wake.',
  amalgamates_its_own_only: ({ p }) =>
    `Only shellac and nitrocellulose lacquer flow again, and this is one of them ${describeChance(p)} times. A drop of alcohol, then of thinner, tells.`,
  nothing_to_melt: 'The coat is sound and only dull: melting is for one that is crazed, bloomed or scratched.',
  barrier_for_film_only: ({ product }) =>
    `${nameProduct(product)} goes on without a barrier, or not at all: oil on a film stays sticky.`,
  coat_takes_no_clear: ({ product, finish, p }) =>
    `${nameProduct(product)} does not hold on ${FINISH_FACTS[finish].label}, and that is what may be on it (${describeChance(p)}).`,
  clear_too_soft: ({ product }) => `${nameProduct(product)} marks with water, heat and glasses on a face used daily.`,
  clear_near_heat: ({ product }) => `${nameProduct(product)} softens over a radiator or by a stove.`,
  wishes_changed: 'Your wishes for this zone have changed.',
};

const SOFT_TITLES: Record<SoftFinding['rule'], string> = {
  wall_paint_soft: 'Soft paint',
  sprayed_in_little_air: 'Spray mist',
  drawer_sides_painted: 'Drawers stick',
  soft_film_handled: 'Softer film',
  doors_painted_on: 'Doors left on',
  wb_clear_over_dark: 'Haze',
  oil_clear_over_pale: 'Yellowing',
  oil_enamel_yellows: 'Yellowing',
  waterborne_over_filler: 'Filler sinks',
  sprayed_over_pores: 'Pinholes',
  gloss_shows_flaws: 'Gloss shows',
  thin_aerosol_film: 'Thin film',
  brittle_on_flexing: 'Foil moves',
  solvent_over_latex: 'Lifting',
  raw_wood_left_raw: 'Raised grain',
  rough_between_coats: 'Nibs stay',
  smell_half_sealed: 'Smell may stay',
  residual_bleed: 'Watch for bleed',
  strong_fumes: 'Fumes',
  two_part_needs_mask: 'Two-part product',
  may_blotch: 'May look blotchy',
  not_reversible: 'Not for taking off again',
  antique_first_surface: 'An old first surface',
};

const SOFT: { [R in SoftFinding['rule']]: Words<SoftOf<R>> } = {
  sprayed_in_little_air:
    'Spray mist hangs in the room: open the door too, wear a P2 mask and glasses, and stop when you see it hang.',
  drawer_sides_painted:
    'Paint on drawer sides rubs and sticks. Leave them, wax them, or give them one thin clear coat; no paint where wood runs on wood.',
  wall_paint_soft: 'Wall paint stays soft and sticks to itself on doors and drawers, and to what stands on it.',
  soft_film_handled: 'Softer than enamel: handled fronts and shelves mark sooner.',
  doors_painted_on: 'Doors and drawers painted in place dry shut or stick at the edges.',
  wb_clear_over_dark: 'Waterborne clear can haze over a dark colour.',
  oil_clear_over_pale: 'Oil clear yellows over a pale colour.',
  oil_enamel_yellows: 'Pale oil enamel yellows in the dark: inside doors and behind pictures.',
  waterborne_over_filler: 'Waterborne primer wets the grain filler again: it sinks and the pores show.',
  sprayed_over_pores: 'Sprayed coats bridge open pores and leave pinholes: brush the first coat into them.',
  gloss_shows_flaws: 'High gloss shows every flaw and brush mark; satin hides them.',
  thin_aerosol_film: 'Aerosol film is thin: over large faces it lies unevenly and wears through.',
  brittle_on_flexing: 'Shellac is brittle and vinyl foil moves. No heat gun near it, in any case.',
  solvent_over_latex: 'Solvent can lift waterborne paint that is still fresh: try a hand’s breadth first.',
  raw_wood_left_raw: 'The first waterborne coat raises the grain of raw wood: sand again after it.',
  rough_between_coats: 'Unsanded between coats, nibs stay and the next coat grips less.',
  smell_half_sealed: ({ primers }) =>
    `${primers.map(labelProduct).join(' and ') || 'Paint alone'} holds only some of a smell: shellac or an oil stain block seals it in.`,
  residual_bleed: ({ primer, p }) =>
    `${primer ? labelProduct(primer) : 'Paint alone'} still lets colour through ${describeChance(p)} times: watch a patch for two days.`,
  strong_fumes: ({ littleAir }) =>
    `Flammable vapour: ${littleAir ? 'more air than you have now, ' : 'doors open, '}no flames or pilot lights, organic-vapour mask, gloves. Follow the label.`,
  two_part_needs_mask:
    'Two-part products can sensitise: only with the protection on the label. Mix exactly, mind the pot life.',
  may_blotch: 'Even conditioned, this wood can take stain in blotches: let a hidden place dry before the face.',
  not_reversible:
    'No coat comes off again without stripping. What comes off is removable film, and handles and hinges.',
  antique_first_surface:
    'Its first surface may be worth more than anything done to it. Ask somebody who knows before the first rag.',
};

const STRIP_RULES: Record<StripRuleCode, string> = {
  lead_no_dust_no_heat: 'dust and heat of what may hold lead harm you',
  heat_lifts_foil: 'heat lifts foil, film and their glue',
  heat_opens_glue: 'heat opens the glue under veneer',
  heat_burns_shellac: 'shellac catches fire',
  heat_for_thick_on_wood: 'it is for thick paint',
  gel_eats_film: 'it softens foil and film themselves',
  gel_wants_air: 'it wants moving air',
  water_swells_board: 'water swells board for good',
  water_for_open_chalk: 'only unsealed chalk-type paint washes off',
  sanding_wears_through: 'it goes through a thin face',
  scraper_for_small_flats: 'it is for small flat faces',
};

/** Why an old coat is not got off like this. */
export const sayStripRule = ({ method, rule }: { method: StrippingCode; rule: StripRuleCode }): string =>
  `Not ${lowerFirst(STRIPPING_FACTS[method].label)}: ${STRIP_RULES[rule]}.`;

/** Why a rule forbids a way. */
/** What would bring back what a rule cut. */
const BRINGS_BACK: Record<HardFinding['rule'], string> = {
  nothing_to_stain: 'Real wood on the face: look at the edge again.',
  wax_stays: 'A spirit rub that leaves no smear.',
  silicone_stays: 'A dab that does not crawl.',
  raw_edges_unsealed: 'Edges that prove to be sealed or banded.',
  grain_left_open: 'Letting the grain show.',
  deglosser_on_film: 'A look that shows a coat of varnish or paint.',
  deglosser_on_porous: 'A rub that softens the coat.',
  nothing_to_strip: 'A look that shows a coat that can be taken off.',
  strip_only_when_needed: 'A coat that lets go in the tape or knife test.',
  no_way_to_strip: 'More fresh air, or a lead test that is negative.',
  too_thin_to_sand_bare: 'Solid wood: end grain at the edge.',
  soft_pad_on_foil: 'A corner that shows melamine or laminate.',
  fine_grit_on_veneer: 'Solid wood: end grain at the edge.',
  school_of_paper: 'Dulling set to either.',
  school_of_deglosser: 'Dulling set to either.',
  raw_wood_unsanded: 'A coat that proves to lie on the wood.',
  no_spraying_without_air: 'Fresh air, or a brush and roller.',
  solvent_spray_wants_air: 'Doors open, or a brush and roller.',
  no_fumes_without_air: 'Fresh air where you paint.',
  failing_coat_stays: 'A tape test that holds in several places.',
  silicone_needs_barrier: 'A dab that does not crawl.',
  clear_blocker_under_pale: 'A dark colour.',
  clear_shellac_out_of_place: 'A dark colour on a sound, dull ground.',
  wrong_substrate: 'A look that shows the ground it is made for.',
  metal_needs_own_primer: 'A magnet that does not hold: no steel.',
  aerosol_is_for_spots: 'A face of less than 0.3 m².',
  film_needs_grip: 'A plain scuff with 150 first.',
  failed_here: 'Nothing: it failed on this face.',
  barrier_wanted: 'A cause that proves to be another.',
  too_weak_for_ground: 'A patch of your own that holds here.',
  fine_grit_on_film: 'A corner that shows foil.',
  failed_own_test: 'A new patch that holds, another coat or another preparation.',
  no_stain_block_on_bleed: 'A damp white rag that stays white, or a dark colour.',
  stain_unsealed: 'A seal of its own on each stain.',
  raw_face_unprimed: 'Gluing the face down again.',
  smell_left_inside: 'Airing until it smells of nothing.',
  prime_always: 'Priming set to where it is needed.',
  odour_needs_blocking: 'Airing until it smells of nothing.',
  wall_paint_only_if_named: 'Naming it under your wishes, for faces that are not used hard.',
  wrong_application: 'Another way of putting it on.',
  too_soft_for_wear: 'A clear coat over it.',
  chalk_needs_sealing: 'A clear coat over it.',
  sheen_not_made: 'Another sheen, or a clear coat over it.',
  school_of_topcoat: 'Clear coat set to where it is needed.',
  wax_on_hard_wear: 'A place that is used little.',
  bare_wood_unprotected: 'A clear coat over it.',
  other_way_wished: 'Another wish for this wood.',
  no_wood_to_show: 'Real wood on the face: look at the edge again.',
  paint_hides_wood: 'Stripping it first.',
  refresh_wants_sound_coat: 'A coat that holds in the tape test.',
  amalgamates_its_own_only: 'A drop of its solvent that softens it.',
  nothing_to_melt: 'Crazing, bloom or scratches that show.',
  barrier_for_film_only: 'Taking the old coat off.',
  coat_takes_no_clear: 'A drop of alcohol and one of thinner that show another coat.',
  clear_too_soft: 'A face that is used little.',
  clear_near_heat: 'Another place to stand.',
  wishes_changed: 'The wishes of before.',
};

export const sayWhatBringsBack = ({ rule }: Pick<HardFinding, 'rule'>): string => BRINGS_BACK[rule];

export const sayRuledOut = (finding: HardFinding): string => lookUp(HARD, finding.rule, finding);

export interface SaidWarning {
  rule: string;
  zone: string;
  title: string;
  text: string;
}

/** What to mind, in words; the same words are said once, for the first of the zones they are true of. */
export function sayWarnings(warnings: readonly Warning[]): SaidWarning[] {
  const all = warnings.map((warning): SaidWarning => {
    const { rule, zone } = warning;
    if ('finding' in warning) {
      const { finding } = warning;
      return { rule, zone, title: SOFT_TITLES[finding.rule], text: lookUp(SOFT, finding.rule, finding) };
    }
    return { rule, zone, title: nameHazard(warning.hazard), text: sayHazard(warning.hazard) };
  });
  return all.filter((warning, i) => all.findIndex(({ text }) => text === warning.text) === i);
}
