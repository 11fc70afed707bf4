import { z } from 'zod';
import {
  acceptsClue,
  CAUSES,
  CHECK_CODES,
  CLUES,
  DEFECT_DETAILS,
  DEFECTS,
  ERAS,
  FINISHES,
  findCheck,
  findClue,
  GATES,
  GUNS,
  HANDS,
  INTERFACES,
  LEAD_KITS,
  NUMBER_CHECKS,
  OPERATIONS,
  PAINTS,
  PIECE_KINDS,
  PREPS,
  PRIMERS,
  PRODUCT_CLASSES,
  RECOVERY_ASKS,
  REMEDIES,
  ROLES,
  ROOMS,
  STRIPPINGS,
  SUBSTRATES,
  SYMPTOMS,
  TEST_KINDS,
  RENEWALS,
  TOPCOATS,
  type ClueCode,
} from '../knowledge';
import { findSharedId } from './ids';
import { LIMITS } from './limits';
import { goalSchema } from './goal-schema';
import { moneySchema } from './money-schema';
import { hex, idSchema, instant, percent, positive, share, text } from './primitives';
import { readingProblem } from './reading';

/*
 * `bricolage.dossier/1`: the piece on paper. This schema is its only definition. Objects are loose, so fields of
 * a later version or another program survive a round trip.
 */

const yesNoUnknown = z.enum(['yes', 'no', 'unknown']);

export const historySchema = z.looseObject({
  era: z.enum(ERAS).optional(),
  room: z.enum(ROOMS).optional(),
  painted_before: yesNoUnknown.optional(),
  bled_before: yesNoUnknown.optional(),
  flatpack_marks: yesNoUnknown.optional(),
});

const count = z.number().int().min(0).max(40).optional();
const pieceSchema = z.looseObject({
  id: idSchema.optional(),
  name: text(80).optional(),
  kind: z.enum(PIECE_KINDS),
  history: historySchema.optional(),
  region: z.string().max(40).optional(),
  size_mm: z.looseObject({ width: positive(10_000), depth: positive(10_000), height: positive(10_000) }).optional(),
  /** How many of these it has; what is not counted is as usual for its kind. */
  counts: z.looseObject({ drawers: count, doors: count, shelves: count, panels: count }).optional(),
  asking_price: z.number().min(0).max(1_000_000).optional(),
  /** An antique whose first surface is on may be worth more as it is. */
  value: z.enum(['ordinary', 'antique_first_surface']).optional(),
  /** Done with: out of the lists, with all it taught. */
  archived: z.boolean().optional(),
});

/** The answer of a check as a code; a class such as that of `cross_cut_old` may also be written as a number. */
export const resultOf = (observation: {
  result?: string | undefined;
  value?: number | undefined;
}): string | undefined =>
  observation.result ?? (observation.value === undefined ? undefined : String(observation.value));

export const observationSchema = z
  .looseObject({
    id: idSchema.optional(),
    check: z.enum(CHECK_CODES as [string, ...string[]]),
    result: z.string().optional(),
    value: z.number().optional(),
    at: instant.optional(),
    note: z.string().max(500).optional(),
    /** How sure the owner is: a doubtful answer counts for less, a confirmed one was made twice. */
    certainty: z.enum(['doubtful', 'confirmed']).optional(),
    /** Proposed by a photograph and taken by the owner: it is as good as such looks are. */
    by: z.enum(['camera']).optional(),
    /** Who read a number; what is simulated is marked, and counts for nothing. */
    source: z.enum(['owner', 'instrument', 'simulated']).optional(),
    /** What a photograph spoke for where the owner then answered by own eye: right or wrong, it tells how good such looks are. */
    proposed: z.string().optional(),
    /** What a lead test was made with. */
    kit: z.enum(LEAD_KITS).optional(),
  })
  .superRefine((observation, context) => {
    const number = NUMBER_CHECKS[observation.check];
    if (number) {
      if (observation.value === undefined) {
        context.addIssue({ code: 'invalid_type', expected: 'number', path: ['value'], input: observation.value });
      } else if (observation.value < number.min || observation.value > number.max) {
        const { min, max } = number;
        context.addIssue({ code: 'custom', path: ['value'], params: { problem: 'out_of_range', min, max } });
      }
      return;
    }
    const allowed = findCheck(observation.check)?.answers.map((answer) => answer.code) ?? [];
    const result = resultOf(observation);
    const path = [observation.result === undefined && observation.value !== undefined ? 'value' : 'result'];
    if (result === undefined) {
      context.addIssue({ code: 'invalid_type', expected: 'string', path, input: undefined });
    } else if (!allowed.includes(result)) {
      context.addIssue({ code: 'invalid_value', values: allowed, path, input: result });
    }
    if (observation.proposed !== undefined && !allowed.includes(observation.proposed)) {
      context.addIssue({ code: 'invalid_value', values: allowed, path: ['proposed'], input: observation.proposed });
    }
  });

export const defectSchema = z.looseObject({
  id: idSchema.optional(),
  code: z.enum(DEFECTS),
  extent: z.enum(['spot', 'area', 'all']).optional(),
  count: z.number().int().min(1).max(999).optional(),
  /** The answer to its one question: how deep, alive or old, covered by the new handle. */
  detail: z.enum(DEFECT_DETAILS as [string, ...string[]]).optional(),
  /** Where on the drawing of the piece, as shares of its width and height from the top left. */
  place: z.looseObject({ x: share, y: share }).optional(),
  photo: idSchema.optional(),
  note: z.string().max(500).optional(),
});

/** A picture kept beside the records under the hash of its bytes. */
export const photoSchema = z.looseObject({
  id: idSchema,
  zone: idSchema.optional(),
  sha256: z.string().regex(/^[0-9a-f]{64}$/),
  width: z.number().int().min(1).max(20_000),
  height: z.number().int().min(1).max(20_000),
  at: instant.optional(),
});

export const zoneSchema = z.looseObject({
  id: idSchema,
  name: text(60).optional(),
  role: z.enum(ROLES),
  area_m2: positive(100).optional(),
  orientation: z.enum(['horizontal', 'vertical']).optional(),
  wear: z.enum(['low', 'medium', 'high']).optional(),
  wet: z.boolean().optional(),
  /** It stands over a radiator or by a stove. */
  heat: z.boolean().optional(),
  moulded: z.boolean().optional(),
  /** How many parts it is of, where no drawing tells: sixteen doors. */
  count: count.optional(),
  /** Shapes of the kind's drawing that are this zone; left out, those of the zone with the same id in the template. */
  parts: z.array(z.string().max(64)).max(200).optional(),
  /** This zone is read like that one: its answers count here unless the zone has its own to the same check. */
  like: idSchema.optional(),
  stated: z.looseObject({ substrate: z.enum(SUBSTRATES).optional(), finish: z.enum(FINISHES).optional() }).optional(),
  observations: z.array(observationSchema).max(LIMITS.observations).optional(),
  /** Checks the owner could not answer; they are not asked again. */
  skipped_checks: z
    .array(z.enum(CHECK_CODES as [string, ...string[]]))
    .max(LIMITS.skipped_checks)
    .optional(),
  defects: z.array(defectSchema).max(LIMITS.defects).optional(),
});

/** What the owner may set on a zone directly; readings have changes of their own. */
export const zoneFactsSchema = zoneSchema.omit({ id: true, observations: true, skipped_checks: true, defects: true });
export const pieceFactsSchema = pieceSchema.omit({ id: true });

export const treatmentSchema = z.looseObject({
  prep: z.enum(PREPS).optional(),
  primer: z.enum([...PRIMERS, 'none']).optional(),
  coats: z.number().int().min(0).max(10).optional(),
  paint: z.enum(PAINTS).optional(),
  paint_coats: z.number().int().min(0).max(10).optional(),
  clear: z.enum(TOPCOATS).optional(),
  dft_um: positive(2000).optional(),
  /** The owner's own tin of the primer, by its id on the shelf. */
  product: z.string().max(64).optional(),
});

/** A reading as it was before it was corrected. */
const earlierReadingSchema = z.looseObject({
  reading: z.looseObject({}),
  age_h: z.number().min(0).optional(),
  interface: z.enum(INTERFACES).optional(),
  at: instant.optional(),
});

export const testSchema = z
  .looseObject({
    id: idSchema.optional(),
    zone: idSchema,
    /** The strip of a panel it was read on. */
    panel: idSchema.optional(),
    strip: text(8).optional(),
    /** The picture it was read from. */
    photo: idSchema.optional(),
    earlier: z.array(earlierReadingSchema).max(50).optional(),
    kind: z.enum(TEST_KINDS),
    treatment: treatmentSchema.optional(),
    age_h: z.number().min(0).max(100_000).optional(),
    reading: z.looseObject({}),
    interface: z.enum(INTERFACES).optional(),
    at: instant.optional(),
    note: z.string().max(500).optional(),
  })
  .superRefine((test, context) => {
    const problem = readingProblem(test.kind, test.reading);
    if (problem) context.addIssue({ code: 'custom', path: ['reading', ...problem.path], params: problem.params });
  });

/** A strip of a panel: one treatment, and where it lies, in mm from the corner that is marked. */
export const stripSchema = z.looseObject({
  code: text(8),
  treatment: treatmentSchema,
  control: z.boolean(),
  replicate: z.number().int().min(1).max(20),
  x_mm: z.number().min(0).max(10_000),
  y_mm: z.number().min(0).max(10_000),
  width_mm: positive(10_000),
  height_mm: positive(10_000),
});

/** Test strips on one zone, with the seed their order was drawn by and when the first coat went on. */
export const panelSchema = z
  .looseObject({
    id: idSchema,
    zone: idSchema,
    at: instant.optional(),
    seed: z.number().int().min(0).max(4_294_967_295),
    width_mm: positive(10_000),
    height_mm: positive(10_000),
    kinds: z.array(z.enum(TEST_KINDS)).max(TEST_KINDS.length),
    strips: z.array(stripSchema).min(1).max(60),
    coated_at: instant.optional(),
  })
  .superRefine(({ strips }, context) => {
    strips.forEach(({ code }, i) => {
      if (strips.findIndex((other) => other.code === code) === i) return;
      context.addIssue({ code: 'custom', path: ['strips', i, 'code'], params: { problem: 'duplicate_id', id: code } });
    });
  });

/** How a piece fared after it was handed over; without a zone it is said of the whole piece. */
export const outcomeSchema = z.looseObject({
  id: idSchema,
  zone: idSchema.optional(),
  outcome: z.enum(['fine', 'came_back']),
  mode: z.enum(['adhesion', 'bleed']).optional(),
  at: instant.optional(),
  note: z.string().max(500).optional(),
});

/** How a zone fared that something was wrong with: what was seen, and what came of it. */
export const troubleSchema = z
  .looseObject({
    id: idSchema,
    zone: idSchema,
    symptom: z.enum(SYMPTOMS as [(typeof SYMPTOMS)[number], ...(typeof SYMPTOMS)[number][]]),
    seen_at: z.union([instant, z.iso.date()]).optional(),
    note: z.string().max(500).optional(),
    /** What was told of how it looks, by the clues of its symptom. */
    clues: z.looseObject({}).optional(),
    /**
     * What was believed of it when a way out was taken or it was left: the causes, and the treatment that failed with the
     * chance that it is to blame itself, and not how it was done.
     */
    found: z
      .looseObject({
        causes: z.array(z.looseObject({ code: z.enum(CAUSES), p: share })).max(20),
        blames: z
          .looseObject({
            mode: z.enum(['adhesion', 'bleed']),
            prep: z.enum(PREPS),
            primer: z.enum([...PRIMERS, 'none']),
            clear: z.enum(TOPCOATS).exclude(['none']).optional(),
            p: share,
          })
          .optional(),
      })
      .optional(),
    /** How it ended, where no recovery was taken, or once one held. */
    settled: z
      .looseObject({ how: z.enum(['live_with', 'as_it_is', 'mended', 'came_back']), at: instant.optional() })
      .optional(),
  })
  .superRefine(({ symptom, clues = {} }, context) => {
    for (const [clue, answer] of Object.entries(clues)) {
      const path = ['clues', clue];
      // A clue of a later version is kept; one of another symptom says nothing here.
      if (!(CLUES as readonly string[]).includes(clue)) continue;
      if (!acceptsClue(symptom, clue as ClueCode)) {
        const params = { problem: 'unknown_clue', clue, allowed: CLUES.filter((own) => acceptsClue(symptom, own)) };
        context.addIssue({ code: 'custom', path, params });
        continue;
      }
      const { number, answers } = findClue(clue as ClueCode);
      if (number) {
        if (typeof answer !== 'number')
          context.addIssue({ code: 'invalid_type', expected: 'number', path, input: answer });
        else if (!(answer >= 0 && answer <= number.max))
          context.addIssue({ code: 'custom', path, params: { problem: 'out_of_range', min: 0, max: number.max } });
      } else if (typeof answer !== 'string' || !answers.includes(answer))
        context.addIssue({ code: 'invalid_value', values: [...answers], path, input: answer });
    }
  });

/** What the shop has seen of one treatment on one surface, in patches that held and that failed. */
export const experienceSchema = z.looseObject({
  mode: z.enum(['adhesion', 'bleed']),
  substrate: z.enum(SUBSTRATES),
  finish: z.enum(FINISHES),
  prep: z.enum(PREPS),
  primer: z.enum([...PRIMERS, 'none']),
  /** The clear finish that was tested, where the wood is shown. */
  clear: z.enum(TOPCOATS).exclude(['none']).optional(),
  product: z.string().max(64).optional(),
  held: z.number().min(0).max(1_000_000),
  failed: z.number().min(0).max(1_000_000),
  tests: z.number().int().min(0).max(1_000_000),
  tests_held: z.number().int().min(0).max(1_000_000),
});

/** Paint taken out of a tin for one tap of the work, and on which day. */
export const drawingSchema = z.looseObject({
  work: idSchema,
  ml: z.number().min(0).max(1_000_000),
  on: z.iso.date().optional(),
});

export const shelfItemSchema = z.looseObject({
  id: idSchema,
  name: text(80).optional(),
  class: z.enum(PRODUCT_CLASSES as unknown as [string, ...string[]]),
  volume_ml: z.number().min(0).max(1_000_000).optional(),
  price: z.number().min(0).max(100_000).optional(),
  recoat_h: z.number().min(0).max(1000).optional(),
  /** Until then the next coat may come without dulling, and from then on it may again, hours. */
  recoat_until_h: z.number().min(0).max(10_000).optional(),
  window_opens_again_h: z.number().min(0).max(10_000).optional(),
  max_thinning_pct: percent.optional(),
  solids_pct: percent.optional(),
  coverage_m2_l: positive(100).optional(),
  /** Content of the full tin; what is left is `volume_ml`. */
  size_ml: positive(1_000_000).optional(),
  cure_days: z.number().min(0).max(365).optional(),
  full_hardness_h: z.number().min(0).max(10_000).optional(),
  pot_life_h: positive(1000).optional(),
  thinner: z.enum(['water', 'alcohol', 'white_spirit', 'none']).optional(),
  opened_on: z.iso.date().optional(),
  /** What it dries to, and how strongly it tints others beside white of its kind: 1 where it was never tried. */
  colour: hex.optional(),
  strength: positive(100).optional(),
  /** How well one coat of it hides over black and white, from a draw-down card of the owner's own. */
  contrast_ratio: z.number().min(0.05).max(1).optional(),
  /** How it was sprayed when it went on well: the gun, seconds through a DIN 4 mm cup, nozzle and air. */
  spray: z
    .looseObject({
      gun: z.enum(GUNS).optional(),
      cup_s: z.number().min(5).max(300).optional(),
      nozzle_mm: z.number().min(0.5).max(4).optional(),
      air_bar: z.number().min(0.1).max(10).optional(),
    })
    .optional(),
  /** What was drawn off since `volume_ml` was measured, each with the tap of the work it was for. */
  drawn: z.array(drawingSchema).max(LIMITS.drawn).optional(),
});

/** What was done to one zone. A tap that was about several zones makes an entry for each, with one `work`. */
const logFactsSchema = z.looseObject({
  at: instant.optional(),
  zone: idSchema,
  op: z.enum(OPERATIONS),
  class: z.string().max(60).optional(),
  product: z.string().max(64).optional(),
  /** Only these parts of the zone, by their names on the drawing. */
  parts: z.array(z.string().max(64)).max(200).optional(),
  /** What was painted dries to. */
  colour: hex.optional(),
  coats: z.number().min(0).max(20).optional(),
  thinned_pct: percent.optional(),
  /** Of the paper or pad it was dulled with. */
  grit: z.number().int().min(1).max(10_000).optional(),
  /** The job of the plan it did, by its key; or the one it was done instead of, where it was done otherwise. */
  task: z.string().max(120).optional(),
  instead_of: z.string().max(120).optional(),
  /** Done besides the plan: it stands for none of its jobs. */
  extra: z.boolean().optional(),
  started_at: instant.optional(),
  /** When it was written down, where that was not when it was done. */
  logged_at: instant.optional(),
  /** Hands-on minutes on this zone, and what the class table foresees for them. */
  minutes: z.number().min(0).max(10_000).optional(),
  /** Nobody timed it: the minutes are those that were planned. */
  minutes_estimated: z.boolean().optional(),
  foreseen_min: z.number().min(0).max(10_000).optional(),
  ml: z.number().min(0).max(100_000).optional(),
  temperature_c: z.number().min(-40).max(60).optional(),
  humidity_pct: percent.optional(),
  surface_c: z.number().min(-40).max(60).optional(),
  method: z.enum(STRIPPINGS).optional(),
  /** Left out on purpose: it counts as over, not as done. */
  skipped: z.boolean().optional(),
  note: z.string().max(500).optional(),
  /** Cautions that were shown before it. */
  cautions: z.array(z.string().max(40)).max(20).optional(),
});
export const logEntrySchema = z.looseObject({
  ...logFactsSchema.shape,
  id: idSchema.optional(),
  work: idSchema.optional(),
  /** As it stood before it was put right, oldest first. */
  earlier: z.array(logFactsSchema).max(50).optional(),
});

/** A door, drawer or shelf that comes off, and where it is just now. */
export const partSchema = z.looseObject({
  id: idSchema,
  zone: idSchema,
  label: text(8),
  place: text(80),
  up: text(80).optional(),
  state: z.enum(['on', 'off', 'refitted']),
  at: instant.optional(),
});

/** Handles old and new of one zone: how their holes lie, mm. */
export const hardwareSchema = z.looseObject({
  zone: idSchema,
  old: z.looseObject({ holes: z.union([z.literal(1), z.literal(2)]), spacing_mm: positive(1000).optional() }),
  next: z.looseObject({
    holes: z.union([z.literal(1), z.literal(2)]),
    spacing_mm: positive(1000).optional(),
    /** Length and height of a plate or foot that would lie over the old holes. */
    plate_mm: z.looseObject({ length: positive(1000), height: positive(1000) }).optional(),
  }),
  front_mm: z.looseObject({ width: positive(5000), height: positive(5000) }).optional(),
});

/** Something mixed for this piece: thinned, of two parts, or a colour. Amounts by volume. */
export const mixSchema = z.looseObject({
  id: idSchema,
  kind: z.enum(['thinned', 'two_part', 'colour']),
  name: text(80),
  class: z.string().max(60).optional(),
  product: z.string().max(64).optional(),
  parts: z
    .array(
      z.looseObject({
        name: text(60),
        parts: positive(10_000),
        /** The tin it is, and what it was then: a mix can be told and corrected without its tins. */
        tin: idSchema.optional(),
        colour: hex.optional(),
        strength: positive(100).optional(),
      }),
    )
    .min(1)
    .max(12),
  volume_ml: positive(100_000),
  mixed_at: instant.optional(),
  pot_life_h: positive(1000).optional(),
  /** What a shop matched it by. */
  match_code: z.string().max(60).optional(),
  colour: hex.optional(),
  /** The colour it was to meet, and what its trials came out as, oldest first. */
  target: hex.optional(),
  trials: z
    .array(z.looseObject({ colour: hex, at: instant.optional() }))
    .max(20)
    .optional(),
  /** The mix it was made after, on this piece or another: all of one recipe name the first. */
  recipe: idSchema.optional(),
  photo: idSchema.optional(),
  note: z.string().max(500).optional(),
});

/** A step of a plan as it was when it was taken; see `plan` in the formats. */
export const stepSchema = z.looseObject({
  op: z.enum(OPERATIONS),
  /** What it is called: a code, and the words it was taken with. */
  name: z.string().max(40).optional(),
  label: text(120),
  class: z.string().max(60).optional(),
  grit: z.number().int().min(1).max(10_000).optional(),
  tests: z.array(z.string().max(40)).max(20).optional(),
  coats: z.number().int().min(1).max(20).optional(),
  ml: z.number().min(0).max(100_000).optional(),
  /** What it dries to, of a coat of paint. */
  colour: hex.optional(),
  /** The rule of the hand that it is there by, and what zones it is kept off. */
  hand: z.enum(HANDS).optional(),
  meets: z.array(idSchema).max(LIMITS.zones).optional(),
  /** Hours after the coat before it that it may start, where that is later than the next coat might. */
  after_h: z.number().min(0).max(1000).optional(),
  /** Days until what is on it has cured. */
  cure_days: z.number().min(0).max(365).optional(),
  product: z.string().max(64).optional(),
  /** The repair it is, and what it takes where no class names it. */
  repair: z.string().max(40).optional(),
  material: z.string().max(80).optional(),
  tint: z.string().max(20).optional(),
  recoat_h: z.number().min(0).max(10_000).optional(),
  /** Hands-on minutes of this zone, and those of a sitting that zones which are worked on together share. */
  minutes: z.number().min(0).max(10_000),
  once_min: z.number().min(0).max(1000).optional(),
  /** Done between the coats of the step before it. */
  between: z.boolean().optional(),
  wait_h: z.number().min(0).max(10_000),
  /** How an old coat is got off. */
  method: z.enum(STRIPPINGS).optional(),
  why: z.string().max(1000),
  stage: z.number().int().min(0).max(99),
});

export const overrideSchema = z.looseObject({
  id: idSchema.optional(),
  zone: idSchema,
  gate: z.enum(GATES),
  reason: text(500),
  at: instant.optional(),
});

/** What is seen to before a piece leaves, each with when; and what is said of it to whoever takes it. */
export const handoverSchema = z.looseObject({
  ready: z.record(z.string().max(40), instant).optional(),
  /** What the jar for touching up is called on its label. */
  touch_up: text(120).optional(),
  /** Flaws that stay, told honestly. */
  flaws: text(500).optional(),
});

/** The layers of a system on one zone, from the prepared ground up. */
export const stackSchema = z.looseObject({
  prep: z.enum(PREPS),
  primers: z.array(z.looseObject({ code: z.enum(PRIMERS), coats: z.number().int().min(1).max(10) })).max(4),
  paint: z.enum(PAINTS).nullable(),
  paint_coats: z.number().int().min(0).max(10),
  /** Colours of the paint: of the zone, and of what is set apart on it. */
  colour: hex.optional(),
  second_colour: hex.optional(),
  topcoat: z.enum(TOPCOATS),
  /** The old clear coat was kept: waxed over, or melted into itself. */
  renewed: z.enum(RENEWALS).optional(),
});

/**
 * Where the work on a zone took up again after something failed: what is gone over or taken off, what the new layers have
 * to do about it, and what it was to cost then. Work and tests before `at` are of the coats that failed.
 */
export const recoverySchema = z.looseObject({
  trouble: idSchema,
  remedy: z.enum(REMEDIES),
  at: instant,
  /** The coat that stays and is gone over; none where it is taken off. */
  over: z.enum(FINISHES).optional(),
  /** The part of the face that is worked on, and how long it rests first. */
  share: share.optional(),
  rest_h: z.number().min(0).max(10_000).optional(),
  /** Chance that colour comes through what lies there. */
  bleeds: share.optional(),
  asks: z.array(z.enum(RECOVERY_ASKS)).max(RECOVERY_ASKS.length).optional(),
  /** The treatments that failed here, and primers that are no longer trusted on this ground. */
  failed: z
    .array(z.looseObject({ prep: z.enum(PREPS), primer: z.enum([...PRIMERS, 'none']) }))
    .max(20)
    .optional(),
  distrusted: z
    .array(z.enum([...PRIMERS, 'none']))
    .max(PRIMERS.length + 1)
    .optional(),
  leaves: z.enum(DEFECTS).optional(),
  /** Chance that the causes of what failed are gone after it. */
  cured: share.optional(),
  figures: z
    .looseObject({
      holds: share,
      hands_on_min: z.number().min(0),
      elapsed_h: z.number().min(0),
      materials_cost: z.number().min(0),
    })
    .optional(),
});

/**
 * The system the owner took, as it was then: the treatment of each zone (what the gate asks tests about), its layers,
 * its figures and what it took for granted. Never changed afterwards; another taken later is a version of its own.
 */
export const choiceSchema = z.looseObject({
  system: z.string().max(64).optional(),
  at: instant.optional(),
  zones: z
    .array(
      z.looseObject({
        id: idSchema,
        treatment: treatmentSchema,
        stack: stackSchema.optional(),
        /** The work as it was planned then. */
        steps: z.array(stepSchema).max(120).optional(),
        recovery: recoverySchema.optional(),
      }),
    )
    .max(LIMITS.zones),
  figures: z
    .looseObject({
      risk: share,
      hands_on_min: z.number().min(0),
      elapsed_h: z.number().min(0),
      materials_cost: z.number().min(0),
      expected_cost: z.number().min(0),
      fumes: z.enum(['low', 'mist', 'solvent', 'two_part']),
    })
    .optional(),
  assumes: z.array(z.string().max(500)).max(100).optional(),
});

export const climateSchema = z.looseObject({ temperature_c: z.number().min(-40).max(60), humidity_pct: percent });

/** A zone that was taken away, with everything it had, so that it can come back. */
export const removedZoneSchema = z.looseObject({
  zone: zoneSchema,
  /** Zones that were read like it. */
  followers: z.array(idSchema).max(LIMITS.zones).optional(),
  tests: z.array(testSchema).max(LIMITS.tests).optional(),
  panels: z.array(panelSchema).max(LIMITS.panels).optional(),
  outcomes: z.array(outcomeSchema).max(LIMITS.outcomes).optional(),
  overrides: z.array(overrideSchema).max(LIMITS.overrides).optional(),
  troubles: z.array(troubleSchema).max(LIMITS.troubles).optional(),
  log: z.array(logEntrySchema).max(LIMITS.log).optional(),
  parts: z.array(partSchema).max(LIMITS.parts).optional(),
  hardware: z.array(hardwareSchema).max(LIMITS.hardware).optional(),
});

export const DOSSIER_FORMAT = 'bricolage.dossier/1';

export const dossierSchema = z
  .looseObject({
    format: z.literal(DOSSIER_FORMAT),
    piece: pieceSchema,
    zones: z.array(zoneSchema).max(LIMITS.zones).optional(),
    goal: goalSchema.optional(),
    climate: climateSchema.optional(),
    money: moneySchema.optional(),
    shelf: z.array(shelfItemSchema).max(LIMITS.shelf).optional(),
    chosen: choiceSchema.optional(),
    /** Systems taken before, oldest first. */
    earlier_choices: z.array(choiceSchema).max(LIMITS.earlier_choices).optional(),
    tests: z.array(testSchema).max(LIMITS.tests).optional(),
    panels: z.array(panelSchema).max(LIMITS.panels).optional(),
    outcomes: z.array(outcomeSchema).max(LIMITS.outcomes).optional(),
    /** What went wrong with it. */
    troubles: z.array(troubleSchema).max(LIMITS.troubles).optional(),
    /** What the shop's other pieces have taught, laid beside this one. */
    experience: z.array(experienceSchema).max(LIMITS.experience).optional(),
    /**
     * How often each check is misread in this shop, 0–1, in place of the general rate; by a photograph under `camera:` and
     * the check. Laid beside the piece as well.
     */
    misreadings: z.record(z.string().max(60), z.number().min(0.01).max(0.5)).optional(),
    log: z.array(logEntrySchema).max(LIMITS.log).optional(),
    parts: z.array(partSchema).max(LIMITS.parts).optional(),
    hardware: z.array(hardwareSchema).max(LIMITS.hardware).optional(),
    handover: handoverSchema.optional(),
    mixes: z.array(mixSchema).max(LIMITS.mixes).optional(),
    overrides: z.array(overrideSchema).max(LIMITS.overrides).optional(),
    photos: z.array(photoSchema).max(LIMITS.photos).optional(),
    removed_zones: z.array(removedZoneSchema).max(LIMITS.removed_zones).optional(),
  })
  .superRefine((dossier, context) => {
    const clash = findSharedId(dossier as Dossier);
    if (clash)
      context.addIssue({ code: 'custom', path: [clash.path], params: { problem: clash.code, ...clash.params } });
    const zoneIds = new Set((dossier.zones ?? []).map(({ id }) => id));
    const known = [...zoneIds];
    (dossier.zones ?? []).forEach((zone, i) => {
      if (zone.like === undefined || (zone.like !== zone.id && zoneIds.has(zone.like))) return;
      const params = { problem: 'unknown_zone', zone: zone.like, allowed: known.filter((id) => id !== zone.id) };
      context.addIssue({ code: 'custom', path: ['zones', i, 'like'], params });
    });
    for (const list of ['tests', 'log', 'overrides', 'panels', 'outcomes', 'troubles', 'parts', 'hardware'] as const) {
      (dossier[list] ?? []).forEach((entry, i) => {
        if (entry.zone === undefined || zoneIds.has(entry.zone)) return;
        const params = { problem: 'unknown_zone', zone: entry.zone, allowed: known };
        context.addIssue({ code: 'custom', path: [list, i, 'zone'], params });
      });
    }
  });

export type Dossier = z.infer<typeof dossierSchema>;
export type Piece = z.infer<typeof pieceSchema>;
export type History = z.infer<typeof historySchema>;
export type Zone = z.infer<typeof zoneSchema>;
export type RemovedZone = z.infer<typeof removedZoneSchema>;
export type ZoneFacts = z.infer<typeof zoneFactsSchema>;
export type PieceFacts = z.infer<typeof pieceFactsSchema>;
export type Observation = z.infer<typeof observationSchema>;
export type Defect = z.infer<typeof defectSchema>;
export type Treatment = z.infer<typeof treatmentSchema>;
export type Test = z.infer<typeof testSchema>;
export type Panel = z.infer<typeof panelSchema>;
export type Strip = z.infer<typeof stripSchema>;
export type Outcome = z.infer<typeof outcomeSchema>;
export type Trouble = z.infer<typeof troubleSchema>;
export type Recovery = z.infer<typeof recoverySchema>;
export type Experience = z.infer<typeof experienceSchema>;
export type LogEntry = z.infer<typeof logEntrySchema>;
export type Part = z.infer<typeof partSchema>;
export type Hardware = z.infer<typeof hardwareSchema>;
export type Mix = z.infer<typeof mixSchema>;
export type PlannedStep = z.infer<typeof stepSchema>;
export type Override = z.infer<typeof overrideSchema>;
export type Climate = z.infer<typeof climateSchema>;
export type MoneyFacts = NonNullable<Dossier['money']>;
export type Handover = NonNullable<Dossier['handover']>;
export type Photo = z.infer<typeof photoSchema>;
export type Choice = z.infer<typeof choiceSchema>;
export type Stack = z.infer<typeof stackSchema>;
export type Drawing = z.infer<typeof drawingSchema>;
export type ShelfItem = z.infer<typeof shelfItemSchema>;
