import { readdirSync, readFileSync } from 'node:fs';
import { parseDossier, type Dossier, type LogEntry, type Zone } from '@/core/dossier';
import type { PaintCode, PrimerCode } from '@/core/knowledge';
import { planPiece } from '@/core/systems';

const FOLDER = 'demo/dossiers';
const sold: [string, Dossier][] = readdirSync(FOLDER)
  .filter((name) => name.startsWith('sold-'))
  .map((name) => {
    const read = parseDossier(readFileSync(`${FOLDER}/${name}`, 'utf8'));
    if (!read.ok) throw new Error(name);
    return [name, read.value];
  });

/** The plan of just the layers that the log says are on a piece, by the preparation its ground allows; what was refreshed, as that is planned. */
function planAsLogged(dossier: Dossier): number {
  if (dossier.goal?.keep === 'refresh') return planPiece({ ...dossier, log: [] }).systems[0]!.handsOnMin;
  const own = (zone: Zone): LogEntry[] => dossier.log!.filter((entry) => entry.zone === zone.id);
  for (const prep of ['scuff_150', 'scuff_220'] as const) {
    const zones = dossier.zones!.map((zone) => {
      const primers = own(zone).filter(({ op }) => op === 'prime');
      const paint = own(zone).find(({ op }) => op === 'paint')!.class as PaintCode;
      return {
        id: zone.id,
        treatment: { prep },
        stack: {
          prep,
          primers: primers.map(({ class: code }) => ({ code: code as PrimerCode, coats: 1 })),
          paint,
          paint_coats: 2,
          topcoat: 'none' as const,
        },
      };
    });
    const { taken } = planPiece({ ...dossier, chosen: { at: '2026-01-01T00:00:00Z', zones } });
    if (taken?.system) return taken.system.handsOnMin;
  }
  throw new Error('no way');
}

describe('hours logged in the invented shop', () => {
  it.each(sold)('of %s lie within 0.8 to 1.25 of what is planned for it', (_name, dossier) => {
    const logged = dossier.log!.reduce((sum, { minutes = 0 }) => sum + minutes, 0);
    const ratio = logged / planAsLogged(dossier);
    expect(ratio).toBeGreaterThan(0.8);
    expect(ratio).toBeLessThan(1.25);
  });
});
