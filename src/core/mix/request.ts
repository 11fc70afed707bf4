import { z } from 'zod';
import { hex, idSchema, isDeeperThan, MOST_DEEP, readWith } from '../dossier';
import { PRODUCT_CLASSES } from '../knowledge';
import { fail, readJson, type Result } from '../shared';

/* `bricolage.mix-request/1`: which tins there are, and what is wanted of them. */

const MIX_REQUEST_FORMAT = 'bricolage.mix-request/1';
/** So many tins can be searched through at a time, and so many go into one mix. */
const MOST_TINS = 60;
const MOST_IN_A_MIX = 3;

const tinSchema = z.looseObject({
  id: idSchema,
  colour: hex,
  /** How strongly it tints, 1 where it was never tried. */
  strength: z.number().positive().max(100).optional(),
  volume_ml: z.number().min(0).max(1_000_000).optional(),
  class: z.enum(PRODUCT_CLASSES as unknown as [string, ...string[]]).optional(),
});

const MEASURES = ['ml', 'teaspoon', 'tablespoon', 'cap'] as const;
export type Measure = (typeof MEASURES)[number];

const mixRequestSchema = z
  .looseObject({
    format: z.literal(MIX_REQUEST_FORMAT),
    tins: z.array(tinSchema).min(1).max(MOST_TINS),
    target: hex.optional(),
    /** In place of a target: what it gives is only foretold. Shares by volume that add up to one. */
    shares: z
      .array(z.looseObject({ tin: idSchema, share: z.number().min(0).max(1) }))
      .min(1)
      .max(MOST_TINS)
      .optional(),
    volume_ml: z.number().positive().max(100_000),
    max_tins: z.number().int().min(1).max(MOST_IN_A_MIX).optional(),
    measure: z.enum(MEASURES).optional(),
    cap_ml: z.number().positive().max(1000).optional(),
  })
  .superRefine(({ tins, target, shares }, context) => {
    const ids = tins.map(({ id }) => id);
    const twice = ids.findIndex((id, i) => ids.indexOf(id) !== i);
    if (twice >= 0)
      context.addIssue({
        code: 'custom',
        path: ['tins', twice, 'id'],
        params: { problem: 'duplicate_id', id: ids[twice] },
      });
    if (target === undefined && shares === undefined)
      context.addIssue({ code: 'invalid_type', expected: 'string', path: ['target'], input: undefined });
    shares?.forEach(({ tin }, i) => {
      if (!ids.includes(tin))
        context.addIssue({
          code: 'custom',
          path: ['shares', i, 'tin'],
          params: { problem: 'unknown_code', allowed: ids },
        });
    });
    const whole = shares?.reduce((sum, { share }) => sum + share, 0);
    if (whole !== undefined && Math.abs(whole - 1) > 1e-6)
      context.addIssue({ code: 'custom', path: ['shares'], params: { problem: 'out_of_range', min: 1, max: 1 } });
  });

export type MixRequest = z.infer<typeof mixRequestSchema>;
export type MixTin = MixRequest['tins'][number];

/** A request from text, or the first thing that is wrong with it, with its path. */
export function parseMixRequest(text: string): Result<MixRequest> {
  const read = readJson(text);
  if (!read.ok) return read;
  const { value } = read;
  if (isDeeperThan(value, MOST_DEEP)) return fail('too_deep', '', { max: MOST_DEEP });
  if (typeof value === 'object' && value !== null && 'format' in value && value.format !== MIX_REQUEST_FORMAT) {
    const found = typeof value.format === 'string' ? value.format : typeof value.format;
    return fail('wrong_format', 'format', { found, allowed: [MIX_REQUEST_FORMAT] });
  }
  return readWith(mixRequestSchema, value);
}
