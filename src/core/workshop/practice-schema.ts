import { z } from 'zod';

export const EXERCISE_KINDS = ['surface', 'lattice', 'bleed', 'layer', 'wrong', 'system', 'soon'] as const;
export type ExerciseKind = (typeof EXERCISE_KINDS)[number];

export const CONFIDENCES = ['sure', 'fairly', 'guessing'] as const;
export type Confidence = (typeof CONFIDENCES)[number];

const code = z
  .string()
  .max(60)
  .regex(/^[\w/-]+$/);

/** One look within an exercise: which answer the picture showed, and which was read off it. */
const lookSchema = z.looseObject({ check: code, showed: code, said: code });

/** One exercise that was answered. */
export const practiceAnswerSchema = z.looseObject({
  id: z
    .string()
    .max(64)
    .regex(/^[\w-]+$/),
  at: z.iso.datetime({ offset: true }),
  kind: z.enum(EXERCISE_KINDS),
  /** What of the kind was practised, such as a mark or a class. */
  skill: code,
  seed: z.number().int().min(0),
  said: code,
  right: z.boolean(),
  confidence: z.enum(CONFIDENCES),
  looks: z.array(lookSchema).max(40).optional(),
});
export type PracticeAnswer = z.infer<typeof practiceAnswerSchema>;
export type PracticeLook = z.infer<typeof lookSchema>;
