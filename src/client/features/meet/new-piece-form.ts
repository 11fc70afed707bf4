import { z } from 'zod';
import type { Gauge } from '@/client/store';
import { DOSSIER_FORMAT, historySchema, startWishes, type Dossier } from '@/core/dossier';
import { PIECE_KINDS, type PieceKind } from '@/core/knowledge';
import { readNumber } from '@/core/shared';
import { buildTemplate, KIND_TEMPLATES } from '@/core/templates';

export const MOST_SIDE_MM = 10_000;
/** A side as it is typed in the owner's unit; millimetres come out. */
const makeSide = ({ read, say, unit }: Gauge) =>
  z
    .string()
    .transform((text) => read(text) ?? NaN)
    .pipe(
      z
        .number({ error: `Write a number, in ${unit}.` })
        .positive(`More than 0 ${unit}.`)
        .max(MOST_SIDE_MM, `At most ${say(MOST_SIDE_MM)}.`),
    );

/** What is asked of a new piece; `gauge` reads its sides. */
export const makeSchema = (gauge: Gauge) =>
  z.object({
    kind: z.enum(PIECE_KINDS),
    name: z.string().trim().min(1, 'Give it a name you will know it by.').max(80, 'At most 80 characters.'),
    width: makeSide(gauge),
    depth: makeSide(gauge),
    height: makeSide(gauge),
    price: z
      .string()
      .transform((text) => (text.trim() === '' ? undefined : (readNumber(text) ?? NaN)))
      .pipe(
        z
          .number({ error: 'Write an amount, or leave it empty.' })
          .min(0, 'Not less than nothing.')
          .max(1_000_000, 'At most 1 000 000.')
          .optional(),
      ),
    region: z.string(),
    history: historySchema,
  });
export type FormInput = z.input<ReturnType<typeof makeSchema>>;

/** Where a kind starts: its name and its usual size. */
export function startValues(kind: PieceKind, { write }: Gauge): FormInput {
  const { label, size } = KIND_TEMPLATES[kind];
  return {
    kind,
    name: label,
    width: write(size.width),
    depth: write(size.depth),
    height: write(size.height),
    price: '',
    region: '',
    history: {},
  };
}

/** The piece as it is met: zones and wishes by its kind and size. */
export function makeDossier(
  id: string,
  { kind, name, width, depth, height, price, region, history }: z.output<ReturnType<typeof makeSchema>>,
): Dossier {
  const size_mm = { width, depth, height };
  const { zones } = buildTemplate(kind, size_mm);
  return {
    format: DOSSIER_FORMAT,
    piece: {
      id,
      kind,
      name,
      size_mm,
      history,
      ...(region === '' ? {} : { region }),
      ...(price === undefined ? {} : { asking_price: price }),
    },
    zones,
    goal: startWishes(zones),
  };
}
