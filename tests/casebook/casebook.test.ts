import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { z } from 'zod';
import { reportPlan } from '@/cli/reports/plan';
import { parseDossier } from '@/core/dossier';
import { DEFECTS, FINISHES, ROOMS, SUBSTRATES } from '@/core/knowledge';

/*
 * Pieces as a practitioner would judge them: what they would insist on, what they would never do, how many hours it takes
 * and how often it goes wrong at most. All common practice. A file is a case: anyone can add one.
 */

const FOLDER = __dirname;
const wantSchema = z.strictObject({
  op: z.string(),
  class: z.array(z.string()).optional(),
  grit: z.number().optional(),
  /** On this zone; on any where left out. */
  zone: z.string().optional(),
  /** As the only one of its kind on a zone. */
  only: z.boolean().optional(),
});
const insistSchema = z.union([
  wantSchema,
  z.strictObject({ first: z.string(), then: z.string() }),
  z.strictObject({ any: z.array(wantSchema) }),
]);
const caseSchema = z.strictObject({
  name: z.string(),
  basis: z.literal('practice'),
  why: z.string(),
  dossier: z.unknown(),
  insists: z.array(insistSchema),
  never: z.array(wantSchema),
  /** Hands-on hours, fewest and most. */
  hours: z.tuple([z.number(), z.number()]),
  chance_at_most: z.number(),
  /** What holds it back. */
  blocked: z.array(z.string()).optional(),
});
type Case = z.infer<typeof caseSchema>;
type Want = z.infer<typeof wantSchema>;

const cases = readdirSync(FOLDER)
  .filter((file) => file.endsWith('.json'))
  .map((file): Case => caseSchema.parse(JSON.parse(readFileSync(path.join(FOLDER, file), 'utf8'))));

const NOW = '2026-11-01T09:00:00Z';
type Steps = ReturnType<typeof reportPlan>['systems'][number]['zones'];

const isDone = (zones: Steps, { op, class: codes, grit, zone, only }: Want): boolean =>
  zones
    .filter(({ id }) => zone === undefined || id === zone)
    .some(({ steps }) => {
      const own = steps.filter((step) => step.op === op);
      const fits = own.filter(
        (step) =>
          (!codes || codes.includes(step.class ?? step.method ?? '')) && (grit === undefined || step.grit === grit),
      );
      return fits.length > 0 && (!only || fits.length === own.length);
    });

/** On every zone that has both, the first comes before the second. */
const isInOrder = (zones: Steps, first: string, then: string): boolean =>
  zones.some(({ steps }) => steps.some(({ op }) => op === first)) &&
  zones.every(({ steps }) => {
    const [a, b] = [steps.findIndex(({ op }) => op === first), steps.findIndex(({ op }) => op === then)];
    return a < 0 || b < 0 || a < b;
  });

describe('the casebook', () => {
  it.each(cases.map((own) => [own.name, own] as const))(
    '%s',
    (_name, { dossier, insists, never, hours, chance_at_most, blocked }) => {
      const read = parseDossier(JSON.stringify(dossier));
      expect(read).toMatchObject({ ok: true });
      if (!read.ok) return;
      const plan = reportPlan(read.value, NOW);
      for (const gate of blocked ?? []) expect(plan.blocked.map((own) => own.gate)).toContain(gate);
      const [best] = plan.systems;
      expect(best).toBeDefined();
      const missed = insists.filter((want) => {
        if ('first' in want) return !isInOrder(best!.zones, want.first, want.then);
        if ('any' in want) return !want.any.some((own) => isDone(best!.zones, own));
        return !isDone(best!.zones, want);
      });
      expect({ missed, done: never.filter((want) => isDone(best!.zones, want)) }).toEqual({ missed: [], done: [] });
      const took = best!.hands_on_min / 60;
      expect({ took, atLeast: took >= hours[0], atMost: took <= hours[1] }).toEqual({
        took,
        atLeast: true,
        atMost: true,
      });
      expect(best!.risk.overall).toBeLessThanOrEqual(chance_at_most);
    },
  );

  it('has every material, finish, room and fault at least once, in forty cases or more', () => {
    expect(cases.length).toBeGreaterThanOrEqual(40);
    const all = cases.map(
      ({ dossier }) =>
        dossier as {
          piece: { history?: { room?: string } };
          zones: { stated: { substrate: string; finish: string }; defects?: { code: string }[] }[];
        },
    );
    const zones = all.flatMap((own) => own.zones);
    const lacking = (codes: readonly string[], have: readonly (string | undefined)[]): string[] =>
      codes.filter((code) => !have.includes(code));
    expect({
      substrates: lacking(
        SUBSTRATES,
        zones.map(({ stated }) => stated.substrate),
      ),
      finishes: lacking(
        FINISHES,
        zones.map(({ stated }) => stated.finish),
      ),
      rooms: lacking(
        ROOMS,
        all.map(({ piece }) => piece.history?.room),
      ),
      faults: lacking(
        DEFECTS,
        zones.flatMap(({ defects = [] }) => defects.map(({ code }) => code)),
      ),
    }).toEqual({ substrates: [], finishes: [], rooms: [], faults: [] });
  });
});
