import { z } from 'zod';

/* What the parts of the open format are made of. */

export const text = (max: number) => z.string().trim().min(1).max(max);
export const idSchema = z.string().regex(/^[A-Za-z0-9][A-Za-z0-9._-]{0,63}$/);
export const instant = z.iso.datetime({ offset: true });
export const percent = z.number().min(0).max(100);
export const share = z.number().min(0).max(1);
export const positive = (max: number) => z.number().positive().max(max);
/** sRGB, as screens and paint shops write it. */
export const hex = z.string().regex(/^#[0-9a-fA-F]{6}$/);
/** A moment, or a day alone. */
export const day = z.union([instant, z.iso.date()]);

const clock = z.string().regex(/^([01]\d|2[0-3]):[0-5]\d$|^24:00$/);

/** Some hours of a day, `from` before `to`, on the wall's clock; "24:00" is midnight. */
export const hoursOf = <Shape extends z.ZodRawShape>(shape: Shape) =>
  z.looseObject({ from: clock, to: clock, ...shape }).superRefine((hours, context) => {
    const { from, to } = hours as { from: string; to: string };
    if (from >= to) context.addIssue({ code: 'custom', path: ['to'], params: { problem: 'not_after' } });
  });
