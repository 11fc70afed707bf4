/** @jest-environment node */
import { DOSSIER_FORMAT } from '@/core/dossier';
import { reportDiagnosis } from './diagnosis';

describe('the diagnosis report', () => {
  it('sums to one exactly after rounding', () => {
    const { zones } = reportDiagnosis({
      format: DOSSIER_FORMAT,
      piece: { kind: 'sideboard', history: { era: 'since_2000' } },
      zones: [
        {
          id: 'z',
          role: 'top',
          area_m2: 0.8,
          observations: [
            { check: 'edge_line', result: 'dark_line' },
            { check: 'pattern_repeat', result: 'repeats' },
          ],
        },
      ],
    });
    for (const list of [zones[0]!.substrate, zones[0]!.finish, zones[0]!.soundness]) {
      expect(Math.round(list.reduce((sum, { p }) => sum + p, 0) * 1e4)).toBe(1e4);
      expect([...list].sort((a, b) => b.p - a.p).map(({ p }) => p)).toEqual(list.map(({ p }) => p));
    }
  });
});
