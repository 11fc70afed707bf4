import { z } from 'zod';
import { PAINTS, ROOMS } from '../knowledge';
import { LIMITS } from './limits';
import { hex, hoursOf } from './primitives';

/* What the owner wants of a piece, and of single zones. */

/** Where the wood is to show: the old coat is woken, or it is done anew. Left out, either. */
const keep = z.enum(['refresh', 'refinish']);
const look = z.enum(['opaque', 'stain', 'clear', 'leave']);
const sheen = z.enum(['matt', 'eggshell', 'satin', 'semi_gloss', 'gloss']);

/**
 * A second colour on the faces of a zone: bands over the zone's own colour, measured from the left edge (`upright`) or
 * from the lower one (`level`), the inside of a frame so many mm wide (`panel`), or all of the far side, as a door between
 * two rooms has it (`far_side`).
 */
export const secondSchema = z
  .looseObject({
    colour: hex,
    lies: z.enum(['upright', 'level', 'panel', 'far_side']),
    bands: z
      .array(z.looseObject({ at_mm: z.number().min(0).max(10_000), width_mm: z.number().min(5).max(10_000) }))
      .min(1)
      .max(LIMITS.bands)
      .optional(),
    margin_mm: z.number().min(5).max(5000).optional(),
  })
  .superRefine(({ lies, bands, margin_mm }, context) => {
    const missing = (field: string, expected: 'number' | 'array'): void =>
      context.addIssue({ code: 'invalid_type', expected, path: [field], input: undefined });
    if (lies === 'panel' && margin_mm === undefined) missing('margin_mm', 'number');
    if ((lies === 'upright' || lies === 'level') && bands === undefined) missing('bands', 'array');
    const order = [...(bands ?? [])].sort((a, b) => a.at_mm - b.at_mm);
    order.slice(1).forEach((band, i) => {
      const { at_mm, width_mm } = order[i]!;
      if (band.at_mm >= at_mm + width_mm) return;
      const path = ['bands', bands!.indexOf(band), 'at_mm'];
      context.addIssue({ code: 'custom', path, params: { problem: 'bands_overlap', from: at_mm + width_mm } });
    });
  });

/** Wishes for one zone; what it has none of follows the piece. `look_before` is what a zone that is left was to be. */
const zoneWishSchema = z.looseObject({
  look: look.optional(),
  look_before: look.optional(),
  keep: keep.optional(),
  colour: hex.optional(),
  paint: z.enum(PAINTS).optional(),
  sheen: sheen.optional(),
  second: secondSchema.optional(),
});
const dossierHoursSchema = hoursOf({ day: z.enum(['mon', 'tue', 'wed', 'thu', 'fri', 'sat', 'sun']) });

export const goalSchema = z.looseObject({
  look: look.optional(),
  keep: keep.optional(),
  colour: hex.optional(),
  sheen: sheen.optional(),
  grain: z.enum(['hide', 'show']).optional(),
  application: z.enum(['brush_roll', 'spray', 'aerosol']).optional(),
  ventilation: z.enum(['good', 'limited', 'none']).optional(),
  priority: z.enum(['surest', 'soonest', 'cheapest', 'least_fumes']).optional(),
  due: z.iso.date().optional(),
  /** When there is time for it, where no shop is known that has hours. */
  hours: z.array(dossierHoursSchema).max(LIMITS.hours).optional(),
  paint: z.enum(PAINTS).optional(),
  /** Where it will stand, and whether a small child will use it. */
  room: z.enum(ROOMS).optional(),
  for_child: z.boolean().optional(),
  /** It must come off again one day. */
  reversible: z.boolean().optional(),
  zones: z.record(z.string(), zoneWishSchema).optional(),
  /** A door between two rooms: whose colour its opening edge takes, that of the near side or of the far one. */
  opens_to: z.enum(['near', 'far']).optional(),
  /** Steps of the hand that the owner leaves out, by their rule. */
  without: z.array(z.string().max(40)).max(40).optional(),
  schools: z
    .looseObject({
      dulling: z.enum(['mix', 'scuff', 'liquid']).optional(),
      priming: z.enum(['always', 'when_needed']).optional(),
      fill: z.enum(['obvious_first_then_after_prime', 'before', 'after_prime']).optional(),
      grain: z.enum(['spackle_brush', 'spackle_knife', 'grain_filler', 'leave']).optional(),
      stain_block: z.enum(['whole_zone', 'spots_only', 'wait_and_see']).optional(),
      doors: z.enum(['off', 'on']).optional(),
      topcoat: z.enum(['when_needed', 'always']).optional(),
      between: z.enum(['denib_every', 'only_if_rough']).optional(),
    })
    .optional(),
  /** What the gates ask for, where the owner sets it otherwise. */
  gates: z
    .looseObject({
      scratch_most: z.number().int().min(0).max(4).optional(),
      bleed_mean: z.number().min(0.1).max(20).optional(),
      bleed_worst: z.number().min(0.1).max(40).optional(),
      bleed_at: z.enum(['48h', '7d']).optional(),
    })
    .optional(),
});

export type DossierHours = z.infer<typeof dossierHoursSchema>;
export type Goal = z.infer<typeof goalSchema>;
export type SecondColour = z.infer<typeof secondSchema>;
