import type { Basis, FinishCode, GripGround, SubstrateCode } from './codes';

export interface SubstrateFact {
  label: string;
  /** What matters for paint, in one sentence. */
  matters: string;
  basis: Basis;
  source?: string;
  /** A hard ground for the spacing of a lattice (ISO 2409: metal; wood and board are soft). */
  cutsHard?: true;
  /** What it is to a first coat where nothing lies on it; wood where none is named. */
  bareGrip?: GripGround;
}

const WOOD_HANDBOOK = 'USDA Wood Handbook, finishing chapter';

// prettier-ignore
export const SUBSTRATE_FACTS: Record<SubstrateCode, SubstrateFact> = {
  knotty_softwood: { label: 'Knotty softwood', matters: 'Knots and resin pockets bleed yellow-brown through anything waterborne, weeks or months later.', basis: 'published', source: WOOD_HANDBOOK },
  clear_softwood: { label: 'Clear softwood', matters: 'Soft: it dents, and the first waterborne coat raises the grain.', basis: 'published', source: WOOD_HANDBOOK },
  open_grain_hardwood: { label: 'Open-grain hardwood', matters: 'Deep pores show through any paint film; oak and chestnut also carry tannin.', basis: 'published', source: WOOD_HANDBOOK },
  closed_grain_hardwood: { label: 'Close-grain hardwood', matters: 'The easiest wood to paint.', basis: 'published', source: WOOD_HANDBOOK },
  tannin_rich_wood: { label: 'Mahogany-type wood', matters: 'Water-soluble red and brown colour and old dye bleed through pale paint.', basis: 'published', source: WOOD_HANDBOOK },
  oily_tropical_wood: { label: 'Oily tropical wood', bareGrip: 'oily_wood', matters: 'Natural oils fight adhesion: wipe with solvent just before priming.', basis: 'practice' },
  wood_veneer: { label: 'Wood veneer', matters: 'Thin: sand lightly. It can chip, lift and bleed like its species.', basis: 'practice' },
  hpl_laminate: { label: 'Laminate sheet', bareGrip: 'film', matters: 'Hard, slick and closed: nothing soaks in, so the scratches must be plain to see.', basis: 'practice' },
  melamine_board: { label: 'Melamine board', bareGrip: 'film', matters: 'Slick like laminate with a thinner face; chipped edges show paper and chipboard.', basis: 'practice' },
  thermofoil: { label: 'Vinyl foil on MDF', bareGrip: 'film', matters: 'Slick and flexible; the foil lifts near heat, so no heat gun.', basis: 'practice' },
  paper_foil: { label: 'Printed foil', bareGrip: 'film', matters: 'Sanding through it is quick and ugly: soft pad only. It cannot be stripped and stained.', basis: 'practice' },
  mdf: { label: 'Raw MDF', bareGrip: 'raw_board', matters: 'Edges drink paint and swell with water: seal them first.', basis: 'practice' },
  particleboard: { label: 'Raw chipboard', bareGrip: 'raw_board', matters: 'Crumbles, and swells for good once wet: consolidate, fill, seal.', basis: 'practice' },
  plywood: { label: 'Plywood', matters: 'The face behaves like its species; the edge needs filling.', basis: 'practice' },
  hardboard: { label: 'Hardboard', bareGrip: 'raw_board', matters: 'Thin and thirsty; oil-tempered kinds resist waterborne primer.', basis: 'practice' },
  metal_ferrous: { label: 'Iron or steel', bareGrip: 'metal', matters: 'Rusts under waterborne primer: it needs its own primer.', basis: 'practice', cutsHard: true },
  metal_nonferrous: { label: 'Brass, aluminium or zinc', bareGrip: 'metal', matters: 'Needs a primer made for it, or is masked and left.', basis: 'practice', cutsHard: true },
  plastic: { label: 'Plastic', bareGrip: 'film', matters: 'Often best left: few primers hold for long.', basis: 'practice' },
  glass_ceramic: { label: 'Glass or ceramic', bareGrip: 'film', matters: 'Mask it and leave it.', basis: 'practice', cutsHard: true },
};

export interface FinishFact {
  label: string;
  /** An opaque coat hides pattern, colour and pores of what is under it. */
  opaque: boolean;
  /** A coat that the wood is seen through. */
  clear?: true;
  /** A coating that liquid deglosser can soften. */
  softens: boolean;
  /** How hard it is to get a grip on it: 0 porous, 1 a coating, 2 slick and closed. */
  slickness: 0 | 1 | 2;
  /** What it is to a first coat; left out, the material is. */
  grip?: GripGround;
  basis: Basis;
}

// prettier-ignore
export const FINISH_FACTS: Record<FinishCode, FinishFact> = {
  bare: { label: 'no finish', opaque: false, softens: false, slickness: 0, basis: 'practice' },
  wax: { label: 'wax', opaque: false, clear: true, softens: false, slickness: 1, grip: 'coat', basis: 'practice' },
  oil: { label: 'oil', opaque: false, clear: true, softens: false, slickness: 0, grip: 'coat', basis: 'practice' },
  hardwax_oil: { label: 'hardwax oil', opaque: false, clear: true, softens: false, slickness: 0, grip: 'coat', basis: 'practice' },
  shellac: { label: 'shellac', opaque: false, clear: true, softens: true, slickness: 1, grip: 'coat', basis: 'practice' },
  nitro_lacquer: { label: 'nitrocellulose lacquer', opaque: false, clear: true, softens: true, slickness: 1, grip: 'coat', basis: 'practice' },
  varnish_oil: { label: 'oil varnish', opaque: false, clear: true, softens: true, slickness: 1, grip: 'coat', basis: 'practice' },
  waterborne_clear: { label: 'waterborne clear coat', opaque: false, clear: true, softens: true, slickness: 1, grip: 'coat', basis: 'practice' },
  catalysed_lacquer: { label: 'factory two-part lacquer', opaque: false, clear: true, softens: true, slickness: 2, grip: 'coat', basis: 'practice' },
  chalk_paint: { label: 'chalk-type paint', opaque: true, softens: false, slickness: 0, grip: 'soft_paint', basis: 'practice' },
  latex_paint: { label: 'waterborne paint', opaque: true, softens: true, slickness: 1, grip: 'soft_paint', basis: 'practice' },
  mineral_paint: { label: 'mineral paint', opaque: true, softens: true, slickness: 1, grip: 'coat', basis: 'practice' },
  alkyd_paint: { label: 'solvent gloss paint', opaque: true, softens: true, slickness: 1, grip: 'coat', basis: 'practice' },
  factory_film: { label: 'factory film', opaque: false, softens: false, slickness: 2, grip: 'film', basis: 'practice' },
  powder_coat: { label: 'powder coat', opaque: true, softens: false, slickness: 2, grip: 'film', basis: 'practice' },
  unknown: { label: 'a coating not in the list', opaque: false, softens: false, slickness: 1, grip: 'coat', basis: 'estimate' },
};

/** Typical colour of each material under a clear coat, for forecasting how many coats hide it (estimates). */
// prettier-ignore
export const GROUND_COLOURS: Record<SubstrateCode, string> = {
  knotty_softwood: '#D9B06C', clear_softwood: '#E2C58F', open_grain_hardwood: '#B5874E', closed_grain_hardwood: '#D2AE7C',
  tannin_rich_wood: '#5E2F22', oily_tropical_wood: '#7A4F2C', wood_veneer: '#8A5A36', hpl_laminate: '#8F7352',
  melamine_board: '#D8D4CC', thermofoil: '#E6E3DC', paper_foil: '#A88258', mdf: '#A98A63', particleboard: '#B59A6D',
  plywood: '#D6B988', hardboard: '#6B4A2E', metal_ferrous: '#5F6468', metal_nonferrous: '#B8B4A8', plastic: '#BFC2C2',
  glass_ceramic: '#C9D2D0',
};
/** An old paint of unknown colour is taken for a middle grey-brown. */
export const OLD_PAINT_COLOUR = '#A79F92';
