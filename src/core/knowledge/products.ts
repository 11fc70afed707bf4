import type { Drying } from '../climate';
import { computeLuminance, convertHexToLinearRgb, convertLinearRgbToLab } from '../colour';
import type { Basis, FinishCode, OtherProductCode, PaintCode, PrimerCode, ProductClass, TopcoatCode } from './codes';

export type Rating = 'none' | 'poor' | 'fair' | 'good' | 'very_good' | 'best';
export type Carrier = 'water' | 'alcohol' | 'solvent' | 'two_part' | 'none';

export interface PrimerFact {
  label: string;
  /** How soon somebody would try it, unasked: 1 first; left out, hardly ever (common practice). */
  tried?: number;
  slick: Rating;
  /** Grip on bright metal, where that is not as on other slick faces. */
  metal?: Rating;
  /** Tannin, dye and knot block under pale paint. */
  block: Rating;
  oldStains: boolean;
  /** Smoke, pets and must: sealed in, held back in part, or not at all. */
  odour: 'none' | 'some' | 'seals';
  overWaterborneFiller: 'best' | 'good' | 'rewets';
  clear: boolean;
  /** Contrast ratio of one coat over black and white, 0–1: how well it hides (estimate). */
  hiding: number;
  carrier: Carrier;
  ragsHeat?: true;
  /** How much longer or shorter it takes to put on than most. */
  handsFactor?: number;
  /** How it is put on, where that is not as others of its kind are. */
  applied?: readonly string[];
  /** Comes in spray cans only. */
  sprayCan?: true;
  /** Numbers of coats in use. */
  coats: readonly number[];
  /** Where it is relied on to hold colour back: so many coats at least, and so long between them, hours (common practice). */
  blocksFrom?: { coats: number; betweenH: number };
  note: string;
  basis: Basis;
}

/** Ratings are common practice; `block: 'none'` is a hard fact of the layer rules, not a low grade. */
// prettier-ignore
export const PRIMER_FACTS: Record<PrimerCode, PrimerFact> = {
  shellac_primer: { label: 'Shellac primer', tried: 4, handsFactor: 0.8, slick: 'good', block: 'best', oldStains: true, odour: 'seals', overWaterborneFiller: 'best', clear: false, hiding: 0.92, carrier: 'alcohol', coats: [1, 2], note: 'Strong fumes, flammable, brittle; brush or roller is often thrown away.', basis: 'practice', applied: ['Work fast and leave it: it is dry in minutes and drags when touched again.', 'Alcohol cleans the brush.'] },
  shellac_clear: { label: 'Clear shellac', handsFactor: 0.8, slick: 'good', block: 'good', oldStains: true, odour: 'seals', overWaterborneFiller: 'good', clear: true, hiding: 0.02, carrier: 'alcohol', coats: [1, 2], note: 'Spot seal on knots under a primer, or under dark and clear work.', basis: 'practice', applied: ['Work fast and leave it: it is dry in minutes and drags when touched again.', 'Alcohol cleans the brush.'] },
  stainblock_primer_oil: { label: 'Oil stain-block primer', tried: 8, slick: 'good', block: 'very_good', oldStains: true, odour: 'seals', overWaterborneFiller: 'good', clear: false, hiding: 0.93, carrier: 'solvent', ragsHeat: true, coats: [1, 2], note: 'Solvent odour; slow.', basis: 'practice' },
  stainblock_primer_wb: { label: 'Waterborne stain block', tried: 5, slick: 'fair', block: 'good', oldStains: true, odour: 'some', overWaterborneFiller: 'rewets', clear: false, hiding: 0.92, carrier: 'water', coats: [1, 2], blocksFrom: { coats: 2, betweenH: 12 }, note: 'Two coats and a night; quality varies wildly between products, so test.', basis: 'practice' },
  bonding_primer_wb: { label: 'Waterborne bonding primer', tried: 3, slick: 'very_good', block: 'none', oldStains: false, odour: 'none', overWaterborneFiller: 'rewets', clear: false, hiding: 0.8, carrier: 'water', coats: [1, 2], note: 'Thin coats with foam or sponge; never thin it. It blocks no stain.', basis: 'practice', applied: ['Thin coats with foam or sponge; heavy ones leave texture.', 'Never thin it.'] },
  bonding_primer_oil: { label: 'Oil adhesion primer', handsFactor: 1.2, slick: 'very_good', block: 'fair', oldStains: true, odour: 'some', overWaterborneFiller: 'good', clear: false, hiding: 0.88, carrier: 'solvent', ragsHeat: true, coats: [1, 2], note: 'Feels tacky and rolls out slowly; second coat next morning.', basis: 'practice', applied: ['It feels tacky and rolls out slowly. That is right.'] },
  bonding_primer_2k: { label: 'Two-part laminate primer', slick: 'best', block: 'fair', oldStains: true, odour: 'none', overWaterborneFiller: 'good', clear: false, hiding: 0.88, carrier: 'two_part', coats: [1], note: 'Exact mix ratio and a pot life; proper respirator.', basis: 'practice', applied: ['Measure both parts exactly, stir two minutes, let it stand as the label says.', 'Note the minute you mixed it.'] },
  allpurpose_primer_wb: { label: 'All-purpose primer', tried: 2, slick: 'poor', block: 'none', oldStains: false, odour: 'none', overWaterborneFiller: 'rewets', clear: false, hiding: 0.9, carrier: 'water', coats: [1, 2], note: 'Full hardness takes a week; thinned, it scratches off.', basis: 'practice' },
  stainblock_clear_wb: { label: 'Clear waterborne blocker', slick: 'fair', block: 'poor', oldStains: false, odour: 'none', overWaterborneFiller: 'rewets', clear: true, hiding: 0.02, carrier: 'water', coats: [2], note: 'Only under dark colours.', basis: 'practice' },
  aerosol_stainblock: { label: 'Aerosol stain-block', tried: 9, slick: 'fair', block: 'fair', oldStains: true, odour: 'some', overWaterborneFiller: 'good', clear: false, hiding: 0.85, carrier: 'solvent', coats: [2], note: 'For spots: over areas the thin places bleed.', basis: 'practice', applied: ['Light passes, can moving before you press.', 'Thin places bleed: two passes crosswise.'], sprayCan: true },
  metal_primer: { label: 'Metal primer', metal: 'best', slick: 'good', block: 'none', oldStains: false, odour: 'none', overWaterborneFiller: 'good', clear: false, hiding: 0.88, carrier: 'solvent', coats: [1], note: 'For metal only.', basis: 'practice' },
  mdf_sealer: { label: 'MDF sealer', slick: 'poor', block: 'none', oldStains: false, odour: 'none', overWaterborneFiller: 'rewets', clear: false, hiding: 0.6, carrier: 'water', coats: [1, 2], note: 'For raw MDF faces and edges.', basis: 'practice' },
};

export interface FilmFact {
  /** From "touch dry" to "cured", hours at about 21 °C and 50 % RH (label data on the tin override them). */
  touchH: number;
  recoatH: number;
  /** Hard enough to refit and to carry. */
  handleH: number;
  cureDays: number;
  /** Also ready so soon, but only until then: a window that closes. */
  quickRecoat?: { fromH: number; untilH: number };
  /** A mixed batch serves for so long at 21 °C (the label decides). */
  potLifeH?: number;
  /** A reading taken sooner counts as early (recoat time; waterborne and oil films at least overnight). */
  testFromH: number;
  /** Typical dry film of one coat, µm, and volume solids, %: give the spreading rate. */
  dryFilmUm: number;
  solidsPct: number;
  /** Money for one litre: an estimate, replaced by the price of the owner's own tin. */
  pricePerLitre: number;
  /** What it is to whoever paints over it later. */
  becomes: FinishCode;
}

/** Where each figure of a class comes from: times are those that labels of the class have, at the upper end of a range. */
export const FILM_BASIS: Record<keyof FilmFact, Basis> = {
  touchH: 'practice',
  recoatH: 'practice',
  handleH: 'practice',
  cureDays: 'practice',
  quickRecoat: 'practice',
  potLifeH: 'practice',
  testFromH: 'practice',
  dryFilmUm: 'estimate',
  solidsPct: 'estimate',
  pricePerLitre: 'estimate',
  becomes: 'practice',
};

// prettier-ignore
export const FILM_FACTS: Record<PrimerCode | PaintCode | Exclude<TopcoatCode, 'none'>, FilmFact> = {
  shellac_primer: { touchH: 0.33, recoatH: 1, handleH: 1, cureDays: 3, testFromH: 1, dryFilmUm: 25, solidsPct: 30, pricePerLitre: 45, becomes: 'shellac' },
  shellac_clear: { touchH: 0.33, recoatH: 1, handleH: 1, cureDays: 3, testFromH: 1, dryFilmUm: 15, solidsPct: 18, pricePerLitre: 38, becomes: 'shellac' },
  stainblock_primer_oil: { touchH: 2, recoatH: 12, handleH: 24, cureDays: 7, testFromH: 24, dryFilmUm: 35, solidsPct: 45, pricePerLitre: 32, becomes: 'alkyd_paint' },
  stainblock_primer_wb: { touchH: 0.5, recoatH: 12, handleH: 24, cureDays: 7, testFromH: 12, dryFilmUm: 35, solidsPct: 40, pricePerLitre: 34, becomes: 'latex_paint' },
  bonding_primer_wb: { touchH: 2, recoatH: 12, handleH: 24, cureDays: 7, testFromH: 12, dryFilmUm: 30, solidsPct: 38, pricePerLitre: 36, becomes: 'latex_paint' },
  bonding_primer_oil: { touchH: 6, recoatH: 16, handleH: 24, cureDays: 7, testFromH: 16, dryFilmUm: 35, solidsPct: 50, pricePerLitre: 34, becomes: 'alkyd_paint' },
  bonding_primer_2k: { touchH: 2, recoatH: 16, handleH: 24, cureDays: 7, potLifeH: 4, testFromH: 16, dryFilmUm: 40, solidsPct: 50, pricePerLitre: 55, becomes: 'catalysed_lacquer' },
  allpurpose_primer_wb: { touchH: 0.6, recoatH: 1, handleH: 24, cureDays: 7, testFromH: 12, dryFilmUm: 35, solidsPct: 38, pricePerLitre: 20, becomes: 'latex_paint' },
  stainblock_clear_wb: { touchH: 0.5, recoatH: 12, handleH: 24, cureDays: 7, testFromH: 12, dryFilmUm: 25, solidsPct: 30, pricePerLitre: 34, becomes: 'waterborne_clear' },
  aerosol_stainblock: { touchH: 0.25, recoatH: 0.5, handleH: 1, cureDays: 1, testFromH: 1, dryFilmUm: 20, solidsPct: 25, pricePerLitre: 40, becomes: 'alkyd_paint' },
  metal_primer: { touchH: 1, recoatH: 16, handleH: 24, cureDays: 7, testFromH: 16, dryFilmUm: 35, solidsPct: 45, pricePerLitre: 30, becomes: 'alkyd_paint' },
  mdf_sealer: { touchH: 0.5, recoatH: 4, handleH: 24, cureDays: 7, testFromH: 12, dryFilmUm: 25, solidsPct: 35, pricePerLitre: 24, becomes: 'latex_paint' },
  chalk_paint: { touchH: 0.5, recoatH: 4, handleH: 24, cureDays: 30, testFromH: 24, dryFilmUm: 45, solidsPct: 40, pricePerLitre: 36, becomes: 'chalk_paint' },
  mineral_paint: { touchH: 0.5, recoatH: 6, handleH: 24, cureDays: 30, testFromH: 24, dryFilmUm: 35, solidsPct: 40, pricePerLitre: 48, becomes: 'mineral_paint' },
  milk_paint_acrylic: { touchH: 1, recoatH: 2, handleH: 24, cureDays: 30, testFromH: 24, dryFilmUm: 30, solidsPct: 38, pricePerLitre: 40, becomes: 'mineral_paint' },
  latex_wall_paint: { touchH: 1, recoatH: 4, handleH: 24, cureDays: 30, testFromH: 24, dryFilmUm: 35, solidsPct: 38, pricePerLitre: 16, becomes: 'latex_paint' },
  wb_alkyd_enamel: { touchH: 2, recoatH: 16, handleH: 48, cureDays: 30, testFromH: 24, dryFilmUm: 40, solidsPct: 40, pricePerLitre: 34, becomes: 'latex_paint' },
  oil_enamel: { touchH: 8, recoatH: 24, handleH: 72, cureDays: 14, testFromH: 48, dryFilmUm: 35, solidsPct: 50, pricePerLitre: 28, becomes: 'alkyd_paint' },
  aerosol_enamel: { touchH: 0.33, recoatH: 48, handleH: 24, cureDays: 7, quickRecoat: { fromH: 0.25, untilH: 1 }, testFromH: 48, dryFilmUm: 15, solidsPct: 20, pricePerLitre: 32, becomes: 'alkyd_paint' },
  cabinet_paint_2k: { touchH: 2, recoatH: 16, handleH: 24, cureDays: 7, potLifeH: 4, testFromH: 24, dryFilmUm: 40, solidsPct: 45, pricePerLitre: 60, becomes: 'catalysed_lacquer' },
  wb_clear: { touchH: 0.5, recoatH: 4, handleH: 24, cureDays: 30, testFromH: 24, dryFilmUm: 25, solidsPct: 32, pricePerLitre: 34, becomes: 'waterborne_clear' },
  wb_polyurethane: { touchH: 0.5, recoatH: 4, handleH: 24, cureDays: 30, testFromH: 24, dryFilmUm: 25, solidsPct: 33, pricePerLitre: 38, becomes: 'waterborne_clear' },
  oil_polyurethane: { touchH: 6, recoatH: 24, handleH: 48, cureDays: 30, testFromH: 48, dryFilmUm: 35, solidsPct: 48, pricePerLitre: 30, becomes: 'varnish_oil' },
  wipe_on_oil: { touchH: 6, recoatH: 24, handleH: 24, cureDays: 30, testFromH: 48, dryFilmUm: 10, solidsPct: 40, pricePerLitre: 30, becomes: 'oil' },
  hardwax_oil: { touchH: 8, recoatH: 16, handleH: 24, cureDays: 14, testFromH: 48, dryFilmUm: 15, solidsPct: 45, pricePerLitre: 55, becomes: 'hardwax_oil' },
  wax: { touchH: 0.5, recoatH: 24, handleH: 24, cureDays: 30, testFromH: 48, dryFilmUm: 5, solidsPct: 60, pricePerLitre: 40, becomes: 'wax' },
};

export type Sheen = 'matt' | 'eggshell' | 'satin' | 'semi_gloss' | 'gloss';

export interface PaintFact {
  label: string;
  /** Sheens it is made in. */
  sheens: readonly Sheen[];
  /** Where it must be sealed: everywhere, where it is worn hard, or nowhere (wear decides; common practice). */
  seal: 'always' | 'hard_worn' | 'never';
  carrier: Carrier;
  ragsHeat?: true;
  /** How soon somebody would try it, unasked: 1 first; left out, hardly ever (common practice). */
  tried?: number;
  /** How often it lets go where no primer is under it, against a self-priming enamel. */
  straight: number;
  /** What it is made of, where that says what it may be mixed with: chalk takes the hardness out of an enamel. */
  body?: 'chalk' | 'enamel';
  /** Hours until tape may lie on it and come off again without it (common practice; a soft film wants longer). */
  tapeFromH: number;
  /** Stays soft for good and sticks to itself. */
  stickySoft?: boolean;
  /** How much longer or shorter it takes to put on than most. */
  handsFactor?: number;
  /** How it is put on, where that is not as others of its kind are. */
  applied?: readonly string[];
  /** Comes in spray cans only. */
  sprayCan?: true;
  basis: Basis;
}

// prettier-ignore
export const PAINT_FACTS: Record<PaintCode, PaintFact> = {
  chalk_paint: { label: 'Chalk-type paint', tried: 7, straight: 1.3, body: 'chalk', sheens: ['matt'], seal: 'always', carrier: 'water', tapeFromH: 24, basis: 'practice' },
  mineral_paint: { label: 'Mineral paint', straight: 1, sheens: ['matt', 'eggshell'], seal: 'hard_worn', carrier: 'water', tapeFromH: 24, basis: 'practice' },
  milk_paint_acrylic: { label: 'Acrylic milk paint', straight: 1.2, sheens: ['matt', 'eggshell'], seal: 'hard_worn', carrier: 'water', tapeFromH: 24, basis: 'practice' },
  latex_wall_paint: { label: 'Wall paint', tried: 6, straight: 2.25, sheens: ['matt', 'eggshell', 'satin', 'semi_gloss'], seal: 'hard_worn', carrier: 'water', stickySoft: true, tapeFromH: 72, basis: 'practice' },
  wb_alkyd_enamel: { label: 'Cabinet enamel', straight: 1, body: 'enamel', sheens: ['satin', 'semi_gloss'], seal: 'never', carrier: 'water', tapeFromH: 24, basis: 'practice' },
  oil_enamel: { label: 'Oil enamel', straight: 1.1, body: 'enamel', sheens: ['gloss'], seal: 'never', carrier: 'solvent', ragsHeat: true, tapeFromH: 48, basis: 'practice' },
  aerosol_enamel: { label: 'Aerosol enamel', tried: 10, straight: 1.4, body: 'enamel', sheens: ['eggshell', 'satin', 'semi_gloss', 'gloss'], seal: 'never', carrier: 'solvent', sprayCan: true, tapeFromH: 48, basis: 'practice' },
  cabinet_paint_2k: { label: 'Two-part cabinet paint', straight: 0.6, body: 'enamel', sheens: ['satin'], seal: 'never', carrier: 'two_part', tapeFromH: 24, basis: 'practice' },
};

export interface ProductFact {
  label: string;
  carrier: Carrier;
  /** Dries by taking up oxygen, or carries what does: its rags heat up by themselves. */
  ragsHeat?: true;
  /** How much longer or shorter it takes to put on than most. */
  handsFactor?: number;
  /** How it is put on, where that is not as others of its kind are. */
  applied?: readonly string[];
  /** Comes in spray cans only. */
  sprayCan?: true;
  basis: Basis;
}

// prettier-ignore
export const TOPCOAT_FACTS: Record<TopcoatCode, ProductFact> = {
  wb_clear: { label: 'Waterborne clear', carrier: 'water', basis: 'practice' },
  wb_polyurethane: { label: 'Waterborne polyurethane', carrier: 'water', basis: 'practice' },
  oil_polyurethane: { label: 'Oil polyurethane', carrier: 'solvent', ragsHeat: true, basis: 'practice' },
  wipe_on_oil: { label: 'Wiping oil', carrier: 'solvent', ragsHeat: true, applied: ['Wipe on, wait ten minutes, wipe off all that has not soaked in.'], basis: 'practice' },
  hardwax_oil: { label: 'Hardwax oil', carrier: 'solvent', ragsHeat: true, applied: ['A thin film with a pad or brush, worked in.', 'Within 15 minutes wipe off every trace that has not soaked in: what stays goes sticky.'], basis: 'practice' },
  shellac_clear: { label: 'Clear shellac', carrier: 'alcohol', handsFactor: 0.8, applied: ['Work fast and leave it: it is dry in minutes and drags when touched again.', 'Alcohol cleans the brush.'], basis: 'practice' },
  wax: { label: 'Wax', carrier: 'none', applied: ['A thin film, buffed after half an hour.', 'Nothing sticks over wax later.'], basis: 'practice' },
  none: { label: 'No topcoat', carrier: 'none', basis: 'practice' },
};

/** Cleaners, fillers, glue: what is no coat. Where kinds differ, the more dangerous one is meant; the label decides. */
// prettier-ignore
const OTHER_PRODUCT_FACTS: Record<OtherProductCode, ProductFact> = {
  degreaser: { label: 'Degreaser', carrier: 'water', basis: 'practice' },
  tsp_cleaner: { label: 'TSP-type cleaner', carrier: 'water', basis: 'practice' },
  sugar_soap: { label: 'Sugar soap', carrier: 'water', basis: 'practice' },
  dish_soap: { label: 'Dish soap', carrier: 'water', basis: 'practice' },
  mineral_spirits: { label: 'Mineral spirits', carrier: 'solvent', ragsHeat: true, basis: 'practice' },
  alcohol_wipe: { label: 'Alcohol wipe', carrier: 'alcohol', basis: 'practice' },
  mould_cleaner: { label: 'Mould cleaner', carrier: 'water', basis: 'practice' },
  liquid_deglosser: { label: 'Liquid deglosser', carrier: 'solvent', basis: 'practice' },
  spackle_wb: { label: 'Spackle', carrier: 'water', basis: 'practice' },
  wood_filler_wb: { label: 'Wood filler', carrier: 'water', basis: 'practice' },
  grain_filler_wb: { label: 'Grain filler', carrier: 'water', basis: 'practice' },
  epoxy_filler: { label: 'Epoxy filler', carrier: 'two_part', basis: 'practice' },
  polyester_filler: { label: 'Polyester filler', carrier: 'two_part', basis: 'practice' },
  caulk_acrylic: { label: 'Acrylic caulk', carrier: 'water', basis: 'practice' },
  wood_glue: { label: 'Wood glue', carrier: 'water', basis: 'practice' },
  consolidant: { label: 'Consolidant', carrier: 'solvent', basis: 'practice' },
};

const PRODUCT_FACTS: Record<ProductClass, ProductFact> = {
  ...OTHER_PRODUCT_FACTS,
  ...PRIMER_FACTS,
  ...PAINT_FACTS,
  ...TOPCOAT_FACTS,
};

/** What any class of product is called, carried by, and whether its rags are a danger; none for a class of a later version. */
export const findProduct = (code: string): ProductFact | undefined =>
  code in PRODUCT_FACTS ? PRODUCT_FACTS[code as ProductClass] : undefined;

/** Plain words for any product class. */
export const labelProduct = (code: ProductClass): string => findProduct(code)?.label ?? code;

/** Solvent carriers need moving air; two-part products need more than that. */
export const hasStrongFumes = (carrier: Carrier): boolean =>
  carrier === 'alcohol' || carrier === 'solvent' || carrier === 'two_part';

/**
 * Wet paint for one coat, ml: m² × dry film µm ÷ (10 × solids %) litres, and a share lost on the way. Spreading rate
 * m²/L = 10 × solids % / film µm follows from unit geometry. 1 m² at 40 µm, 40 %, a tenth lost → 110 ml.
 */
export function computeCoatMl(areaM2: number, film: Pick<FilmFact, 'dryFilmUm' | 'solidsPct'>, loss = 0.1): number {
  const squareMetresPerLitre = (10 * film.solidsPct) / film.dryFilmUm;
  return (areaM2 / squareMetresPerLitre) * 1000 * (1 + loss);
}

/** How a class dries: it decides how cold and damp air stretches its waits. */
export function findDrying(code: keyof typeof FILM_FACTS): Drying {
  const carrier = findCarrier(code);
  if (carrier === 'alcohol') return 'flashes_off';
  return carrier === 'water' ? 'evaporates_water' : 'cures';
}

export const findCarrier = (code: keyof typeof FILM_FACTS): Carrier => PRODUCT_FACTS[code].carrier;

/**
 * How well one coat of a paint hides, from its colour: white and pale enamel about 0.94, dark colours 0.99, strong
 * yellows, oranges and reds much less (common practice in round numbers; the owner's own draw-down is to replace it).
 */
export function estimateContrastRatio(hex: string): number {
  const rgb = convertHexToLinearRgb(hex);
  const { a, b } = convertLinearRgbToLab(rgb);
  const chroma = Math.hypot(a, b);
  const warm = a > 0 || b > 0;
  if (warm && chroma > 45) return 0.85;
  return computeLuminance(rgb) < 0.15 ? 0.99 : 0.94;
}
