import type { Basis, PaintCode, PrimerCode, TopcoatCode } from './codes';
import type { Carrier } from './products';

/** Drawings of how something is done; the client has one for each. */
export const TECHNIQUES = [
  'cross_roll',
  'strips',
  'panel_order',
  'tape_pull',
  'points',
  'half_overlap',
  'load_and_roll',
  'room_edges',
  'wipe_off',
  'rub_even',
] as const;
export type TechniqueCode = (typeof TECHNIQUES)[number];

/** What a face is to a tool: a flat, one with mouldings, a narrow part such as a leg. */
export type FaceKind = 'flat' | 'moulded' | 'narrow';

/** A tool, and what it is for; left out, it is for any. The first row that fits is taken. */
export interface ToolFact {
  code: string;
  label: string;
  carriers?: readonly Carrier[];
  classes?: readonly (PrimerCode | PaintCode | TopcoatCode)[];
  faces?: readonly FaceKind[];
  leastM2?: number;
  /** What matters while it is used, most telling first. */
  says: readonly string[];
  drawings: readonly TechniqueCode[];
  basis: Basis;
}

/** Tools by hand, the most particular first (common practice). */
// prettier-ignore
export const TOOL_FACTS: readonly ToolFact[] = [
  { code: 'cloth', label: 'Lint-free cloth or sponge', classes: ['wipe_on_oil', 'hardwax_oil', 'wax'], says: ['Wipe it on thin, wait as the label says, wipe all that is wet off again.', 'With the grain, from end to end.'], drawings: ['wipe_off'], basis: 'practice' },
  { code: 'mop', label: 'Soft mop brush, or a pad of cloth round wool', classes: ['shellac_clear'], says: ['Straight, quick strokes from end to end; never back over what is no longer wet.', 'Thin: four thin coats lie better than two thick ones.'], drawings: ['strips'], basis: 'practice' },
  { code: 'sponge', label: 'Foam or sponge', classes: ['bonding_primer_wb'], says: ['Thin coats with foam or sponge; heavy ones leave texture.', 'Never thin it.'], drawings: ['load_and_roll'], basis: 'practice' },
  { code: 'angled_brush', label: 'Angled brush, 40–50 mm, of soft synthetic', carriers: ['water'], faces: ['moulded'], says: ['Mouldings first, drawn out along them; then the flats, then rails, then stiles.', 'The tip only: a loaded heel drips into the corner.'], drawings: ['panel_order'], basis: 'practice' },
  { code: 'bristle_brush', label: 'Natural bristle brush', carriers: ['solvent', 'alcohol', 'two_part'], faces: ['moulded', 'narrow'], says: ['Lay it on, draw it out, tip it off once with the brush held flat.', 'Leave it: what is touched again drags.'], drawings: ['panel_order'], basis: 'practice' },
  { code: 'mohair_roller', label: 'Short mohair roller', carriers: ['solvent', 'alcohol', 'two_part'], says: ['Work along in strips as wide as the roller, and do not go back.', 'The last pass in one direction.'], drawings: ['strips'], basis: 'practice' },
  { code: 'stiff_brush', label: 'Stiff synthetic brush', classes: ['chalk_paint', 'mdf_sealer'], says: ['Short strokes both ways, then all one way. Mist it with water if it drags: chalk-type only.', 'Never mist a film that seals itself.'], drawings: [], basis: 'practice' },
  { code: 'soft_brush', label: 'Soft synthetic brush', faces: ['narrow'], says: ['Along the part, from end to end; look round the corner for beads.', 'Load the lower third only.'], drawings: [], basis: 'practice' },
  { code: 'microfibre_roller', label: 'Microfibre roller, 5–6 mm', classes: ['wb_alkyd_enamel', 'wb_polyurethane', 'wb_clear', 'cabinet_paint_2k'], leastM2: 0.5, says: ['Put it on across, then at 45° both ways; the last pass in one direction, with no weight.', 'In strips about 15 cm wide, each rolled off while it is wet.'], drawings: ['cross_roll', 'strips'], basis: 'practice' },
  { code: 'foam_roller', label: 'Foam roller, 10 cm, with tapered ends', says: ['Brush it on and roll off at once with an unloaded roller: loaded foam leaves bubbles.', 'At 45° both ways levels highs and lows; the last pass in one direction.'], drawings: ['load_and_roll', 'cross_roll'], basis: 'practice' },
];

/** How a kind of coat is sprayed: nozzle, air and how thin it runs through a DIN 4 mm cup (ISO 2431 makes the cups). */
export interface SprayFact {
  /** Which coats: the first row that names the class, or none. */
  classes?: readonly (PrimerCode | PaintCode | TopcoatCode)[];
  carriers?: readonly Carrier[];
  label: string;
  nozzleMm: readonly [number, number];
  /** At the gun, bar; a turbine has what it has. */
  airBar: readonly [number, number];
  cupS: readonly [number, number];
  /** Of the paint, where its label allows it: 25 % of the paint is 20 % of the mix. */
  mostThinnerPct: number;
  basis: Basis;
}

// prettier-ignore
export const SPRAY_FACTS: readonly SprayFact[] = [
  { classes: ['bonding_primer_wb'], label: 'Primer for slick ground', nozzleMm: [1.8, 2.2], airBar: [1.8, 2.5], cupS: [35, 60], mostThinnerPct: 0, basis: 'practice' },
  { classes: ['chalk_paint', 'mineral_paint', 'milk_paint_acrylic', 'latex_wall_paint'], label: 'Thick waterborne paint', nozzleMm: [1.8, 2.5], airBar: [2, 2.8], cupS: [30, 50], mostThinnerPct: 15, basis: 'practice' },
  { classes: ['wb_clear', 'wb_polyurethane'], label: 'Waterborne clear', nozzleMm: [1.2, 1.5], airBar: [1.5, 2.2], cupS: [20, 30], mostThinnerPct: 10, basis: 'practice' },
  { carriers: ['alcohol'], label: 'Shellac', nozzleMm: [1.2, 1.6], airBar: [1.2, 2], cupS: [15, 25], mostThinnerPct: 15, basis: 'practice' },
  { carriers: ['solvent', 'two_part'], label: 'Solvent and two-part coats', nozzleMm: [1.3, 1.7], airBar: [1.5, 2.5], cupS: [18, 28], mostThinnerPct: 15, basis: 'practice' },
  { label: 'Waterborne enamel and primer', nozzleMm: [1.5, 2], airBar: [1.8, 2.5], cupS: [25, 45], mostThinnerPct: 25, basis: 'practice' },
];

/** How far from the face a gun is held, cm, and how long between light coats, min (common practice). */
export const SPRAY_DISTANCE_CM = [15, 25] as const;
export const LIGHT_COAT_MIN = [5, 10] as const;

/** A spray can: content, and what it covers once, m² (common practice). */
export const CAN_ML = 400;
export const CAN_COVERS_M2 = [1, 1.5] as const;

/** What matters at any coat of paint, by how it is put on; by brush and roller, by what is painted and which coat it is (common practice). */
export const PAINTING_SAYS = {
  spray: ['Start and stop off the piece, half over the last pass.', 'Several light coats; undersides too.'],
  aerosol: ['Light passes; a wet look means a run is coming.'],
  doors: 'Edges, then panels and mouldings, then rails, then stiles; hardware holes last with a near-dry brush.',
  not_last: 'This coat need not cover. Leave it alone when it drags.',
  last: 'Look against the light while it is wet: runs hide on edges and lower corners.',
} as const;
