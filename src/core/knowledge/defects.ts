import type { DefectCode } from './codes';
import type { Says } from './checks';

export interface DefectFact {
  label: string;
  /** A defect that was seen is evidence too: a knot is seen because there is wood. */
  says?: Says;
  /** The repair it asks for, and hands-on minutes for one (common practice). */
  repair?: { code: string; label: string; minutes: number };
}

// prettier-ignore
export const DEFECT_FACTS: Record<DefectCode, DefectFact> = {
  knot: { label: 'Knot', says: { substrate: { knotty_softwood: '+++' }, present: { bleed: '+' } } },
  resin_pocket: { label: 'Resin pocket', says: { substrate: { knotty_softwood: '++' }, present: { bleed: '++' } } },
  tannin_bleed: { label: 'Tannin bleed', says: { present: { bleed: '+++' } } },
  prior_bleed: { label: 'Stain through an earlier coat', says: { present: { bleed: '+++' } } },
  water_ring: { label: 'Water ring' },
  drink_stain: { label: 'Drink stain', says: { present: { bleed: '++' } } },
  water_damage: { label: 'Water damage', says: { soundness: { sound: '-', marginal: '+' } } },
  ink_stain: { label: 'Ink stain', says: { present: { bleed: '++' } } },
  burn: { label: 'Burn', repair: { code: 'repair_burn', label: 'Scrape and fill the burn', minutes: 5 } },
  smoke_odour: { label: 'Smoke smell', says: { present: { grease: '+', bleed: '+' } } },
  pet_odour: { label: 'Pet smell' },
  musty_odour: { label: 'Musty smell' },
  mould: { label: 'Mould' },
  open_grain: { label: 'Open grain', says: { substrate: { open_grain_hardwood: '++', wood_veneer: '+' } } },
  raised_grain: { label: 'Raised grain' },
  dent: { label: 'Dent', repair: { code: 'repair_dent', label: 'Fill the dent', minutes: 2 } },
  scratch: { label: 'Scratch', repair: { code: 'repair_scratch', label: 'Sand out or fill the scratch', minutes: 2 } },
  gouge: { label: 'Gouge', repair: { code: 'repair_gouge', label: 'Fill the gouge', minutes: 4 } },
  crack: { label: 'Crack', repair: { code: 'repair_crack', label: 'Glue and fill the crack', minutes: 6 } },
  gap_joint: { label: 'Gap at a joint', repair: { code: 'repair_gap', label: 'Caulk the gap after primer', minutes: 2 } },
  chipped_veneer: { label: 'Chipped veneer', says: { substrate: { wood_veneer: '+++' } }, repair: { code: 'repair_veneer', label: 'Fill the chipped veneer', minutes: 6 } },
  lifting_veneer: { label: 'Lifting veneer', says: { substrate: { wood_veneer: '+++' } } },
  bubbled_veneer: { label: 'Bubbled veneer', says: { substrate: { wood_veneer: '+++' } } },
  lifting_foil: { label: 'Lifting foil', says: { substrate: { thermofoil: '+++', paper_foil: '++' } } },
  chipped_foil: { label: 'Chipped foil', says: { substrate: { paper_foil: '++', thermofoil: '++', melamine_board: '+' } }, repair: { code: 'repair_face', label: 'Fill the chips', minutes: 4 } },
  swollen_edge: { label: 'Swollen edge', says: { substrate: { particleboard: '++', melamine_board: '++', mdf: '++', paper_foil: '++', thermofoil: '+' } } },
  raw_mdf_edge: { label: 'Raw MDF edge', says: { substrate: { mdf: '++', thermofoil: '+', wood_veneer: '+', paper_foil: '+' } } },
  raw_chip_edge: { label: 'Raw chipboard edge', says: { substrate: { particleboard: '++', melamine_board: '++', paper_foil: '+', wood_veneer: '+' } } },
  loose_edge_band: { label: 'Loose edge band', says: { substrate: { melamine_board: '++', wood_veneer: '+', paper_foil: '+' } }, repair: { code: 'repair_edge_band', label: 'Glue the edge band down', minutes: 8 } },
  old_holes: { label: 'Old hardware holes', repair: { code: 'repair_holes', label: 'Fill the old hardware holes', minutes: 2 } },
  brush_marks: { label: 'Brush marks', says: { finish: { alkyd_paint: '+', latex_paint: '+', varnish_oil: '+' } } },
  runs: { label: 'Runs' },
  flaking: { label: 'Flaking', says: { soundness: { failing: '+++', marginal: '+' }, finish: { factory_film: '--', bare: '--' } } },
  alligatoring: { label: 'Crazing', says: { soundness: { failing: '++', marginal: '+' }, finish: { factory_film: '--' } } },
  chalking: { label: 'Chalking', says: { soundness: { marginal: '++' } } },
  thick_paint: { label: 'Thick paint', says: { finish: { alkyd_paint: '++', latex_paint: '++' } } },
  bare_patches: { label: 'Bare patches', says: { soundness: { marginal: '+' } } },
  high_gloss: { label: 'High gloss' },
  rust: { label: 'Rust', says: { substrate: { metal_ferrous: '+++' } }, repair: { code: 'repair_rust', label: 'Brush off the rust', minutes: 5 } },
  woodworm: { label: 'Woodworm', says: { substrate: { clear_softwood: '+', closed_grain_hardwood: '+', plywood: '+' } } },
  loose_joint: { label: 'Loose joint', repair: { code: 'repair_joint', label: 'Glue and clamp the joint', minutes: 15 } },
  loose_runner: { label: 'Loose runner', repair: { code: 'repair_runner', label: 'Tighten the runner', minutes: 5 } },
  dark_drawer_sides: { label: 'Dark drawer sides' },
  sticker_residue: { label: 'Sticker residue' },
};
