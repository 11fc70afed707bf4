import type { FinishCode, GripGround, SubstrateCode } from './codes';
import { FINISH_FACTS, SUBSTRATE_FACTS } from './materials';
import type { PrepGroup } from './preps';
import type { Rating } from './products';

/** What a face is to a first coat: its finish where it has one, else its material. */
export const gripGroundOf = (substrate: SubstrateCode, finish: FinishCode): GripGround =>
  FINISH_FACTS[finish].grip ?? SUBSTRATE_FACTS[substrate].bareGrip ?? 'raw_wood';

type ByRating = Record<Rating, number>;
const always = (p: number, none: number): ByRating => ({ best: p, very_good: p, good: p, fair: p, poor: p, none });

/*
 * Chances that a first coat lets go of a sound, clean ground within two years of use in a bedroom or hall, by how well its
 * primer grips (its row) and how the ground was treated. Common practice in round figures; the shop's own tests move them.
 */
const FILM_SCUFFED: ByRating = { best: 0.015, very_good: 0.025, good: 0.04, fair: 0.08, poor: 0.22, none: 0.2 };
const FILM_CLEANED: ByRating = { best: 0.06, very_good: 0.1, good: 0.12, fair: 0.5, poor: 0.65, none: 0.8 };
const COAT_SCUFFED: ByRating = { best: 0.015, very_good: 0.016, good: 0.018, fair: 0.021, poor: 0.025, none: 0.04 };
const COAT_CLEANED: ByRating = { best: 0.045, very_good: 0.05, good: 0.05, fair: 0.12, poor: 0.18, none: 0.3 };
const METAL_PRIMED: ByRating = { best: 0.02, very_good: 0.06, good: 0.1, fair: 0.2, poor: 0.25, none: 0.3 };
const RAW_WOOD = always(0.01, 0.02);

/** `scuff`: abraded; `liquid_degloss`: softened, which a film is not; `none`: clean only; `bare`: the coat is off. */
export const GRIP_LOSS: Record<GripGround, Record<PrepGroup, ByRating>> = {
  film: { none: FILM_CLEANED, liquid_degloss: FILM_CLEANED, scuff: FILM_SCUFFED, bare: FILM_SCUFFED },
  coat: { none: COAT_CLEANED, liquid_degloss: COAT_SCUFFED, scuff: COAT_SCUFFED, bare: RAW_WOOD },
  soft_paint: {
    none: always(0.12, 0.35),
    liquid_degloss: always(0.08, 0.12),
    scuff: always(0.05, 0.08),
    bare: RAW_WOOD,
  },
  raw_wood: { none: always(0.02, 0.04), liquid_degloss: always(0.02, 0.04), scuff: RAW_WOOD, bare: RAW_WOOD },
  // It sweats: wiped with solvent just before, and still three times as often as other wood.
  oily_wood: {
    none: always(0.1, 0.2),
    liquid_degloss: always(0.1, 0.2),
    scuff: always(0.03, 0.08),
    bare: always(0.03, 0.08),
  },
  raw_board: {
    none: always(0.015, 0.1),
    liquid_degloss: always(0.015, 0.1),
    scuff: always(0.015, 0.1),
    bare: always(0.015, 0.1),
  },
  metal: { none: always(0.25, 0.35), liquid_degloss: always(0.25, 0.35), scuff: METAL_PRIMED, bare: METAL_PRIMED },
};

/** A soft fine pad instead of a plain scuff: so much oftener on a film (common practice). */
export const SOFT_PAD_FACTOR = 1.5;
/** Wax or silicone that was not washed off (common practice). */
export const LEFT_WAX_LOSS = 0.6;
/** An old coat that fails takes the new one along; a marginal one adds this, well scuffed (the first an estimate, the second common practice). */
export const OLD_COAT_LOSS = { failing: 0.6, marginal: 0.04 } as const;

/** How much harder a place is on paint than a bedroom or hall: the hardest counts (common practice). */
export const USE_FACTORS = { dining: 1.3, child: 1.3, dailyTop: 1.5, kitchenFront: 1.6, wetRoom: 1.8 } as const;
