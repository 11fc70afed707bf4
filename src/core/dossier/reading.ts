import { z } from 'zod';
import { PATCH_LOOK_CODES, TEST_KIND_FACTS, type TestKind, type TestKindFact } from '../knowledge';

const ASTM_B_CLASSES = ['5B', '4B', '3B', '2B', '1B', '0B'] as const;
export const ASTM_A_CLASSES = ['5A', '4A', '3A', '2A', '1A', '0A'] as const;
/** Pencil hardness, softest first (ASTM D3363, ISO 15184). */
export const PENCIL_GRADES = ['6B', '5B', '4B', '3B', '2B', 'B', 'HB', 'F', 'H', '2H', '3H', '4H', '5H', '6H'] as const;
export const BLEED_MOMENTS = ['1h', 'overnight', 'after_clear', '48h', '7d'] as const;

const score = z.number().int().min(0).max(5);

/** What may stand in a reading. */
const FIELDS = {
  score,
  removed_pct: z.number().min(0).max(100),
  iso_class: score,
  astm_b: z.enum(ASTM_B_CLASSES),
  astm_a: z.enum(ASTM_A_CLASSES),
  double_rubs: z.number().int().min(0).max(10_000),
  grade: z.enum(PENCIL_GRADES),
  at: z.enum(BLEED_MOMENTS),
  de: z.number().min(0).max(200),
};

type Shape = Readonly<Record<string, z.ZodType>>;
/** By what is written down: each list names the fields of one accepted shape. */
const SHAPES: Record<TestKindFact['reads'], readonly Shape[]> = {
  score: [{ score: FIELDS.score }],
  lattice: [{ removed_pct: FIELDS.removed_pct }, { iso_class: FIELDS.iso_class }, { astm: FIELDS.astm_b }],
  x_cut: [{ astm: FIELDS.astm_a }],
  double_rubs: [{ double_rubs: FIELDS.double_rubs }],
  pencil: [{ grade: FIELDS.grade }],
  bleed: [
    { at: FIELDS.at, de_mean: FIELDS.de, de_worst: FIELDS.de },
    { at: FIELDS.at, score: FIELDS.score },
  ],
};

/** What may stand beside it: how sure a picture is, and how a patch of a clear finish looks. */
const BESIDE: Shape = {
  confidence: z.number().min(0).max(1),
  looks: z.array(z.enum(PATCH_LOOK_CODES)).max(PATCH_LOOK_CODES.length),
};

export interface ReadingProblem {
  path: string[];
  params: Record<string, string | number | readonly string[]>;
}

/** Null if the reading fits its kind of test; otherwise which field is wrong and what may stand there. */
export function readingProblem(kind: TestKind, reading: Record<string, unknown>): ReadingProblem | null {
  const shapes = SHAPES[TEST_KIND_FACTS[kind].reads];
  const shape = shapes.find((candidate) => Object.keys(candidate).every((field) => field in reading));
  if (!shape) {
    const allowed = shapes.map((candidate) => `{ ${Object.keys(candidate).join(', ')} }`);
    return { path: [], params: { problem: 'wrong_reading', kind, allowed } };
  }
  const beside = Object.fromEntries(Object.entries(BESIDE).filter(([field]) => field in reading));
  for (const [field, schema] of Object.entries({ ...shape, ...beside })) {
    if (schema.safeParse(reading[field]).success) continue;
    const wanted = listAllowed(schema) ?? rangeOf(schema);
    return { path: [field], params: { problem: 'wrong_reading', kind, ...wanted } };
  }
  return null;
}

function listAllowed(schema: z.ZodType): { allowed: string[] } | null {
  const single = schema instanceof z.ZodArray ? schema.element : schema;
  return single instanceof z.ZodEnum ? { allowed: single.options.map(String) } : null;
}

function rangeOf(schema: z.ZodType): { type: string; min: number; max: number } {
  const { minimum, maximum, type } = z.toJSONSchema(schema);
  return { type: String(type), min: Number(minimum), max: Number(maximum) };
}
