import type { Basis } from './codes';

// prettier-ignore
export const CAUTION_CODES = [
  'lead', 'fumes', 'two_part', 'oily_rags', 'dust', 'spray', 'cleaners', 'heat_and_strippers', 'blades', 'tipping', 'mould',
  'insects', 'glue', 'rust', 'child', 'food',
] as const;
export type CautionCode = (typeof CAUTION_CODES)[number];

export interface CautionFact {
  /** It must be seen once in each sitting before going on. */
  holds: boolean;
  title: string;
  text: string;
  basis: Basis;
  source?: string;
}

/** Always deferring to the product's label and safety data sheet, to local law and to licensed practice. */
// prettier-ignore
export const CAUTION_FACTS: Record<CautionCode, CautionFact> = {
  lead: { holds: true, title: 'Old coat: lead is possible', text: 'A negative swab can be wrong. Sand wet, with extraction and a P2 mask; keep children and pregnant people away; no heat gun.', basis: 'published', source: '40 CFR 745.85, work practices (from memory)' },
  fumes: { holds: true, title: 'Strong, flammable vapour', text: 'Open two sides of the room. No flame, pilot light or sparking tool. Organic-vapour respirator and gloves. The label and its safety sheet decide.', basis: 'practice' },
  two_part: { holds: true, title: 'Two-part product', text: 'Its hardener can make you allergic for life: the respirator its safety sheet names, gloves, no skin contact. Mix exactly; it sets in the pot.', basis: 'practice' },
  oily_rags: { holds: true, title: 'Oily rags can catch fire by themselves', text: 'Lay them flat outdoors to dry, or keep them in water in a lidded metal can. Never in a heap or a bin.', basis: 'practice' },
  dust: { holds: false, title: 'Dust', text: 'Extraction or damp sanding, P2 or N95 at least. Dust of MDF, hardwood and chalk-type paint travels far.', basis: 'practice' },
  spray: { holds: true, title: 'Spray mist', text: 'Combined-filter respirator, moving air, nothing that sparks. Start and stop off the piece.', basis: 'practice' },
  cleaners: { holds: false, title: 'Gloves and goggles', text: 'Never bring bleach and ammonia cleaners together. Rinse: what is left of the cleaner lets primer go.', basis: 'practice' },
  heat_and_strippers: { holds: true, title: 'Stripper and heat', text: 'Gloves, moving air. Heat below scorching, never on foil or vinyl, never where lead may be. Sludge is hazardous waste.', basis: 'practice' },
  blades: { holds: false, title: 'Blade', text: 'Cut away from your other hand; cap the blade before you put it down.', basis: 'practice' },
  mould: { holds: true, title: 'Mould', text: 'P2 mask, gloves, goggles, damp cloths, moving air. Never mix cleaners with bleach and ammonia. Much of it, or asthma in the house: a specialist.', basis: 'practice' },
  insects: { holds: true, title: 'Woodworm treatment', text: 'By its label only: gloves, air, no food, children or animals near. Some treatments are for licensed users.', basis: 'practice' },
  glue: { holds: false, title: 'Glue', text: 'Contact glue is flammable and its vapour strong: open air. Keep skin off fast ones.', basis: 'practice' },
  rust: { holds: false, title: 'Rust dust', text: 'Goggles and P2 mask; wire comes off the brush.', basis: 'practice' },
  child: { holds: false, title: 'For a child', text: 'Only coats that their labels name for toys or nursery furniture, cured to the last day. Anchor it.', basis: 'practice' },
  food: { holds: false, title: 'Food lies here', text: 'Only a last coat that its label names for food contact, cured right through.', basis: 'practice' },
  tipping: { holds: false, title: 'Lift and anchor', text: 'Two people for anything heavy or with glass. A tall piece leaves with a strap against tipping.', basis: 'practice' },
};
