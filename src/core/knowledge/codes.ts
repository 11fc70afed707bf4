/** The vocabulary of the open formats. These codes are stored in files: never rename one. */
export const SUBSTRATES = [
  'knotty_softwood',
  'clear_softwood',
  'open_grain_hardwood',
  'closed_grain_hardwood',
  'tannin_rich_wood',
  'oily_tropical_wood',
  'wood_veneer',
  'hpl_laminate',
  'melamine_board',
  'thermofoil',
  'paper_foil',
  'mdf',
  'particleboard',
  'plywood',
  'hardboard',
  'metal_ferrous',
  'metal_nonferrous',
  'plastic',
  'glass_ceramic',
] as const;
export type SubstrateCode = (typeof SUBSTRATES)[number];

export const FINISHES = [
  'bare',
  'wax',
  'oil',
  'hardwax_oil',
  'shellac',
  'nitro_lacquer',
  'varnish_oil',
  'waterborne_clear',
  'catalysed_lacquer',
  'chalk_paint',
  'latex_paint',
  'mineral_paint',
  'alkyd_paint',
  'factory_film',
  'powder_coat',
  'unknown',
] as const;
export type FinishCode = (typeof FINISHES)[number];

export const SOUNDNESS = ['sound', 'marginal', 'failing'] as const;
export type SoundnessCode = (typeof SOUNDNESS)[number];

/** Pores of the wood's surface as a paint film meets them. */
export const GRAINS = ['closed', 'medium', 'open'] as const;
export type GrainCode = (typeof GRAINS)[number];

/** What a lead test was made with; a home swab gives false results more often than the others. */
export const LEAD_KITS = ['home_swab', 'chip_to_laboratory', 'xray_by_professional'] as const;
export type LeadKit = (typeof LEAD_KITS)[number];

// prettier-ignore
export const DEFECTS = [
  'knot', 'resin_pocket', 'tannin_bleed', 'prior_bleed', 'water_ring', 'drink_stain', 'water_damage', 'ink_stain',
  'burn', 'smoke_odour', 'pet_odour', 'musty_odour', 'mould', 'open_grain', 'raised_grain', 'dent', 'scratch',
  'gouge', 'crack', 'gap_joint', 'chipped_veneer', 'lifting_veneer', 'bubbled_veneer', 'lifting_foil', 'chipped_foil',
  'swollen_edge', 'raw_mdf_edge', 'raw_chip_edge', 'loose_edge_band', 'old_holes', 'brush_marks', 'runs', 'flaking',
  'alligatoring', 'chalking', 'thick_paint', 'bare_patches', 'high_gloss', 'rust', 'woodworm', 'loose_joint',
  'loose_runner', 'dark_drawer_sides', 'sticker_residue',
] as const;
export type DefectCode = (typeof DEFECTS)[number];

// prettier-ignore
export const PIECE_KINDS = [
  'dresser', 'bedside_cabinet', 'sideboard', 'wardrobe', 'table', 'chair', 'desk', 'bureau', 'bookcase', 'hall_stand',
  'chest', 'vanity_unit', 'mirror_frame', 'kitchen_run', 'interior_door', 'bench_top', 'window_sill', 'other',
] as const;
export type PieceKind = (typeof PIECE_KINDS)[number];

// prettier-ignore
export const ROLES = [
  'top', 'front', 'side', 'edge', 'leg', 'frame', 'door', 'drawer_front', 'drawer_side', 'moulding', 'back', 'inside',
  'shelf', 'hardware',
] as const;
export type RoleCode = (typeof ROLES)[number];

export const ERAS = ['before_1940', '1940_1977', '1978_1999', 'since_2000', 'unknown'] as const;
export type EraCode = (typeof ERAS)[number];
// prettier-ignore
export const ROOMS = [
  'kitchen', 'bathroom', 'bedroom', 'nursery', 'living', 'dining', 'hall', 'workshop', 'outdoors',
] as const;
export type RoomCode = (typeof ROOMS)[number];

export const PRIMERS = [
  'shellac_primer',
  'shellac_clear',
  'stainblock_primer_oil',
  'stainblock_primer_wb',
  'bonding_primer_wb',
  'bonding_primer_oil',
  'bonding_primer_2k',
  'allpurpose_primer_wb',
  'stainblock_clear_wb',
  'aerosol_stainblock',
  'metal_primer',
  'mdf_sealer',
] as const;
export type PrimerCode = (typeof PRIMERS)[number];

export const PAINTS = [
  'chalk_paint',
  'mineral_paint',
  'milk_paint_acrylic',
  'latex_wall_paint',
  'wb_alkyd_enamel',
  'oil_enamel',
  'aerosol_enamel',
  'cabinet_paint_2k',
] as const;
export type PaintCode = (typeof PAINTS)[number];
export const isPaint = (code: string): code is PaintCode => (PAINTS as readonly string[]).includes(code);

export const TOPCOATS = [
  'wb_clear',
  'wb_polyurethane',
  'oil_polyurethane',
  'wipe_on_oil',
  'hardwax_oil',
  'shellac_clear',
  'wax',
  'none',
] as const;
export type TopcoatCode = (typeof TOPCOATS)[number];

// prettier-ignore
export const OTHER_PRODUCTS = [
  'degreaser', 'tsp_cleaner', 'sugar_soap', 'dish_soap', 'mineral_spirits', 'alcohol_wipe', 'mould_cleaner',
  'liquid_deglosser', 'spackle_wb', 'wood_filler_wb', 'grain_filler_wb', 'epoxy_filler', 'polyester_filler',
  'caulk_acrylic', 'wood_glue', 'consolidant',
] as const;
export type OtherProductCode = (typeof OTHER_PRODUCTS)[number];
/** Clear shellac is a primer and a finish: it is listed once. */
export const PRODUCT_CLASSES = [...new Set<ProductClass>([...PRIMERS, ...PAINTS, ...TOPCOATS, ...OTHER_PRODUCTS])];
export type ProductClass = PrimerCode | PaintCode | TopcoatCode | OtherProductCode;

// prettier-ignore
export const PREPS = [
  'none', 'scuff_120', 'scuff_150', 'scuff_180', 'scuff_220', 'liquid_degloss', 'strip', 'sand_bare',
] as const;
export type PrepCode = (typeof PREPS)[number];

// prettier-ignore
export const OPERATIONS = [
  'label', 'hardware_off', 'clean', 'degrease', 'dewax', 'desilicone', 'remove_face', 'reglue', 'repair',
  'consolidate', 'strip', 'fill', 'liquid_degloss', 'scuff', 'sand', 'dust', 'grain_fill', 'edge_seal', 'spot_seal',
  'dry_out', 'wait', 'proof', 'prime', 'caulk', 'denib', 'paint', 'topcoat', 'stain', 'refresh', 'reamalgamate', 'condition', 'rub_out', 'mask', 'set_up', 'edges', 'refit', 'cure',
  'handover',
] as const;
export type OperationCode = (typeof OPERATIONS)[number];

/** Work of the hand that a rule asks for, in the order it is done; its facts are in `HAND_FACTS`. */
// prettier-ignore
export const HANDS = [
  'label_parts', 'mask_room', 'mask_hinges', 'mask_runners', 'stand', 'spray_tent', 'gun_card', 'can_card',
  'mask_wood', 'brush_edges', 'room_edges', 'tape_line', 'tape_second', 'pull_tape', 'dust_again', 'dull_again',
] as const;
export type HandCode = (typeof HANDS)[number];

/** Spray guns that hobby shops have. */
export const GUNS = ['compressor', 'turbine'] as const;
export type GunCode = (typeof GUNS)[number];

// prettier-ignore
export const TEST_KINDS = [
  'nail', 'fork', 'coin', 'blade', 'tape', 'cross_cut', 'x_cut', 'solvent_rub', 'pencil', 'bleed_watch', 'water',
] as const;
export type TestKind = (typeof TEST_KINDS)[number];

/** Ways to get an old coat off; their facts are in `STRIPPING_FACTS`. */
export const STRIPPINGS = ['scrape', 'sand', 'heat', 'gel', 'wash_off'] as const;
export type StrippingCode = (typeof STRIPPINGS)[number];

export const INTERFACES = [
  'paint_from_paint',
  'paint_from_primer',
  'primer_from_substrate',
  'old_coat_from_substrate',
  'substrate_itself',
] as const;
export type InterfaceCode = (typeof INTERFACES)[number];

/** What a first coat meets, as far as its grip goes. */
export const GRIP_GROUNDS = ['film', 'coat', 'soft_paint', 'raw_wood', 'oily_wood', 'raw_board', 'metal'] as const;
export type GripGround = (typeof GRIP_GROUNDS)[number];

export const GATES = ['prime_to_paint', 'bleed', 'handover'] as const;

/** How strongly an answer speaks for (+) or against (−) a state; see `LIKELIHOOD_RATIO`. */
export type Strength = '+++' | '++' | '+' | '-' | '--' | '---';

/** Where a fact comes from. Shown beside it in the interface. */
export type Basis = 'published' | 'practice' | 'estimate';
