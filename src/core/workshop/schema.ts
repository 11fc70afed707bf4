import { z } from 'zod';
import { practiceAnswerSchema, type PracticeAnswer } from './practice-schema';
import { amount, climateSchema, hoursOf, LIMITS, percent, targetSchema } from '../dossier';

/*
 * What belongs to the shop and not to a piece: when its owner has time, what there is room for, the air it works in, and
 * what the owner has pinned to a time.
 */

const hands = z.number().int().min(1).max(4).optional();
/** On the clock of the shop's zone. */
const hoursSchema = hoursOf({ day: z.number().int().min(1).max(7), hands });
const dayHoursSchema = hoursOf({ hands });

const isTimeZone = (name: string): boolean => {
  try {
    return Boolean(new Intl.DateTimeFormat('en', { timeZone: name }));
  } catch {
    return false;
  }
};

export const setupSchema = z.looseObject({
  /** IANA name, such as "Europe/Lisbon". */
  time_zone: z
    .string()
    .max(64)
    .superRefine((name, context) => {
      if (!isTimeZone(name)) context.addIssue({ code: 'custom', params: { problem: 'unknown_time_zone', zone: name } });
    })
    .optional(),
  /** ISO 4217, such as "EUR". */
  currency: z
    .string()
    .regex(/^[A-Z]{3}$/)
    .optional(),
  /** What the shop's pieces start with, in the major unit of its currency. */
  money: z
    .looseObject({
      hour_rate: amount.optional(),
      target: targetSchema.optional(),
      fees_pct: percent.optional(),
      fees_fixed: amount.optional(),
      transport: amount.optional(),
    })
    .optional(),
  hours: z.array(hoursSchema).max(LIMITS.hours).optional(),
  exceptions: z
    .array(z.looseObject({ date: z.iso.date(), hours: z.array(dayHoursSchema).max(6) }))
    .max(400)
    .optional(),
  /** Where the shop is, as new pieces have it: it decides which coats may hold lead. */
  region: z.string().max(40).optional(),
  /** What the owner says of their hands before any time was logged. */
  pace: z.enum(['quick', 'usual', 'slower']).optional(),
  /** The owner's measured misreadings take the place of the general rate in the shop's diagnoses. */
  own_misreadings: z.boolean().optional(),
  /** Pieces that can stand in work at once: as large as a dresser, or small. */
  places: z.looseObject({ large: z.number().int().min(0).max(50), small: z.number().int().min(0).max(50) }).optional(),
});

/** A reading of the workshop's air; the surface is taken at air temperature where it is not measured. */
export const airSchema = z.looseObject({
  ...climateSchema.shape,
  surface_c: z.number().min(-40).max(60).optional(),
  at: z.iso.datetime({ offset: true }),
  /** Who read it; what is simulated is marked, and never counts as measured. */
  source: z.enum(['owner', 'typed', 'instrument', 'simulated']).optional(),
});

/** A job held to a time by the owner. */
export const pinSchema = z.looseObject({ task: z.string().min(1).max(160), at: z.iso.datetime({ offset: true }) });

/** All that the workshop is, as a copy of the shop keeps it. */
export const workshopSchema = z.object({
  setup: setupSchema,
  air: z.array(airSchema),
  pins: z.array(pinSchema).max(5000),
  // Shops of before could not practise.
  practice: z.array(practiceAnswerSchema).default([]),
});

export type StartPace = NonNullable<z.infer<typeof setupSchema>['pace']>;
export type Setup = z.infer<typeof setupSchema>;
export type Air = z.infer<typeof airSchema>;
export type Pin = z.infer<typeof pinSchema>;

export interface Workshop {
  setup: Setup;
  /** Oldest first. */
  air: Air[];
  pins: Pin[];
  /** Exercises that were answered, oldest first. */
  practice: PracticeAnswer[];
}

export const EMPTY_WORKSHOP: Workshop = { setup: {}, air: [], pins: [], practice: [] };

/** Evenings and a Saturday morning, until the owner says otherwise. */
export const DEFAULT_HOURS: NonNullable<Setup['hours']> = [
  ...[1, 2, 3, 4, 5].map((day) => ({ day, from: '19:00', to: '21:00' })),
  { day: 6, from: '09:00', to: '13:00' },
];
export const DEFAULT_PLACES = { large: 3, small: 3 };
