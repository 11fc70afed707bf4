import fc from 'fast-check';
import { wishOf, type Dossier } from '@/core/dossier';
import { assessZone } from '@/core/survey';
import { reportPlan } from '@/cli/reports/plan';
import { planPiece } from '@/core/systems';
import { auditPiece } from '@/core/trouble';
import { listTasks } from '@/core/work';
import { FIT, followPlan, takeSystem } from './follow-plan';
import { anyTwoTone, SEED } from './random-dossiers';
import { findBreaches } from './rule-walker';
import { share } from './share';
import { surround } from './surround';

const NOW = '2026-05-01T08:00:00Z';

/** Hours before tape may lie on a paint, written out again (common practice: a day, two for oil, three for wall paint). */
const TAPE_H: Record<string, number> = { latex_wall_paint: 72, oil_enamel: 48, aerosol_enamel: 48 };

type Steps = ReturnType<typeof reportPlan>['systems'][number]['zones'][number]['steps'];

/** What the colours of a zone ask for that its steps do not keep, in words. */
function findColourBreaches(piece: Dossier, id: string, steps: Steps): string[] {
  const zone = piece.zones!.find((own) => own.id === id)!;
  const { colour, second, paint } = wishOf(piece, zone);
  const coats = steps.filter(({ op }) => op === 'paint');
  const breaches: string[] = [];
  const expectThat = (kept: boolean, rule: string): void => void (kept || breaches.push(rule));
  expectThat(coats[0]?.colour === colour, 'the first paint is of the colour of the zone');
  if (paint)
    expectThat(
      coats.every((own) => own.class === paint),
      'the paint that was asked for',
    );
  expectThat(new Set(coats.map((own) => own.class)).size === 1, 'one paint on one zone');
  const taped = steps.findIndex(({ hand }) => hand === 'tape_second');
  if (coats.length > 1) {
    expectThat(coats[1]!.colour === second?.colour, 'the second colour that was asked for');
    if (second!.lies !== 'far_side') {
      expectThat(taped > steps.indexOf(coats[0]!) && taped < steps.indexOf(coats[1]!), 'taped between the two');
      expectThat((steps[taped]?.after_h ?? 0) >= (TAPE_H[coats[0]!.class!] ?? 24), 'tape on what has had its time');
      expectThat(
        steps.slice(steps.indexOf(coats[1]!) + 1).find(({ between }) => !between)?.hand === 'pull_tape',
        'pulled after the last coat',
      );
    }
  } else expectThat(taped < 0, 'no tape without a second colour');
  const line = steps.find(({ hand }) => hand === 'tape_line');
  if (line) expectThat(steps.indexOf(line) < steps.indexOf(coats[0]!), 'the line is taped before the paint');
  return breaches;
}

describe('a thousand pieces in several colours', () => {
  it('are planned within every rule, and each colour is bought', () => {
    const seen = { walked: 0, second: 0, classes: 0, hues: 0, lines: 0 };
    fc.assert(
      fc.property(anyTwoTone, (piece) => {
        const { systems } = reportPlan(piece, NOW);
        const diagnoses = systems.length > 0 ? piece.zones!.map((zone) => assessZone(piece, zone)) : [];
        for (const system of systems) {
          const bought = system.supplies.flatMap((own) => own.colour ?? []);
          const paints = new Set<string>();
          system.zones.forEach(({ id, steps }, z) => {
            seen.walked += 1;
            const coats = steps.filter(({ op }) => op === 'paint');
            if (coats.length > 1) seen.second += 1;
            if (steps.some(({ hand }) => hand === 'tape_line')) seen.lines += 1;
            coats.forEach((own) => paints.add(own.class!));
            expect(findColourBreaches(piece, id, steps)).toEqual([]);
            expect(findBreaches(JSON.parse(JSON.stringify(steps)), surround(piece, diagnoses[z]!, z))).toEqual([]);
            for (const { colour } of coats) expect(bought).toContain(colour);
          });
          // Zones that ask for nothing else share one paint.
          const asked = new Set(piece.zones!.map((zone) => wishOf(piece, zone).paint ?? ''));
          expect(paints.size).toBeLessThanOrEqual(asked.size);
          if (paints.size > 1) seen.classes += 1;
          if (new Set(bought).size > 1) seen.hues += 1;
        }
      }),
      { seed: SEED, numRuns: share(1000), endOnFailure: true },
    );
    expect(seen.walked).toBeGreaterThan(share(1000));
    expect(seen.second).toBeGreaterThan(share(400));
    expect(seen.classes).toBeGreaterThan(share(100));
    expect(seen.hues).toBeGreaterThan(share(300));
    expect(seen.lines).toBeGreaterThan(share(40));
  }, 240_000);

  it('draw no finding where the plan is followed to the letter, and nothing is left open', () => {
    let [followed, second] = [0, 0];
    fc.assert(
      fc.property(anyTwoTone, (piece) => {
        const [system] = planPiece(piece).systems;
        if (!system) return;
        const worked = followPlan(takeSystem(piece, system));
        followed += 1;
        if (worked.log!.some(({ task }) => task?.includes('pull_tape'))) second += 1;
        expect(auditPiece(worked)).toEqual([]);
        const open = listTasks(worked, worked.shelf ?? [], FIT).filter(({ state }) => state === 'open');
        expect(open.map(({ key }) => key)).toEqual([]);
      }),
      { seed: SEED + 1, numRuns: share(200), endOnFailure: true },
    );
    expect(followed).toBeGreaterThan(share(40));
    expect(second).toBeGreaterThan(share(15));
  }, 240_000);
});
