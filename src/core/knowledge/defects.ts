import type { Basis, DefectCode, RoleCode, SubstrateCode } from './codes';
import { FACED_BOARDS, SOLID_WOODS } from './checks';
import type { CheckGroup, Says } from './checks';

export interface DefectFact {
  label: string;
  /** How often it is met where it can be: 1 seldom, 3 on every other piece; and where on a piece it is met most (estimates). */
  common: 1 | 2 | 3;
  roles?: readonly RoleCode[];
  /** A defect that was seen is evidence too: a knot is seen because there is wood. */
  says?: Says;
  /** The only grounds it can be on; any where left out. */
  on?: readonly SubstrateCode[];
  /** Checks of this group look at the same thing. */
  group?: CheckGroup;
  /** What it says where there is no more than a spot of it. */
  saysOfSpot?: Says;
  /** Wood cannot hide it. */
  spoilsWood?: true;
  /** The need it is in the diagnosis; what is done about it stands in `FAULT_ANSWERS`. */
  repair?: { code: string; label: string };
}

/** Where each column comes from. */
export const DEFECT_BASIS: Record<Exclude<keyof DefectFact, 'label' | 'group'>, Basis> = {
  common: 'estimate',
  roles: 'estimate',
  says: 'estimate',
  saysOfSpot: 'estimate',
  on: 'practice',
  spoilsWood: 'practice',
  repair: 'practice',
};

const WOODS: readonly SubstrateCode[] = [...SOLID_WOODS, 'wood_veneer', 'plywood'];
const FOILED: readonly SubstrateCode[] = ['paper_foil', 'thermofoil'];
const BOARDS: readonly SubstrateCode[] = [
  ...FACED_BOARDS,
  'mdf',
  'particleboard',
  'hardboard',
  'wood_veneer',
  'plywood',
];

// prettier-ignore
export const DEFECT_FACTS: Record<DefectCode, DefectFact> = {
  knot: { label: 'Knot', common: 3, on: WOODS, group: 'figure', says: { substrate: { knotty_softwood: '+++' }, present: { bleed: '+' } } },
  resin_pocket: { label: 'Resin pocket', common: 1, on: WOODS, group: 'figure', says: { substrate: { knotty_softwood: '++' }, present: { bleed: '++' } } },
  tannin_bleed: { label: 'Tannin bleed', common: 2, group: 'stain', says: { present: { bleed: '+++' } } },
  prior_bleed: { label: 'Stain through an earlier coat', common: 2, group: 'stain', says: { present: { bleed: '+++' } } },
  water_ring: { label: 'Water ring', common: 3, roles: ['top', 'shelf'] },
  drink_stain: { label: 'Drink stain', common: 2, roles: ['top', 'shelf'], group: 'stain', says: { present: { bleed: '++' } } },
  water_damage: { label: 'Water damage', common: 2, spoilsWood: true, group: 'hold', says: { soundness: { sound: '-', marginal: '+' } } },
  ink_stain: { label: 'Ink stain', common: 1, spoilsWood: true, roles: ['top', 'inside', 'drawer_side'], group: 'stain', says: { present: { bleed: '++' } } },
  burn: { label: 'Burn', common: 1, spoilsWood: true, roles: ['top', 'shelf'], repair: { code: 'repair_burn', label: 'Scrape and fill the burn' } },
  smoke_odour: { label: 'Smoke smell', common: 2, roles: ['inside', 'drawer_side'], says: { present: { grease: '+', bleed: '+' } } },
  pet_odour: { label: 'Pet smell', common: 1, roles: ['leg', 'inside'] },
  musty_odour: { label: 'Musty smell', common: 2, roles: ['inside', 'back', 'drawer_side'] },
  mould: { label: 'Mould', common: 2, roles: ['back', 'inside', 'leg'] },
  open_grain: { label: 'Open grain', common: 3, on: [...WOODS, 'hardboard'], group: 'figure', says: { grain: { open: '++' } } },
  raised_grain: { label: 'Raised grain', common: 1, on: [...WOODS, 'hardboard'] },
  dent: { label: 'Dent', common: 3, repair: { code: 'repair_dent', label: 'Fill the dent' } },
  scratch: { label: 'Scratch', common: 3, repair: { code: 'repair_scratch', label: 'Sand out or fill the scratch' } },
  gouge: { label: 'Gouge', common: 2, repair: { code: 'repair_gouge', label: 'Fill the gouge' } },
  crack: { label: 'Crack', common: 2, repair: { code: 'repair_crack', label: 'Glue and fill the crack' } },
  gap_joint: { label: 'Gap at a joint', common: 2, roles: ['frame', 'moulding', 'front'], repair: { code: 'repair_gap', label: 'Caulk the gap after primer' } },
  chipped_veneer: { label: 'Chipped veneer', common: 3, spoilsWood: true, on: ['wood_veneer', 'plywood'], group: 'build', says: { substrate: { wood_veneer: '+++' } }, repair: { code: 'repair_veneer', label: 'Fill the chipped veneer' } },
  lifting_veneer: { label: 'Lifting veneer', common: 2, on: ['wood_veneer', 'plywood'], group: 'build', says: { substrate: { wood_veneer: '+++' } } },
  bubbled_veneer: { label: 'Bubbled veneer', common: 1, on: ['wood_veneer', 'plywood'], group: 'build', says: { substrate: { wood_veneer: '+++' } } },
  lifting_foil: { label: 'Lifting foil', common: 3, on: FOILED, group: 'build', says: { substrate: { thermofoil: '+++', paper_foil: '++' } } },
  chipped_foil: { label: 'Chipped foil', common: 2, on: [...FOILED, 'melamine_board', 'hpl_laminate'], group: 'build', says: { substrate: { paper_foil: '++', thermofoil: '++', melamine_board: '+' } }, repair: { code: 'repair_face', label: 'Fill the chips' } },
  swollen_edge: { label: 'Swollen edge', common: 2, roles: ['edge', 'shelf', 'side', 'door', 'top'], on: BOARDS, group: 'build', says: { substrate: { particleboard: '++', melamine_board: '++', mdf: '++', paper_foil: '++', thermofoil: '+' } } },
  raw_mdf_edge: { label: 'Raw MDF edge', common: 2, roles: ['edge', 'door', 'shelf', 'top'], on: ['mdf', ...FOILED, 'wood_veneer', 'melamine_board', 'hpl_laminate'], group: 'build', says: { substrate: { mdf: '++', thermofoil: '+', wood_veneer: '+', paper_foil: '+' } } },
  raw_chip_edge: { label: 'Raw chipboard edge', common: 2, roles: ['edge', 'shelf', 'side', 'top'], on: ['particleboard', 'melamine_board', 'hpl_laminate', ...FOILED, 'wood_veneer'], group: 'build', says: { substrate: { particleboard: '++', melamine_board: '++', paper_foil: '+', wood_veneer: '+' } } },
  loose_edge_band: { label: 'Loose edge band', common: 2, roles: ['edge', 'shelf', 'side', 'top'], on: BOARDS, group: 'build', says: { substrate: { melamine_board: '++', wood_veneer: '+', paper_foil: '+' } }, repair: { code: 'repair_edge_band', label: 'Glue the edge band down' } },
  old_holes: { label: 'Old hardware holes', common: 3, roles: ['drawer_front', 'door', 'front'], repair: { code: 'repair_holes', label: 'Fill the old hardware holes' } },
  brush_marks: { label: 'Brush marks', common: 2, group: 'old_coat', says: { finish: { alkyd_paint: '+', latex_paint: '+', varnish_oil: '+' } } },
  runs: { label: 'Runs', common: 2, roles: ['frame', 'moulding', 'leg', 'door', 'edge'] },
  flaking: { label: 'Flaking', common: 2, group: 'hold', says: { soundness: { failing: '+++', marginal: '+' }, finish: { factory_film: '--', bare: '--' } }, saysOfSpot: { soundness: { failing: '-', marginal: '+++' }, finish: { factory_film: '--', bare: '--' } } },
  alligatoring: { label: 'Crazing', common: 1, group: 'hold', says: { soundness: { failing: '++', marginal: '+' }, finish: { factory_film: '--' } } },
  chalking: { label: 'Chalking', common: 1, group: 'hold', says: { soundness: { marginal: '++' } } },
  thick_paint: { label: 'Thick paint', common: 2, spoilsWood: true, roles: ['moulding', 'frame', 'door', 'leg'], group: 'old_coat', says: { finish: { alkyd_paint: '++', latex_paint: '++' } } },
  bare_patches: { label: 'Bare patches', common: 2, group: 'hold', says: { soundness: { marginal: '+' } } },
  high_gloss: { label: 'High gloss', common: 2, roles: ['door', 'drawer_front', 'front', 'frame'] },
  rust: { label: 'Rust', common: 1, roles: ['hardware', 'leg', 'frame'], says: { substrate: { metal_ferrous: '+++' } }, repair: { code: 'repair_rust', label: 'Brush off the rust' } },
  woodworm: { label: 'Woodworm', common: 1, roles: ['back', 'leg', 'frame', 'inside'], on: [...WOODS, 'mdf', 'particleboard', 'hardboard'], says: { substrate: { clear_softwood: '+', closed_grain_hardwood: '+', plywood: '+' } } },
  loose_joint: { label: 'Loose joint', common: 2, roles: ['leg', 'frame'], repair: { code: 'repair_joint', label: 'Glue and clamp the joint' } },
  loose_runner: { label: 'Loose runner', common: 3, roles: ['drawer_front', 'drawer_side', 'inside'], repair: { code: 'repair_runner', label: 'Tighten the runner' } },
  dark_drawer_sides: { label: 'Dark drawer sides', common: 2, roles: ['drawer_side', 'drawer_front', 'inside'] },
  sticker_residue: { label: 'Sticker residue', common: 2, roles: ['door', 'drawer_front', 'side', 'inside'] },
};

/** The defects as they are looked for, a list at a time; each stands in exactly one list. */
// prettier-ignore
export const DEFECT_LISTS: readonly { label: string; codes: readonly DefectCode[] }[] = [
  { label: 'Stains and bleed', codes: ['knot', 'resin_pocket', 'tannin_bleed', 'prior_bleed', 'water_ring', 'drink_stain', 'ink_stain', 'burn', 'water_damage', 'dark_drawer_sides'] },
  { label: 'The old coat', codes: ['flaking', 'alligatoring', 'chalking', 'thick_paint', 'brush_marks', 'runs', 'bare_patches', 'high_gloss', 'sticker_residue'] },
  { label: 'Face and edges', codes: ['chipped_veneer', 'lifting_veneer', 'bubbled_veneer', 'lifting_foil', 'chipped_foil', 'swollen_edge', 'raw_mdf_edge', 'raw_chip_edge', 'loose_edge_band', 'open_grain', 'raised_grain'] },
  { label: 'Knocks and gaps', codes: ['dent', 'scratch', 'gouge', 'crack', 'gap_joint', 'old_holes', 'loose_joint', 'loose_runner', 'rust'] },
  { label: 'Smell and life', codes: ['smoke_odour', 'pet_odour', 'musty_odour', 'mould', 'woodworm'] },
];
