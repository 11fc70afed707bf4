import { CHECKS, findCheck } from '../knowledge';
import type { Dossier, Zone } from '../dossier';
import { computeBelief } from './belief';
import { diagnoseZone, tellsMost } from './diagnose';
import { nextQuestion } from './next-question';
import { measureTelling } from './telling';

const piece = (zone: Partial<Zone>, history: NonNullable<Dossier['piece']['history']> = {}): [Dossier, Zone] => {
  const own: Zone = { id: 'z', role: 'door', area_m2: 1, ...zone };
  return [{ format: 'bricolage.dossier/1', piece: { kind: 'sideboard', history }, zones: [own] }, own];
};

describe('what tells most of one doubt', () => {
  const [dossier, zone] = piece({}, { era: '1940_1977', painted_before: 'no' });

  it('of bleed is a dab or a rag, of wax and silicone a rub, of foil a look at the board: never just the next look', () => {
    const ask = (target: Parameters<typeof tellsMost>[2]): string => findCheck(tellsMost(dossier, zone, target)!)!.code;
    expect(['bleed_probe', 'damp_rag', 'alcohol_rub']).toContain(
      ask({ facet: 'seep', value: ({ bleed }) => bleed === true }),
    );
    expect(ask({ facet: 'polish', value: ({ wax_polish }) => wax_polish === true })).toMatch(/spirit|wax|rag|rub/);
    expect(ask({ facet: 'silicone', value: ({ silicone }) => silicone === true })).toBe('crawl_dab');
    const foil = ask({ state: ({ substrate }) => substrate === 'paper_foil' });
    expect(['edge_line', 'corner_lift', 'core_view', 'sand_spot', 'pattern_repeat']).toContain(foil);
  });

  it('is none of it where nothing is in doubt, all of it never, and a share in between', () => {
    const belief = computeBelief(dossier, zone);
    for (const check of CHECKS) {
      const share = measureTelling(belief, { facet: 'seep', value: ({ bleed }) => bleed === true }, check);
      expect(share).toBeGreaterThanOrEqual(0);
      expect(share).toBeLessThan(1);
      expect(measureTelling(belief, { state: () => true }, check)).toBe(0);
    }
  });
});

describe('foil or melamine', () => {
  it('is asked for next while foil stays above 1 in 10 and the grit hangs on it', () => {
    const [dossier, zone] = piece(
      { observations: [{ check: 'edge_line', result: 'plastic_strip' }] },
      { era: 'since_2000' },
    );
    const { belief } = diagnoseZone(dossier, zone);
    const foil = belief.substrate.filter(({ code }) => code === 'paper_foil' || code === 'thermofoil');
    expect(foil.reduce((sum, { p }) => sum + p, 0)).toBeGreaterThan(0.1);
    const next = nextQuestion(diagnoseZone(dossier, zone))!;
    const tells = (code: string): number =>
      measureTelling(
        belief,
        { state: ({ substrate }) => substrate === 'paper_foil' || substrate === 'thermofoil' },
        findCheck(code)!,
      );
    const looks = diagnoseZone(dossier, zone).nextChecks.map(({ check }) => check);
    expect(tells(next)).toBeGreaterThan(0.1);
    for (const other of looks) expect(tells(next)).toBeGreaterThanOrEqual(tells(other) - 1e-9);
  });

  it('is not asked of what can be no film', () => {
    const [dossier, zone] = piece({ stated: { substrate: 'tannin_rich_wood', finish: 'varnish_oil' } });
    expect(nextQuestion(diagnoseZone(dossier, zone))).not.toBe('corner_lift');
  });
});

describe('what the clear coat is', () => {
  const history = { era: '1940_1977', painted_before: 'no' } as const;
  const observations = [{ check: 'edge_line', result: 'thin_wood_layer' }];
  const ask = (look: 'clear' | 'opaque', more: NonNullable<Zone['observations']> = []): string[] => {
    const [dossier, zone] = piece({ observations: [...observations, ...more] }, history);
    return diagnoseZone({ ...dossier, goal: { look } }, zone).nextChecks.map(({ check }) => check);
  };

  it('is asked first where a clear look is wished, and by no drop where it is painted', () => {
    expect(ask('clear')[0]).toMatch(/_dab$/);
    expect(ask('opaque').filter((code) => code === 'alcohol_dab' || code === 'thinner_dab')).toEqual([]);
  });

  it.each([
    ['shellac', [['alcohol_dab', 'softens']]],
    [
      'nitro_lacquer',
      [
        ['alcohol_dab', 'no_effect'],
        ['thinner_dab', 'softens'],
      ],
    ],
    [
      'varnish_oil',
      [
        ['alcohol_dab', 'no_effect'],
        ['thinner_dab', 'wrinkles'],
      ],
    ],
    [
      'oil',
      [
        ['alcohol_dab', 'soaks_in'],
        ['water_drop', 'soaks_slow'],
      ],
    ],
  ] as const)('%s is told by its drops', (finish, drops) => {
    const [dossier, zone] = piece(
      { observations: [...observations, ...drops.map(([check, result]) => ({ check, result }))] },
      history,
    );
    expect(diagnoseZone(dossier, zone).belief.finish[0]!.code).toBe(finish);
  });
});
