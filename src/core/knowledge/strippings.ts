import type { Basis, StrippingCode } from './codes';
import type { CautionCode } from './cautions';

/** A way to get an old coat off, all on its row (common practice). */
export interface StrippingFact {
  label: string;
  once: number;
  perM2: number;
  /** Hours until the face may be dulled and coated. */
  waitH: number;
  /** Dry dust or chips of what comes off. */
  dusts?: true;
  heats?: true;
  /** A paste that softens coatings, with vapour of its own. */
  softens?: true;
  /** Water is all it takes. */
  washes?: true;
  /** It wears the face itself, not only what lies on it. */
  wears?: true;
  /** Arm's work: for small flat faces, or where the coat lets go by itself. */
  byHand?: true;
  /** How much longer profiles take than a flat face of their area. */
  mouldedFactor: number;
  /** How much longer it takes where the coat is soft and chalky and loads the paper, and where it is thick. */
  chalkFactor: number;
  thickFactor: number;
  material: string;
  mlPerM2?: number;
  waste: string;
  says: readonly string[];
  cautions: readonly CautionCode[];
  basis: Basis;
}

// prettier-ignore
export const STRIPPING_FACTS: Record<StrippingCode, StrippingFact> = {
  scrape: { label: 'Scraper and paper', once: 10, perM2: 75, waitH: 0, dusts: true, byHand: true, mouldedFactor: 2.5, chalkFactor: 1.3, thickFactor: 1.4, material: 'Scraper and 120 paper', waste: 'Chips and dust: bagged, to the household waste where they hold no lead.', says: ['Pull, never push; keep the edge sharp and round its corners.', 'What lets go comes first; paper only for what holds.'], cautions: ['dust'], basis: 'practice' },
  sand: { label: 'Sanding off', once: 10, perM2: 95, waitH: 0, dusts: true, wears: true, mouldedFactor: 2, chalkFactor: 1.5, thickFactor: 1.7, material: '80, 120 and 150 discs', waste: 'Dust from the extractor: bagged, to the household waste where it holds no lead.', says: ['Coarse only as deep as the coat; then 120 and 150 with the grain.', 'Chalky and soft coats load the paper: knock it out often.'], cautions: ['dust'], basis: 'practice' },
  heat: { label: 'Heat gun', once: 15, perM2: 50, waitH: 1, heats: true, mouldedFactor: 1.5, chalkFactor: 1.2, thickFactor: 0.8, material: 'Heat gun and scraper', waste: 'Hot scrapings go into a metal can, not into paper.', says: ['Keep it moving; stop where it browns. Scrape what has just bubbled.', 'No heat near glass, glue lines or dust.'], cautions: ['heat_and_strippers', 'fumes'], basis: 'practice' },
  gel: { label: 'Gel stripper', once: 20, perM2: 60, waitH: 24, softens: true, mouldedFactor: 1.2, chalkFactor: 1.3, thickFactor: 1.3, material: 'Gel stripper', mlPerM2: 400, waste: 'Sludge and pads are hazardous waste: a lidded can, to the collection point.', says: ['Thick, covered with film, left as its label says; then off with a blunt scraper and a pad.', 'Neutralise as the label says, let it dry a day, wipe.'], cautions: ['heat_and_strippers', 'fumes'], basis: 'practice' },
  wash_off: { label: 'Warm water and pad', once: 10, perM2: 30, waitH: 12, washes: true, mouldedFactor: 1.3, chalkFactor: 1, thickFactor: 1.3, material: 'Warm water and abrasive pad', waste: 'The water goes where paint water goes, never down a drain to a stream.', says: ['Wet, wait five minutes, rub with the pad, wipe; change the water often.', 'Little water on veneer and board, and dry it at once.'], cautions: [], basis: 'practice' },
};
