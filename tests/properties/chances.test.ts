/** @jest-environment node */
import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { reportPlan } from '@/cli/reports/plan';
import { describePlan } from '@/cli/text';
import type { Dossier } from '@/core/dossier';
import { judgeDoor } from '@/core/price';
import { listSurfaces } from '@/core/price/surfaces';
import { freezeSystem, planPiece } from '@/core/systems';
import { describeChance, formatChance, PHRASES } from '@/words';

/* One chance: the same system shows the same figure wherever it is told, with one figure first. */

const NOW = '2026-11-28T09:12:00.000Z';
const folder = path.resolve('demo/dossiers');
const pieces = readdirSync(folder)
  .map((name) => JSON.parse(readFileSync(path.join(folder, name), 'utf8')) as Dossier)
  .map((dossier) => [dossier.piece.name ?? dossier.piece.kind, dossier] as const)
  .filter(([, dossier]) => !dossier.money?.sold && planPiece(dossier).systems.length > 0);

describe.each(pieces)('the chance that %s has to be done again', (_name, dossier) => {
  const [best] = planPiece(dossier).systems;
  const { overall } = best!.risk;

  it('is one figure in Choose, in Pieces, on the command line and in what is kept of it', () => {
    const figure = formatChance(overall);
    expect(figure).toMatch(/^1 in \d+$|^under 1 in \d+$|^\d+ in \d+$/);
    // Choose says `formatChance`, Pieces beside each other `describeChance`: the same figure.
    expect(describeChance(overall)).toContain(figure);
    const report = reportPlan(dossier, NOW);
    expect(report.systems[0]!.risk.overall).toBeCloseTo(overall, 4);
    expect(describePlan(report, dossier)).toContain(`${figure} go wrong`);
    expect(freezeSystem(best!, NOW, PHRASES).figures!.risk).toBe(overall);
  });

  it('is that of the plan at the door as well, where nothing is open', () => {
    const { zones } = listSurfaces(dossier);
    const settled = zones.every(({ surfaces }) => surfaces.length === 1);
    for (const { zone, surfaces } of zones) {
      const planned = best!.zones.find(({ id }) => id === zone.id)!.risk.overall;
      if (settled) expect(surfaces[0]!.risk).toBe(planned);
      else for (const { risk } of surfaces) expect(risk >= 0 && risk < 1).toBe(true);
    }
    const sale = { low: 200, likely: 250, high: 300 };
    const { cost } = judgeDoor({ ...dossier, money: { ...dossier.money, sale } }, { draws: 100 });
    expect(cost.redo > 0).toBe(zones.some(({ surfaces }) => surfaces.some(({ risk }) => risk > 0)));
  });
});
